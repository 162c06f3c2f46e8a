using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles of a general circuit.</summary>
internal static class GeneralReceptacles
{
    /// <summary>How many there are; none for a circuit of another purpose or without a wire.</summary>
    internal static int On(CircuitAnalysis c) =>
        c.Wire is not null && c.Circuit.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.Mixed
            ? c.Boxes.Count(b => b.Kind == BoxKind.Receptacle)
            : 0;
}
