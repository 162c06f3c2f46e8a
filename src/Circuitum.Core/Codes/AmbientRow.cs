namespace Circuitum.Core.Codes;

/// <summary>Ambient correction up to and including a temperature.</summary>
/// <param name="UpToC">Degrees Celsius.</param>
/// <param name="F60">Factor for the 60 C column.</param>
/// <param name="F75">Factor for the 75 C column.</param>
/// <param name="F90">Factor for the 90 C column.</param>
public sealed record AmbientRow(int UpToC, double F60, double F75, double F90);
