using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Tests;

/// <summary>What stands on a drawn plan, in pixels of the view that it was composed for: its texts and its symbols.</summary>
internal sealed class DrawnPlan
{
    /// <summary>A text or a symbol, and the anchor that it stands at.</summary>
    internal sealed record Piece(string What, Area Area, Shape At, double Size);

    internal DrawnPlan(Drawing drawing)
    {
        foreach (var layer in drawing.Layers)
        {
            foreach (var anchor in layer.Shapes.OfType<AnchorShape>())
                Read(anchor, anchor.X * drawing.Scale, anchor.Y * drawing.Scale, anchor, anchor.Turn);
        }
    }

    internal List<Piece> Texts { get; } = [];

    internal List<Piece> Symbols { get; } = [];

    /// <summary>Pairs of texts that lie over each other.</summary>
    internal IEnumerable<string> TextsOverTexts =>
        from i in Enumerable.Range(0, Texts.Count)
        from j in Enumerable.Range(i + 1, Texts.Count - i - 1)
        where !ReferenceEquals(Texts[i].At, Texts[j].At) && Texts[i].Area.Overlaps(Texts[j].Area)
        select $"{Texts[i].What} over {Texts[j].What}";

    /// <summary>Texts that lie over a symbol that is not their own.</summary>
    internal IEnumerable<string> TextsOverSymbols =>
        from text in Texts
        from symbol in Symbols
        where !ReferenceEquals(text.At, symbol.At) && text.Area.Overlaps(symbol.Area)
        select $"{text.What} over {symbol.What}";

    private void Read(AnchorShape anchor, double x, double y, Shape top, double turn)
    {
        foreach (var shape in anchor.Shapes)
        {
            switch (shape)
            {
                case AnchorShape inner:
                    Read(inner, x + inner.X, y + inner.Y, top, turn);
                    break;
                case TextShape text:
                    var wide = TextWidths.Of(text.Text, text.Size, text.Bold);
                    var at = Area.Around(
                        text.X,
                        text.Y - TextWidths.Line(text.Size),
                        wide,
                        text.Size * (TextWidths.Above + TextWidths.Below)
                    );
                    Texts.Add(new($"{text.Role} {text.Text}", Turned(at, turn).Move(x, y), top, text.Size));
                    break;
                case PathShape { Role: Role.Symbol } path:
                    var steps = path.Steps.Where(s => s.Kind != StepKind.Close).ToList();
                    var bounds = new Area(steps.Min(s => s.X), steps.Min(s => s.Y), steps.Max(s => s.X), steps.Max(s => s.Y));
                    Symbols.Add(new($"{(top as AnchorShape)?.Title}", bounds.Move(x, y), top, 0));
                    break;
            }
        }
    }

    // A turned text covers what its corners enclose.
    private static Area Turned(Area area, double degrees)
    {
        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        var corners = new[] { (area.X0, area.Y0), (area.X1, area.Y0), (area.X0, area.Y1), (area.X1, area.Y1) }
            .Select(p => (X: (p.Item1 * cos) - (p.Item2 * sin), Y: (p.Item1 * sin) + (p.Item2 * cos)))
            .ToList();
        return new(corners.Min(c => c.X), corners.Min(c => c.Y), corners.Max(c => c.X), corners.Max(c => c.Y));
    }
}
