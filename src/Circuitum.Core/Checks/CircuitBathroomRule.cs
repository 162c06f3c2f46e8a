using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>The bathroom circuit, and what may be on it.</summary>
internal sealed class CircuitBathroomRule() : RequiredCircuitRule("bathroom", CircuitPurpose.Bathroom, RoomKind.Bathroom)
{
    internal override string Id => "circuit.bathroom";
}
