using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>What each leg of a ring carries: which test was used is said.</summary>
internal sealed class BoardRingLegRule : CheckedRule
{
    internal override string Id => "board.ringLeg";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Board is not { Use: BoardUse.Sockets, Ring: true } board || c.Wire is not { } wire)
            yield break;
        if (wire.Ampacity.Value < board.Needed - Hair)
            yield return Breach(
                a,
                $"A leg of ring {c.Number} carries {wire.Ampacity} after its factors; {board.Needed:0.0} A is needed, the greater of "
                    + $"{a.Edition.Number("ringLegLeastA")} A and {a.Edition.Number("ringLegShare")} of {c.Breaker} A.",
                Subject.Circuit(c.Number)
            );
    }

    // Less than this is the rounding of a rating.
    private const double Hair = 1e-6;
}
