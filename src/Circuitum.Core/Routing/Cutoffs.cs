using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// Leads the cable of equipment through its disconnect or switch, which belongs to no circuit by decision but to its appliance's.
/// </summary>
internal static class Cutoffs
{
    /// <summary>A run with the disconnects of what it feeds in it, each before the outlet that it cuts off.</summary>
    /// <param name="run">The run.</param>
    /// <param name="job">The job.</param>
    /// <param name="runs">The ways.</param>
    internal static CableRun Into(CableRun run, Job job, CableRouter runs)
    {
        var serving = job.Decisions.Boxes.Where(b => b.Serves is not null).ToLookup(b => b.Serves);
        if (serving.Count == 0)
            return run;
        var outlets = job.Decisions.Boxes.Where(b => b.Appliance is not null).ToDictionary(b => b.Id, b => b.Appliance);
        var segments = ImmutableArray.CreateBuilder<CableSegment>();
        foreach (var segment in run.Segments)
        {
            var cutoff = outlets.TryGetValue(segment.To, out var appliance) ? serving[appliance].FirstOrDefault() : null;
            if (cutoff is null || segment.Via is not null)
            {
                segments.Add(segment);
                continue;
            }

            var makeUp = segment.Cut - segment.Way - segment.Longer;
            var to = segment.From is { } from ? runs.Between(from, cutoff.Id) : runs.FromPanel(cutoff.Id, segment.Panel);
            var on = runs.Between(cutoff.Id, segment.To);
            segments.Add(segment with { To = cutoff.Id, Way = to, Cut = to + makeUp, Longer = Length.Zero });
            segments.Add(new(cutoff.Id, segment.To, on, on + (job.Preferences.BoxMakeUp * 2), null, segment.Use) { More = segment.More });
        }

        return run with
        {
            Segments = segments.ToImmutable(),
        };
    }
}
