using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Earth fault loops that a breaker by itself would not open in time.</summary>
internal sealed class BoardLoopRule : CheckedRule
{
    internal override string Id => "board.loop";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (BoardLoop.Of(a, c) is { Opens: false } loop)
            yield return Breach(
                a,
                $"Circuit {c.Number}: an earth fault loop of {loop.Ohm:0.00} ohm; its breaker opens in time to {loop.MostOhm:0.00} ohm. "
                    + $"Only the residual-current device of {c.Board!.Milliamps} mA would open it.",
                Subject.Circuit(c.Number)
            );
    }
}
