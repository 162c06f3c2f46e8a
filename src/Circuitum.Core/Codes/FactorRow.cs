namespace Circuitum.Core.Codes;

/// <summary>A factor up to and including a key.</summary>
/// <param name="Key">Degrees, or a count.</param>
/// <param name="Factor">The factor.</param>
public sealed record FactorRow(int Key, double Factor);
