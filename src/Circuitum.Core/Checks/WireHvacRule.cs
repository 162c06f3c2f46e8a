using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>A breaker within what a nameplate allows.</summary>
internal sealed class WireHvacRule : CheckedRule
{
    internal override string Id => "wire.hvac";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (OneAppliance.On(a, c)?.MaximumBreaker is { } most && c.Breaker > most)
            yield return Breach(
                a,
                $"Circuit {c.Number}: a {c.Breaker} A breaker is over the nameplate's {most} A.",
                Subject.Circuit(c.Number)
            );
    }
}
