namespace Circuitum.Formats.Dxf;

/// <summary>A line or a chain of them.</summary>
/// <param name="Layer">Its layer.</param>
/// <param name="Points">Its corners.</param>
/// <param name="Closed">The last corner is joined to the first.</param>
public sealed record DxfPath(string Layer, IReadOnlyList<DxfPoint> Points, bool Closed);
