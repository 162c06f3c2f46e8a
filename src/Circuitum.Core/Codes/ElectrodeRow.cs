using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>A row of the electrode table.</summary>
/// <param name="CopperUpTo">Largest copper service conductor.</param>
/// <param name="AluminumUpTo">Largest aluminum service conductor.</param>
/// <param name="Copper">Copper electrode conductor.</param>
/// <param name="Aluminum">Aluminum electrode conductor.</param>
public sealed record ElectrodeRow(WireSize CopperUpTo, WireSize AluminumUpTo, WireSize Copper, WireSize Aluminum);
