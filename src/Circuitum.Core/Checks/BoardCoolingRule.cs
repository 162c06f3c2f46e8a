using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Air conditioners that share a circuit.</summary>
internal sealed class BoardCoolingRule : CheckedRule
{
    internal override string Id => "board.cooling";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Board is not { Use: BoardUse.Cooling } board)
            yield break;
        var most = board.ThreeLines ? 1 : a.Edition.Number("coolingTogetherMost").Whole;
        if (c.Boxes.Length > most)
            yield return Breach(
                a,
                $"{c.Boxes.Length} air conditioners are on circuit {c.Number}; {most} at most.",
                Subject.Circuit(c.Number)
            );
        else if (c.Boxes.Select(b => b.Room).Distinct().Count() > 1)
            yield return Breach(a, $"Circuit {c.Number} feeds air conditioners of several rooms.", Subject.Circuit(c.Number));
    }
}
