using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;

namespace Circuitum.Core.Checks;

/// <summary>One supply to a separate building.</summary>
internal sealed class FeederOneSupplyRule : CheckedRule
{
    internal override string Id => "feeder.oneSupply";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var building in SeparateBuilding.Of(a))
        {
            var panels = building.Panels;
            var feeders = panels.Where(p => p.Feeder is not null && !panels.Exists(q => q.Panel.Id == p.Feeder.From)).ToList();
            var circuits = a
                .Circuits.Where(c =>
                    !c.Carried && c.Boxes.Any(b => building.Rooms.Contains(b.Room)) && !panels.Exists(p => p.Panel.Id == c.Panel)
                )
                .ToList();
            if (feeders.Count + circuits.Count < 2)
                continue;
            var told = feeders.Select(f => $"the feeder of {f.Panel.Name}").Concat(circuits.Select(c => $"circuit {c.Number}"));
            yield return Breach(
                a,
                $"{building.Name(a)} has {feeders.Count + circuits.Count} supplies: {string.Join(", ", told)}. "
                    + (panels.Count > 0 ? "What stands there is fed from its panel." : "Put a panel there, or all of it on one circuit."),
                [.. circuits.Select(c => Subject.Circuit(c.Number)), .. feeders.Select(f => Subject.Panel(f.Panel.Id))]
            ) with
            {
                Fix = Fix(circuits, panels),
            };
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
