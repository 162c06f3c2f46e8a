using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>A piece of cable to cut off a reel.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="From">The feeding box, or none for a home run.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Length">Length to cut.</param>
public sealed record Cut(int Circuit, string? From, string To, Length Length)
{
    /// <summary>What it takes off the reel, waste counted.</summary>
    public Length Taken { get; init; } = Length;
}
