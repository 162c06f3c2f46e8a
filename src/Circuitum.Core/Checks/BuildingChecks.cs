using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Buildings apart from the one of the service: one supply, and a disconnect that is large enough (225.30, 225.39).</summary>
internal sealed class BuildingChecks : ICheck
{
    public ImmutableArray<string> Rules => ["feeder.oneSupply", "feeder.rating"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        if (a.Panel is not { } service)
            yield break;
        var main = a.House.BuildingOf(service.Room);
        var apart = a
            .Job.Rooms.Where(r => !r.Kind.OpenAir() && !main.Contains(r.Id))
            .Select(r => a.House.BuildingOf(r.Id))
            .DistinctBy(b => b.Min(StringComparer.Ordinal));
        foreach (var building in apart)
        {
            var name = a.House[building.Where(r => !a.House[r].Room.Kind.OpenAir()).Min(StringComparer.Ordinal)!].Room.Name;
            var panels = a.Panels.Where(p => building.Contains(p.Panel.Room)).ToList();
            var feeders = panels.Where(p => p.Feeder is not null && !panels.Exists(q => q.Panel.Id == p.Feeder.From)).ToList();
            var circuits = a
                .Circuits.Where(c =>
                    !c.Carried && c.Boxes.Any(b => building.Contains(b.Room)) && !panels.Exists(p => p.Panel.Id == c.Panel)
                )
                .ToList();
            if (feeders.Count + circuits.Count > 1)
            {
                var told = feeders.Select(f => $"the feeder of {f.Panel.Name}").Concat(circuits.Select(c => $"circuit {c.Number}"));
                yield return CheckList.Make(
                    a,
                    "feeder.oneSupply",
                    $"{name} has {feeders.Count + circuits.Count} supplies: {string.Join(", ", told)}. "
                        + (
                            panels.Count > 0
                                ? "What stands there is fed from its panel."
                                : "Put a panel there, or all of it on one circuit."
                        ),
                    [.. circuits.Select(c => Subject.Circuit(c.Number)), .. feeders.Select(f => Subject.Panel(f.Panel.Id))]
                ) with
                {
                    Fix = Fix(circuits, panels),
                };
            }

            foreach (var at in panels.Where(p => p.Feeder is not null))
            {
                var own = a.Circuits.Count(c => c.Panel == at.Panel.Id && c.Boxes.Length > 0);
                var least = (int)
                    a.Edition.Number(
                        own > 2 ? "buildingLeastA"
                        : own == 2 ? "buildingTwoCircuitsLeastA"
                        : "buildingOneCircuitLeastA"
                    );
                var rating = at.Panel.MainLugs ? at.Rating : at.Panel.MainBreaker;
                if (rating < least)
                    yield return CheckList.Make(
                        a,
                        "feeder.rating",
                        $"The disconnect of {at.Panel.Name} is rated {rating} A; with {own} circuit{(own == 1 ? "" : "s")} "
                            + $"{least} A is the least.",
                        Subject.Panel(at.Panel.Id)
                    );
            }
        }
    }

    private static FindingFix? Fix(List<CircuitAnalysis> circuits, List<PanelAnalysis> panels) =>
        circuits.Count == 0 || panels.Count == 0
            ? null
            : new(
                $"Feed circuit {circuits[0].Number} from {panels[0].Panel.Name}",
                new MoveToPanel(circuits[0].Number, panels[0].Panel.Id)
            );
}
