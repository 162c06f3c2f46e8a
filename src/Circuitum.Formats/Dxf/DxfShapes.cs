using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Dxf;

/// <summary>Writes the shapes of a drawing, each on the layer of its role.</summary>
internal static class DxfShapes
{
    // Bows and arcs become this many straight pieces.
    private const int Pieces = 12;

    /// <summary>The layer of a role; none for what only a hand on a screen needs, and for walls and openings, which go as they are
    /// built.</summary>
    internal static string? Layer(Role role) =>
        role switch
        {
            Role.Floor => "ROOMS",
            Role.Thing => "FIXTURES",
            Role.ThingName or Role.RoomName or Role.RoomSize => "NAMES",
            Role.Leaf => "SWINGS",
            Role.Glass => "GLASS",
            Role.Symbol or Role.MarkText or Role.Mark => "BOXES",
            Role.Panel or Role.PanelName => "PANELS",
            Role.Wiring => "WIRING",
            Role.HomeRun => "HOME-RUNS",
            Role.Tag => "CIRCUITS",
            Role.Leader => "LEADERS",
            Role.Dimension or Role.DimensionText => "DIMENSIONS",
            _ => null,
        };

    internal static void Write(DxfPairs w, Drawing drawing)
    {
        foreach (var shape in drawing.Layers.SelectMany(l => l.Shapes))
            Write(w, shape, (0, 0), 1, 0, 1 / drawing.Scale);
    }

    // Inside an anchor a unit is a pixel, turned by the anchor.
    private static void Write(DxfPairs w, Shape shape, (double X, double Y) at, double unit, double turn, double pixel)
    {
        switch (shape)
        {
            case GroupShape group:
                foreach (var inner in group.Shapes)
                    Write(w, inner, at, unit, turn, pixel);
                break;
            case AnchorShape anchor:
                var place = Place(anchor.X, anchor.Y, at, unit, turn);
                foreach (var inner in anchor.Shapes)
                    Write(w, inner, place, pixel, turn + anchor.Turn, pixel);
                break;
            case TextShape text when Layer(text.Role) is { } layer:
                w.Text(layer, On(w, Place(Left(text), text.Y, at, unit, turn)), text.Size * unit * TextWidths.Above, text.Text);
                break;
            case PathShape path when Layer(path.Role) is { } layer && path.State != "back":
                foreach (var (line, closed) in Lines(path))
                    w.Polyline(layer, line.Select(p => On(w, Place(p.X, p.Y, at, unit, turn))), closed);
                break;
        }
    }

    private static double Left(TextShape text) =>
        text.X
        - (
            text.Side switch
            {
                TextSide.Start => 0,
                TextSide.End => 1,
                _ => 0.5,
            } * TextWidths.Of(text.Text, text.Size, text.Bold)
        );

    /// <summary>A path as rows of straight pieces.</summary>
    internal static IEnumerable<(List<(double X, double Y)> Line, bool Closed)> Lines(PathShape path)
    {
        var line = new List<(double X, double Y)>();
        foreach (var s in path.Steps)
        {
            switch (s.Kind)
            {
                case StepKind.From:
                    if (line.Count > 1)
                        yield return (line, false);
                    line = [(s.X, s.Y)];
                    break;
                case StepKind.To:
                    line.Add((s.X, s.Y));
                    break;
                case StepKind.Bow:
                    var from = line[^1];
                    for (var i = 1; i <= Pieces; i++)
                        line.Add(Bow(from, s, (double)i / Pieces));
                    break;
                case StepKind.Arc:
                    line.AddRange(Arc(line[^1], s));
                    break;
                default:
                    yield return (line, true);
                    line = [];
                    break;
            }
        }

        if (line.Count > 1)
            yield return (line, false);
    }

    private static (double, double) Bow((double X, double Y) from, Step to, double t) =>
        (
            ((1 - t) * (1 - t) * from.X) + (2 * t * (1 - t) * to.Cx) + (t * t * to.X),
            ((1 - t) * (1 - t) * from.Y) + (2 * t * (1 - t) * to.Cy) + (t * t * to.Y)
        );

    // Of the two circles through both ends with the radius, the one on whose shorter arc one goes the way that is told.
    private static IEnumerable<(double, double)> Arc((double X, double Y) from, Step to)
    {
        var (dx, dy) = (to.X - from.X, to.Y - from.Y);
        var chord = Math.Sqrt((dx * dx) + (dy * dy));
        var off = Math.Sqrt(Math.Max(0, (to.Cx * to.Cx) - (chord * chord / 4)));
        var side = to.Cy > 0 ? 1 : -1;
        var (x, y) = (((from.X + to.X) / 2) - (side * dy / chord * off), ((from.Y + to.Y) / 2) + (side * dx / chord * off));
        var (start, end) = (Math.Atan2(from.Y - y, from.X - x), Math.Atan2(to.Y - y, to.X - x));
        var sweep = end - start;
        while (side > 0 && sweep <= 0)
            sweep += 2 * Math.PI;
        while (side < 0 && sweep >= 0)
            sweep -= 2 * Math.PI;
        for (var i = 1; i <= Pieces; i++)
        {
            var angle = start + (sweep * i / Pieces);
            yield return (x + (to.Cx * Math.Cos(angle)), y + (to.Cx * Math.Sin(angle)));
        }
    }

    private static (double X, double Y) Place(double x, double y, (double X, double Y) at, double unit, double turn)
    {
        var (sin, cos) = Math.SinCos(turn * Math.PI / 180);
        return (at.X + (unit * ((x * cos) - (y * sin))), at.Y + (unit * ((x * sin) + (y * cos))));
    }

    private static Point On(DxfPairs w, (double X, double Y) place) => w.Place(place.X, place.Y);
}
