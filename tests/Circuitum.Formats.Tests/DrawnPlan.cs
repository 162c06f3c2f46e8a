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
            foreach (var shape in layer.Shapes)
                Read(shape, drawing.Scale);
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

    // What is not at an anchor is in the plan's own units.
    private void Read(Shape shape, double scale)
    {
        switch (shape)
        {
            case AnchorShape anchor:
                Read(anchor, anchor.X * scale, anchor.Y * scale, anchor, anchor.Turn);
                break;
            case GroupShape group:
                foreach (var inner in group.Shapes)
                    Read(inner, scale);
                break;
            case TextShape text:
                Texts.Add(new($"{text.Role} {text.Text}", Covered(text), text, text.Size));
                break;
            case PathShape { Role: Role.Body } body:
                Symbols.Add(new("box", Bounds(body).Scaled(scale), body, 0));
                break;
        }
    }

    private static Area Covered(TextShape text)
    {
        var wide = TextWidths.Of(text.Text, text.Size, text.Bold);
        var middle = text.Side switch
        {
            TextSide.Start => text.X + (wide / 2),
            TextSide.End => text.X - (wide / 2),
            _ => text.X,
        };
        return Area.Around(middle, text.Y - TextWidths.Line(text.Size), wide, text.Size * (TextWidths.Above + TextWidths.Below));
    }

    private static Area Bounds(PathShape path)
    {
        var steps = path.Steps.Where(s => s.Kind != StepKind.Close).ToList();
        return new(steps.Min(s => s.X), steps.Min(s => s.Y), steps.Max(s => s.X), steps.Max(s => s.Y));
    }

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
                    Texts.Add(new($"{text.Role} {text.Text}", Turned(Covered(text), turn).Move(x, y), top, text.Size));
                    break;
                case PathShape { Role: Role.Symbol } path:
                    Symbols.Add(new($"{(top as AnchorShape)?.Title}", Bounds(path).Move(x, y), top, 0));
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
