using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The least rating of a separate building's disconnect.</summary>
internal sealed class FeederRatingRule : CheckedRule
{
    internal override string Id => "feeder.rating";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var at in SeparateBuilding.Of(a).SelectMany(b => b.Panels).Where(p => p.Feeder is not null))
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
                yield return Breach(
                    a,
                    $"The disconnect of {at.Panel.Name} is rated {rating} A; with {own} circuit{(own == 1 ? "" : "s")} "
                        + $"{least} A is the least.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }
}
