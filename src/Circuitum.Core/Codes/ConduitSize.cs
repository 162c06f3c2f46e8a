namespace Circuitum.Core.Codes;

/// <summary>A trade size.</summary>
/// <param name="Size">Its name in inches, such as 1-1/4.</param>
/// <param name="AreaIn2">Whole inside area in square inches.</param>
public sealed record ConduitSize(string Size, double AreaIn2);
