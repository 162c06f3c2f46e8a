using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>What colours the wires of a supply have, each as the trade says it.</summary>
/// <param name="Lines">Of the lines, in the order of their names.</param>
/// <param name="Neutral">Of the neutral.</param>
/// <param name="Protective">Of the grounding or protective conductor.</param>
public sealed record WireColours(ImmutableArray<string> Lines, string Neutral, string Protective);
