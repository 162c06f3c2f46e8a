using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>An equipment ground that is large enough for the breaker and for a wire that was made larger.</summary>
internal sealed class WireGroundRule : CheckedRule
{
    internal override string Id => "wire.ground";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c is { Wire: not null, Ground: { Enough: false } ground })
            yield return Breach(
                a,
                $"Circuit {c.Number}: the ground in {c.Cable} cable is {ground.There?.ToString() ?? "missing"} AWG; {ground.Needed} is "
                    + "needed.",
                Subject.Circuit(c.Number)
            );
    }
}
