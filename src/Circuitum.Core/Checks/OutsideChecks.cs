using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Checks;

/// <summary>What runs outside the house: of what it is made, how deep it lies, how it bends.</summary>
internal sealed class OutsideChecks : ICheck
{
    public ImmutableArray<string> Rules => ["wire.bends", "wire.depth", "wire.outside"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var o in a.Outside)
        {
            var (run, subjects) = (
                $"The run of circuit {o.Circuit} to {o.CableSegment.To}",
                new[] { Subject.Circuit(o.Circuit), Subject.Box(o.CableSegment.To) }
            );
            foreach (var found in Of(a, run, o.CableSegment.To, o.Method, o.Length, o.Buried, o.Depth, o.DepthWanted, o.Bends, subjects))
                yield return found;
        }

        foreach (var at in a.Panels.Where(p => p.Feeder is not null))
        {
            var run = at.Feeder!.Run;
            foreach (
                var found in Of(
                    a,
                    $"The feeder of {at.Panel.Name}",
                    at.Panel.Id,
                    run.Outside,
                    run.OutsideLength,
                    run.Buried,
                    run.Depth,
                    run.DepthWanted,
                    run.Bends,
                    [Subject.Panel(at.Panel.Id)]
                )
            )
                yield return found;
        }
    }

    // A branch circuit's run and a feeder are held to the same.
    private static IEnumerable<Finding> Of(
        JobAnalysis a,
        string run,
        string to,
        OutsideMethod? method,
        Length outside,
        bool buried,
        Length depth,
        Length wanted,
        ConduitBends? bends,
        Subject[] subjects
    )
    {
        if (method == OutsideMethod.IndoorCable)
            yield return CheckList.Make(
                a,
                "wire.outside",
                $"{run} is indoor cable for {outside.InFeet:0} ft outside the house{(buried ? ", in the ground" : "")}: its "
                    + "jacket is for dry places.",
                subjects
            ) with
            {
                Fix = new("Run it in PVC conduit", new SetOutsideMethod(to, OutsideMethod.PvcConduit)),
            };
        if (buried && depth < wanted)
            yield return CheckList.Make(
                a,
                "wire.depth",
                $"{run} lies {LengthText.Show(depth)} deep; {LengthText.Show(wanted)} is the least.",
                subjects
            );
        if (bends is { Pass: false })
            yield return CheckList.Make(
                a,
                "wire.bends",
                $"{run} bends {bends.Stretches.Max()} degrees between pull points; {ConduitBends.Most} is the most. "
                    + $"{bends.PullPointsWanted} more pull point{(bends.PullPointsWanted == 1 ? "" : "s")} will do.",
                subjects
            );
    }
}
