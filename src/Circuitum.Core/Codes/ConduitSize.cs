using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>A trade size.</summary>
/// <param name="Size">Its name in inches, such as 1-1/4.</param>
/// <param name="AreaIn2">Whole inside area in square inches.</param>
/// <param name="Metric">What it is called where lengths are metric, such as 35.</param>
public sealed record ConduitSize(string Size, double AreaIn2, int Metric)
{
    /// <summary>As it is asked for, such as <c>1-1/4 in</c> or <c>size 35</c>: neither is a measure of it.</summary>
    public string Told(LengthUnits units) => units == LengthUnits.FeetInches ? $"{Size} in" : $"size {Metric}";
}
