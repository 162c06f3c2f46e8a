using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The largest breaker for one appliance that is no motor.</summary>
internal sealed class WireNonMotorRule : CheckedRule
{
    internal override string Id => "wire.nonMotor";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (OneAppliance.OverLargest(a, c, motor: false) is { } words)
            yield return Breach(a, words, Subject.Circuit(c.Number));
    }
}
