using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Rules that amendment layers add. Those about protection are found like any other outlet without its protection.</summary>
internal static class LocalRules
{
    internal static IEnumerable<Finding> Find(JobAnalysis a) => a.Edition.Demands.SelectMany(d => Find(a, d.Key, d.Value));

    private static IEnumerable<Finding> Find(JobAnalysis a, string rule, LocalDemand demand)
    {
        switch (demand.Kind)
        {
            case LocalDemandKind.ByHand:
                yield return CheckList.Make(a, rule, $"To be looked at by a person: {a.Edition.Rule(rule).Text}");
                break;
            case LocalDemandKind.Boxes when demand is { Box: { } kind }:
                foreach (var room in a.Job.Rooms.Where(r => r.Kind == demand.Room))
                {
                    var there = a.Job.Decisions.Boxes.Count(b => b.Room == room.Id && b.Kind == kind && !b.Outside);
                    if (there < demand.Least)
                        yield return CheckList.Make(
                            a,
                            rule,
                            $"{room.Name} has {there} of the {demand.Least} that the local rule asks for ({a.Edition.Rule(rule).Title}).",
                            Subject.Room(room.Id)
                        );
                }

                break;
            case LocalDemandKind.OwnCircuit:
                foreach (var appliance in a.Job.Appliances.Where(x => x.Type == demand.Appliance))
                {
                    if (
                        a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is { } box
                        && a.CircuitOf(box.Id) is { Boxes.Length: > 1 } c
                    )
                        yield return CheckList.Make(
                            a,
                            rule,
                            $"{ApplianceFacts.Of(a.Job, appliance).Name} shares circuit {c.Number}; by local rule it has its own.",
                            Subject.Circuit(c.Number),
                            Subject.Box(box.Id)
                        );
                }

                break;
        }
    }
}
