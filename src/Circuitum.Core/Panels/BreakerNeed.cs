using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

/// <summary>A breaker that wants a space.</summary>
/// <param name="Breaker">What it feeds.</param>
/// <param name="Poles">1 or 2.</param>
/// <param name="Amperes">Rating.</param>
/// <param name="Va">Load in volt-amperes.</param>
/// <param name="Room">Where its first box is, as an order of rooms.</param>
/// <param name="Protective">Whether it protects against arc or ground faults.</param>
/// <param name="TiedTo">The circuit with which it shares a neutral: the two open together and sit on opposite legs.</param>
/// <param name="Second">A second load that breaks ties between divisions with the same gap.</param>
public sealed record BreakerNeed(
    BreakerKey Breaker,
    int Poles,
    int Amperes,
    int Va,
    int Room = 0,
    bool Protective = false,
    int? TiedTo = null,
    int Second = 0
)
{
    /// <summary>Its place in an order by numbers: feeders before circuits.</summary>
    internal int Order => Breaker.Circuit;

    // Breakers of half the height are made up to this.
    private const int LargestHalf = 30;

    /// <summary>
    /// Whether a breaker of half the height can serve it: one pole, no fault protection of its own, and no shared neutral, which needs both
    /// legs.
    /// </summary>
    public bool FitsHalf => Poles == 1 && !Protective && TiedTo is null && Amperes <= LargestHalf;
}
