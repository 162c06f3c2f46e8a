using System.Collections.Immutable;

namespace Circuitum.Core.Review;

/// <summary>What one circuit is, or would be.</summary>
/// <param name="Number">Its number; 0 for a new one.</param>
/// <param name="Label">Its label.</param>
/// <param name="Boxes">How many boxes hang on it.</param>
/// <param name="Receptacles">How many of them are receptacles.</param>
/// <param name="Load">Its load in volt-amperes.</param>
/// <param name="Breaker">Its breaker in amperes.</param>
/// <param name="Cable">Its cable.</param>
/// <param name="Feet">All its cable, in feet.</param>
/// <param name="Findings">What is or would be found of it, must and should.</param>
public sealed record CircuitState(
    int Number,
    string Label,
    int Boxes,
    int Receptacles,
    double Load,
    int Breaker,
    string Cable,
    double Feet,
    ImmutableArray<string> Findings
);
