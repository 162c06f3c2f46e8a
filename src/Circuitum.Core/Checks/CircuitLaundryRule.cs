using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>The laundry circuit, and what may be on it.</summary>
internal sealed class CircuitLaundryRule() : RequiredCircuitRule("laundry", CircuitPurpose.Laundry, null)
{
    internal override string Id => "circuit.laundry";
}
