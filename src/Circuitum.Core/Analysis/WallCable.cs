using System.Collections.Immutable;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>One cable as far as it is in a wall.</summary>
/// <param name="Circuit">Its circuit.</param>
/// <param name="CableSegment">Which of its cables.</param>
/// <param name="Path">Its corners; a height under zero or over the ceiling is in the field beyond.</param>
/// <param name="Staples">Where it is stapled.</param>
public sealed record WallCable(
    CircuitAnalysis Circuit,
    CableSegment CableSegment,
    ImmutableArray<WallPlace> Path,
    ImmutableArray<WallPlace> Staples
)
{
    /// <summary>What is written beside it, such as <c>7 14-3 to hall.s1</c>.</summary>
    public string Name => $"{Circuit.Number} {Circuit.CableOf(CableSegment)}{(CableSegment.From is null ? " home run" : "")}";
}
