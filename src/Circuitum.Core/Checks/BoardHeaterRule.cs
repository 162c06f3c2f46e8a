using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>A water heater alone on its radial.</summary>
internal sealed class BoardHeaterRule : CheckedRule
{
    internal override string Id => "board.heater";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Board is not { Use: BoardUse.WaterHeating })
            yield break;
        if (c.Boxes.Length > 1)
            yield return Breach(a, $"A water heater shares circuit {c.Number}; it is alone on its radial.", Subject.Circuit(c.Number));
        var (least, most) = (a.Edition.Number("heaterLeastA"), a.Edition.Number("heaterMostA"));
        if (c.Wire is not null && (c.Breaker < least || c.Breaker > most))
            yield return Breach(
                a,
                $"The water heater on circuit {c.Number} has {c.Breaker} A; it is {least} to {most} A.",
                Subject.Circuit(c.Number)
            );
    }
}
