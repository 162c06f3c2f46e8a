using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A circuit for the receptacles of utility rooms and nothing else, where the rules want one.</summary>
internal sealed class CircuitUtilityRule() : RequiredCircuitRule("utility room", CircuitPurpose.Utility, null)
{
    internal override string Id => "circuit.utility";
}
