using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>What a panel in a building of its own needs.</summary>
internal sealed class FeederBuildingRule : CheckedRule
{
    internal override string Id => "feeder.building";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a
            .Panels.Where(p => p.Feeder is { ToBuilding: true })
            .Select(at =>
                Breach(
                    a,
                    $"{at.Panel.Name} is in a building of its own: "
                        + $"{(at.Panel.MainLugs ? "a main breaker or another disconnect there" : "its main breaker is the disconnect")}, "
                        + "a grounding electrode, and neutral and ground apart.",
                    Subject.Panel(at.Panel.Id)
                )
            );
}
