using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A circuit for the receptacles of outdoors and nothing else, where the rules want one.</summary>
internal sealed class CircuitOutdoorRule() : RequiredCircuitRule("outdoor", CircuitPurpose.Outdoor, null)
{
    internal override string Id => "circuit.outdoor";
}
