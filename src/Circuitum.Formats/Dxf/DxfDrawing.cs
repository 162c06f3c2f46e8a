namespace Circuitum.Formats.Dxf;

/// <summary>A place in a drawing, in drawing units; y is up.</summary>
/// <param name="X">To the right.</param>
/// <param name="Y">Up.</param>
public readonly record struct DxfPoint(double X, double Y);

/// <summary>A line or a chain of them.</summary>
/// <param name="Layer">Its layer.</param>
/// <param name="Points">Its corners.</param>
/// <param name="Closed">The last corner is joined to the first.</param>
public sealed record DxfPath(string Layer, IReadOnlyList<DxfPoint> Points, bool Closed);

/// <summary>A part of a circle, counter-clockwise from one angle to the other.</summary>
/// <param name="Layer">Its layer.</param>
/// <param name="Centre">Its centre.</param>
/// <param name="Radius">Its radius.</param>
/// <param name="From">First angle, in degrees.</param>
/// <param name="To">Second angle, in degrees.</param>
public sealed record DxfArc(string Layer, DxfPoint Centre, double Radius, double From, double To)
{
    /// <summary>The point at an angle.</summary>
    public DxfPoint At(double degrees) =>
        new(Centre.X + (Radius * Math.Cos(degrees * Math.PI / 180)), Centre.Y + (Radius * Math.Sin(degrees * Math.PI / 180)));
}

/// <summary>A text.</summary>
/// <param name="Layer">Its layer.</param>
/// <param name="At">Where it stands.</param>
/// <param name="Text">What it says.</param>
public sealed record DxfText(string Layer, DxfPoint At, string Text);

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

/// <summary>A drawing, or a sentence about why there is none.</summary>
/// <param name="Drawing">The drawing.</param>
/// <param name="Problem">The sentence.</param>
public sealed record DxfReading(DxfDrawing? Drawing, string Problem);
