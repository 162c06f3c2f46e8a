using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>Equipment ground.</summary>
/// <param name="Breaker">Largest breaker.</param>
/// <param name="Copper">Copper size.</param>
public sealed record GroundRow(int Breaker, WireSize Copper);
