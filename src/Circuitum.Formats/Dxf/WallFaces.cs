using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Polygonize;
using NetTopologySuite.Operation.Union;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Formats.Dxf;

/// <summary>Finds rooms between wall lines: the lines are closed over doors and windows, and what they enclose is looked at.</summary>
internal static class WallFaces
{
    private const int MostSegments = 30_000;

    // Narrower than this it is the body of a wall or a chase and no room.
    private const double LeastWidth = 17;

    internal static (List<List<Point>> Faces, string Problem, bool Single) Of(
        DxfDrawing drawing,
        ImmutableHashSet<string> layers,
        Scale scale,
        List<OpeningMark> marks
    )
    {
        var lines = new List<(Coordinate A, Coordinate B)>();
        foreach (var path in drawing.Paths.Where(p => layers.Contains(p.Layer)))
        {
            var points = path.Points.Select(scale.Of).Select(p => new Coordinate(p.X.InInches, p.Y.InInches)).ToList();
            for (var i = 1; i < points.Count + (path.Closed ? 1 : 0); i++)
            {
                if (points[i - 1].Distance(points[i % points.Count]) > 0.01)
                    lines.Add((points[i - 1], points[i % points.Count]));
            }

            if (lines.Count > MostSegments)
                return ([], $"The wall layers hold more than {MostSegments:#,0} lines. Choose fewer layers.", false);
        }

        if (lines.Count == 0)
            return ([], "The chosen wall layers hold no line.", false);
        lines.AddRange(Closers(lines, marks));
        var noded = UnaryUnionOp.Union(lines.Select(l => (NetTopologySuite.Geometries.Geometry)new LineString([l.A, l.B])));
        var polygonizer = new Polygonizer();
        polygonizer.Add(noded);
        var all = polygonizer.GetPolygons().OfType<Polygon>().ToList();
        bool Wide(Polygon p) => !BufferOp.Buffer(p, -LeastWidth / 2).IsEmpty;
        var wide = all.Where(Wide).ToList();

        // Where the rooms touch each other the walls were drawn as single lines.
        var single = wide.Count > 1 && all.Count == wide.Count;
        var half = new BufferParameters(1, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        var faces = wide.Select(p => single ? BufferOp.Buffer(new Polygon(p.Shell), -2.25, half) as Polygon : new Polygon(p.Shell))
            .OfType<Polygon>();
        return (
            [
                .. faces
                    .Select(p => Tidy(p.Shell.Coordinates.Select(c => new Point(scale.Measured(c.X), scale.Measured(c.Y)))))
                    .OrderBy(o => o.Min(p => p.Y))
                    .ThenBy(o => o.Min(p => p.X)),
            ],
            "",
            single
        );
    }

    // Going round once, clockwise on the page, without corners that are none.
    internal static List<Point> Tidy(IEnumerable<Point> corners)
    {
        var ring = corners.ToList();
        for (var i = ring.Count - 1; i >= 0 && ring.Count > 3; i--)
        {
            var (before, at, after) = (ring[(i + ring.Count - 1) % ring.Count], ring[i], ring[(i + 1) % ring.Count]);
            var (ux, uy, vx, vy) = (
                (at.X - before.X).InInches,
                (at.Y - before.Y).InInches,
                (after.X - at.X).InInches,
                (after.Y - at.Y).InInches
            );
            var (u, v) = (Math.Sqrt((ux * ux) + (uy * uy)), Math.Sqrt((vx * vx) + (vy * vy)));
            if (u < 0.05 || v < 0.01 || Math.Abs((ux * vy) - (uy * vx)) / (u * v) < 0.002)
                ring.RemoveAt(i);
        }

        double twice = 0;
        for (var i = 0; i < ring.Count; i++)
            twice +=
                (ring[i].X.InInches * ring[(i + 1) % ring.Count].Y.InInches) - (ring[(i + 1) % ring.Count].X.InInches * ring[i].Y.InInches);
        if (twice < 0)
            ring.Reverse();
        return ring;
    }

    // Wall faces end at the jambs. For each mark the ends on both sides that lie in one line with it are joined.
    private static List<(Coordinate A, Coordinate B)> Closers(List<(Coordinate A, Coordinate B)> lines, List<OpeningMark> marks)
    {
        var ends = lines.SelectMany(l => new[] { l.A, l.B }).Distinct().ToList();
        var closers = new List<(Coordinate, Coordinate)>();
        foreach (var mark in marks)
        {
            var (ax, ay) = (mark.A.X.InInches, mark.A.Y.InInches);
            var length = mark.A.InchesTo(mark.B);
            var (dx, dy) = ((mark.B.X.InInches - ax) / length, (mark.B.Y.InInches - ay) / length);
            (double Along, double Off) Seen(Coordinate c) => (((c.X - ax) * dx) + ((c.Y - ay) * dy), ((c.Y - ay) * dx) - ((c.X - ax) * dy));
            var near = ends.Select(c => (At: c, Place: Seen(c)))
                .Where(e => Math.Abs(e.Place.Off) < 16 && (Math.Abs(e.Place.Along) < 4 || Math.Abs(e.Place.Along - length) < 4))
                .ToList();
            foreach (var (first, place) in near.Where(e => e.Place.Along < length / 2))
            {
                var across = near.Where(e => e.Place.Along > length / 2 && Math.Abs(e.Place.Off - place.Off) < 0.3)
                    .OrderBy(e => Math.Abs(e.Place.Along - length))
                    .FirstOrDefault();
                if (across.At is not null)
                    closers.Add((first, across.At));
            }
        }

        return closers;
    }
}
