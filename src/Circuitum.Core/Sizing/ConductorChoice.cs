using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>A conductor and its breaker.</summary>
/// <param name="Size">AWG.</param>
/// <param name="Ampacity">After all factors and the terminals' column.</param>
/// <param name="Breaker">Rating in amperes.</param>
/// <param name="Ground">Equipment ground, AWG copper.</param>
/// <param name="Row">The conductor's table row.</param>
/// <param name="Derivation">How it was chosen.</param>
public sealed record ConductorChoice(WireSize Size, Amperes Ampacity, int Breaker, WireSize Ground, ConductorRow Row, Derivation Derivation)
{
    /// <summary>The largest breaker that what hangs on it allows, in amperes, or none.</summary>
    public int? MostBreaker { get; init; }
}
