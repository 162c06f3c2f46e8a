using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Formats.Dxf;

/// <summary>A stretch in a drawing that may be an opening.</summary>
/// <param name="Kind">What its layer says it is.</param>
/// <param name="A">One end; the hinge of a swing.</param>
/// <param name="B">The other.</param>
/// <param name="Leaf">A point that the open leaf reaches, for a swing.</param>
/// <param name="Group">Marks of one group are readings of one thing in the drawing: only one of them is right.</param>
internal sealed record OpeningMark(OpeningKind Kind, Point A, Point B, Point? Leaf, int Group)
{
    private const double Beside = 14;

    /// <summary>Where the mark lies on a wall when it runs beside it, and how far off.</summary>
    internal (Length From, Length To, End Hinge, double Off)? Fit(RoomShape shape, Wall wall)
    {
        var length = A.InchesTo(B);
        if (length < 12)
            return null;
        var (dx, dy) = ((B.X - A.X).InInches / length, (B.Y - A.Y).InInches / length);
        if (Math.Abs((dx * wall.Dy) - (dy * wall.Dx)) > 0.02)
            return null;
        var off = -(((A.X - wall.A.X).InInches * shape.InX(wall)) + ((A.Y - wall.A.Y).InInches * shape.InY(wall)));
        if (off is < -2 or > Beside)
            return null;
        var (a, b) = (wall.Along(A), wall.Along(B));
        var (from, to) = (Length.Min(a, b), Length.Max(a, b));
        if (from < -Length.Inches(1) || to > wall.Length + Length.Inches(1))
            return null;
        return (Length.Max(from, Length.Zero), Length.Min(to, wall.Length), a <= b ? End.Start : End.Finish, Math.Abs(off));
    }
}

/// <summary>Finds the marks of doors and windows.</summary>
internal static class OpeningMarks
{
    internal static List<OpeningMark> Of(DxfDrawing drawing, DxfChoice choice, Scale scale)
    {
        var marks = new List<OpeningMark>();
        foreach (var arc in drawing.Arcs.Where(a => choice.Doors.Contains(a.Layer)))
        {
            // A swing goes from the closed to the open leaf: either end may be the latch; the wall beside it tells.
            var (centre, from, to) = (scale.Of(arc.Centre), scale.Of(arc.At(arc.From)), scale.Of(arc.At(arc.To)));
            if (centre.InchesTo(from) is < 15 or > 60)
                continue;
            var group = marks.Count;
            marks.Add(new(OpeningKind.Hinged, centre, from, to, group));
            marks.Add(new(OpeningKind.Hinged, centre, to, from, group));
        }

        foreach (var path in drawing.Paths)
        {
            var window = choice.Windows.Contains(path.Layer);
            if (!window && !choice.Doors.Contains(path.Layer))
                continue;
            var points = path.Points.Select(scale.Of).ToList();
            for (var i = 1; i < points.Count + (path.Closed ? 1 : 0); i++)
            {
                var (a, b) = (points[i - 1], points[i % points.Count]);
                if (a.InchesTo(b) is >= 12 and <= 240)
                    marks.Add(new(window ? OpeningKind.Window : KindOf(path.Layer), a, b, null, marks.Count));
            }
        }

        // A swing says more than a line; the longer of two lines is the opening and the shorter one its leaf or trim.
        return [.. marks.OrderBy(m => m.Leaf is null ? 1 : 0).ThenByDescending(m => m.A.InchesTo(m.B))];
    }

    private static OpeningKind KindOf(string layer)
    {
        bool Has(string word) => layer.Contains(word, StringComparison.OrdinalIgnoreCase);
        return Has("garage") || Has("overhead") ? OpeningKind.GarageDoor
            : Has("slid") || Has("patio") ? OpeningKind.Sliding
            : Has("pocket") ? OpeningKind.Pocket
            : Has("cased") || Has("opening") ? OpeningKind.Cased
            : OpeningKind.Hinged;
    }
}
