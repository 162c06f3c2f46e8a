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
    internal static RunEstimate Into(RunEstimate run, Job job, Runs runs)
    {
        var serving = job.Decisions.Boxes.Where(b => b.Serves is not null).ToLookup(b => b.Serves);
        if (serving.Count == 0)
            return run;
        var outlets = job.Decisions.Boxes.Where(b => b.Appliance is not null).ToDictionary(b => b.Id, b => b.Appliance);
        var hops = ImmutableArray.CreateBuilder<Hop>();
        foreach (var hop in run.Hops)
        {
            var cutoff = outlets.TryGetValue(hop.To, out var appliance) ? serving[appliance].FirstOrDefault() : null;
            if (cutoff is null || hop.Via is not null)
            {
                hops.Add(hop);
                continue;
            }

            var makeUp = hop.Cut - hop.Way - hop.Longer;
            var to = hop.From is { } from ? runs.Between(from, cutoff.Id) : runs.FromPanel(cutoff.Id, hop.Panel);
            var on = runs.Between(cutoff.Id, hop.To);
            hops.Add(hop with { To = cutoff.Id, Way = to, Cut = to + makeUp, Longer = Length.Zero });
            hops.Add(new(cutoff.Id, hop.To, on, on + (job.Preferences.BoxMakeUp * 2), null, hop.Use) { More = hop.More });
        }

        return run with
        {
            Hops = hops.ToImmutable(),
        };
    }
}
