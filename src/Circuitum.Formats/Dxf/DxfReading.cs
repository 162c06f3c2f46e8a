namespace Circuitum.Formats.Dxf;

/// <summary>A drawing, or a sentence about why there is none.</summary>
/// <param name="Drawing">The drawing.</param>
/// <param name="Problem">The sentence.</param>
public sealed record DxfReading(DxfDrawing? Drawing, string Problem);
