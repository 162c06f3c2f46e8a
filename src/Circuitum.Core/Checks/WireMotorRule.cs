using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The largest breaker for one motor.</summary>
internal sealed class WireMotorRule : CheckedRule
{
    internal override string Id => "wire.motor";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (OneAppliance.OverLargest(a, c, motor: true) is { } words)
            yield return Breach(a, words, Subject.Circuit(c.Number));
    }
}
