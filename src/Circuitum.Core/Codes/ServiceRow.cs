using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>Dwelling service conductor.</summary>
/// <param name="Amperes">Service rating.</param>
/// <param name="Copper">Copper size.</param>
/// <param name="Aluminum">Aluminum size.</param>
public sealed record ServiceRow(int Amperes, WireSize Copper, WireSize Aluminum);
