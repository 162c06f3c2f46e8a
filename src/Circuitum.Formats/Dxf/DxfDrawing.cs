namespace Circuitum.Formats.Dxf;

/// <summary>What was read of a drawing file, with all block references laid out.</summary>
public sealed class DxfDrawing
{
    /// <summary>Inches in a drawing unit, or none when the file does not say.</summary>
    public double? InchesPerUnit { get; internal set; }

    /// <summary>Lines and polylines.</summary>
    public List<DxfPath> Paths { get; } = [];

    /// <summary>Arcs and circles.</summary>
    public List<DxfArc> Arcs { get; } = [];

    /// <summary>Texts.</summary>
    public List<DxfText> Texts { get; } = [];

    /// <summary>What was not taken, by kind, with how many there were.</summary>
    public SortedDictionary<string, int> NotTaken { get; } = new(StringComparer.Ordinal);

    /// <summary>The layers on which something was taken, with how many things.</summary>
    public IEnumerable<(string Layer, int Count)> Layers =>
        Paths
            .Select(p => p.Layer)
            .Concat(Arcs.Select(a => a.Layer))
            .Concat(Texts.Select(t => t.Layer))
            .GroupBy(l => l, StringComparer.OrdinalIgnoreCase)
            .OrderBy(g => g.Key, StringComparer.OrdinalIgnoreCase)
            .Select(g => (g.Key, g.Count()));

    internal void Skip(string kind) => NotTaken[kind] = NotTaken.GetValueOrDefault(kind) + 1;
}
