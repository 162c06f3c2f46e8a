using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>The garage circuit, and what may be on it.</summary>
internal sealed class CircuitGarageRule() : RequiredCircuitRule("garage", CircuitPurpose.Garage, RoomKind.Garage)
{
    internal override string Id => "circuit.garage";
}
