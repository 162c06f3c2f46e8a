using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Tests;

/// <summary>What a shape in plain ink is.</summary>
internal enum StrokeKind
{
    Line,
    Box,
    Fill,
    Circle,
    Text,
}

/// <summary>A shape in plain ink: from and to; of a circle its middle and, as X1, its radius; of text X1 is its size.</summary>
internal sealed record Stroke(StrokeKind Kind, double X0, double Y0, double X1, double Y1, string Text, double Weight, bool Bold)
{
    internal static List<Stroke> Of(Drawing drawing) => [.. drawing.Layers.SelectMany(l => l.Shapes).SelectMany(Of)];

    private static IEnumerable<Stroke> Of(Shape shape) =>
        shape switch
        {
            TextShape t => [new(StrokeKind.Text, t.X, t.Y, t.Size, 0, t.Text, 1, t.Bold)],
            PathShape p => [Path(p)],
            GroupShape g => g.Shapes.SelectMany(Of),
            _ => [],
        };

    private static Stroke Path(PathShape p)
    {
        var (x0, y0, x1, y1) = (p.Steps[0].X, p.Steps[0].Y, p.Steps[1].X, p.Steps[1].Y);
        var weight = p.Breadth ?? 0;
        if (p.Steps[1].Kind == StepKind.Arc)
            return new(StrokeKind.Circle, (x0 + x1) / 2, y0, (x1 - x0) / 2, 0, "", weight, false);
        if (p.Steps.Length == 2)
            return new(StrokeKind.Line, x0, y0, x1, y1, "", weight, false);
        var kind = p.Role == Role.Solid ? StrokeKind.Fill : StrokeKind.Box;
        return new(kind, x0, y0, p.Steps[2].X, p.Steps[2].Y, "", weight, false);
    }
}
