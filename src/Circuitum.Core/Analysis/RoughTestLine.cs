using System.Collections.Immutable;

namespace Circuitum.Core.Analysis;

/// <summary>What is tried on one circuit before the walls close.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="End">The box at which its cable ends, farthest from the panel by the way.</param>
/// <param name="Tries">What is tried, each with room for a tick.</param>
public sealed record RoughTestLine(CircuitAnalysis Circuit, string End, ImmutableArray<string> Tries);
