using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Lighting circuits of each floor.</summary>
internal sealed class BoardLampCircuitsRule : CheckedRule
{
    internal override string Id => "board.lampCircuits";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var least = a.Edition.Number("lampCircuitsLeast").Whole;
        foreach (var storey in a.Job.Storeys)
        {
            bool Here(Box b) => a.House[b.Room].Room.Storey == storey.Id && !a.House[b.Room].Room.Kind.OpenAir();
            var lit = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && Here(b)).Select(b => b.Room).Distinct().Count();
            var circuits = a.Circuits.Count(c => c.Boxes.Any(b => b.Kind == BoxKind.Light && Here(b)));
            if (lit >= least && circuits > 0 && circuits < least)
                yield return Breach(a, $"{storey.Name} has {circuits} lighting circuit; {least} or more are usual.");
        }
    }
}
