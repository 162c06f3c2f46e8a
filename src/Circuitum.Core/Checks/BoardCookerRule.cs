using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A cooker alone, on what it needs at least.</summary>
internal sealed class BoardCookerRule : CheckedRule
{
    internal override string Id => "board.cooker";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Board is not { Use: BoardUse.Cooking })
            yield break;
        if (c.Boxes.Length > 1)
            yield return Breach(a, $"The cooker shares circuit {c.Number}; it has its own.", Subject.Circuit(c.Number));
        var (amps, section) = (a.Edition.Number("cookerLeastA"), a.Edition.Number("cookerWireSection"));
        if (c.Wire is { } wire && (c.Breaker < amps || wire.Size < WireSize.Section(section)))
            yield return Breach(
                a,
                $"The cooker on circuit {c.Number} has {c.Breaker} A and {wire.Size}; "
                    + $"{amps} A and {WireSize.Section(section)} are the least.",
                Subject.Circuit(c.Number)
            );
    }
}
