using System.Collections.Immutable;

namespace Circuitum.Formats.Drawings;

/// <summary>Draws in plain ink a drawing whose units are pixels, or points where it shows in its true size.</summary>
internal sealed class Pen
{
    private readonly ImmutableArray<Shape>.Builder shapes = ImmutableArray.CreateBuilder<Shape>();

    internal void Line(double x0, double y0, double x1, double y1, double weight = 1) =>
        Add(new PathShape(Role.Ink, [Step.From(x0, y0), Step.To(x1, y1)]) { Breadth = weight });

    internal void Box(double x0, double y0, double x1, double y1, double weight = 1) =>
        Add(new PathShape(Role.Ink, [.. Step.Rectangle(new(x0, y0, x1, y1))]) { Breadth = weight });

    internal void Fill(double x0, double y0, double x1, double y1) =>
        Add(new PathShape(Role.Solid, [.. Step.Rectangle(new(Math.Min(x0, x1), y0, Math.Max(x0, x1), y1))]));

    internal void Circle(double x, double y, double radius, double weight = 1) =>
        Add(new PathShape(Role.Ink, [.. Step.Circle(x, y, radius)]) { Breadth = weight });

    internal void Text(double x, double y, string text, double size = 12, bool bold = false, TextSide side = TextSide.Start) =>
        Add(new TextShape(Role.Words, x, y, text, size) { Bold = bold, Side = side });

    /// <summary>A code that a phone scans, as a square of so much.</summary>
    internal void Code(string text, double x, double y, double side)
    {
        var squares = QrDrawing.Squares(text);
        var n = squares.GetLength(0);
        var pitch = side / n;
        var steps = ImmutableArray.CreateBuilder<Step>();
        for (var row = 0; row < n; row++)
        {
            for (var from = 0; from < n; from++)
            {
                // Squares side by side are one, so no white shows between them.
                var to = from;
                while (to < n && squares[row, to])
                    to++;
                if (to == from)
                    continue;
                steps.AddRange(
                    Step.Ring([
                        (x + (from * pitch), y + (row * pitch)),
                        (x + (to * pitch), y + (row * pitch)),
                        (x + (to * pitch), y + ((row + 1) * pitch)),
                        (x + (from * pitch), y + ((row + 1) * pitch)),
                    ])
                );
                from = to;
            }
        }

        Add(new PathShape(Role.Solid, steps.ToImmutable()));
    }

    internal void Add(params IEnumerable<Shape> more) => shapes.AddRange(more);

    /// <summary>The drawing.</summary>
    /// <param name="name">Its class on a page.</param>
    /// <param name="label">What it shows, for who does not see it.</param>
    /// <param name="wide">How wide it is.</param>
    /// <param name="tall">How tall it is.</param>
    /// <param name="trueSize">Its units are points, and a page shows it in its true size.</param>
    internal Drawing Done(string name, string label, double wide, double tall, bool trueSize = false) =>
        new(label, new(0, 0, wide, tall), 1, [new("", shapes.ToImmutable())])
        {
            Name = $"drawn {name}",
            Data = trueSize ? [("width", $"{SvgWriter.N(wide)}pt"), ("height", $"{SvgWriter.N(tall)}pt")] : [],
        };
}
