using NetTopologySuite.Geometries;
using NetTopologySuite.Simplify;

namespace Circuitum.Formats.Pictures;

/// <summary>Outlines of rooms of which a wall runs at a slant: a bay, a cut corner.</summary>
internal static class SlantedOutline
{
    private const double UnevenInches = 2;
    private const double LeastSlantInches = 18;
    private const double LeastSideInches = 5;

    // Less than this off the straight is how a picture leans, not how a wall runs.
    private const double StraightDegrees = 6;

    // The sine of a turn below which two sides are one wall.
    private const double LeastTurn = 0.15;

    /// <summary>A side: its middle, its direction, its length; across or down where it nearly is.</summary>
    private readonly record struct Side(double X, double Y, double Dx, double Dy, double Long)
    {
        internal bool IsStraight => Math.Min(Math.Abs(Dx), Math.Abs(Dy)) < Math.Sin(StraightDegrees * Math.PI / 180);

        internal Side Straightened() =>
            !IsStraight ? this
            : Math.Abs(Dx) > Math.Abs(Dy) ? this with { Dx = Math.Sign(Dx), Dy = 0 }
            : this with { Dx = 0, Dy = Math.Sign(Dy) };
    }

    /// <summary>The outline, or none when all sides that count run across or down.</summary>
    /// <param name="edge">The edge of the room, point by point, clockwise.</param>
    /// <param name="perInch">Pixels to an inch.</param>
    internal static List<(double X, double Y)>? Of(List<(int X, int Y)> edge, double perInch)
    {
        if (edge.Count < 4)
            return null;
        var ring = new LinearRing([.. edge.Append(edge[0]).Select(p => new Coordinate(p.X, p.Y))]);
        if (DouglasPeuckerSimplifier.Simplify(ring, UnevenInches * perInch) is not LinearRing { NumPoints: > 3 } few)
            return null;
        var lines = Sides([.. few.Coordinates[..^1].Select(c => (c.X, c.Y))]).ToList();
        if (!lines.Exists(s => !s.IsStraight && s.Long >= LeastSlantInches * perInch))
            return null;
        Drop(lines, perInch);

        // Corners are where the lines meet.
        var made = new List<(double X, double Y)>();
        for (var i = 0; i < lines.Count; i++)
        {
            var (a, b) = (lines[(i + lines.Count - 1) % lines.Count], lines[i]);
            var across = Across(a, b);
            if (Math.Abs(across) < LeastTurn)
                continue;
            var t = (((b.X - a.X) * b.Dy) - ((b.Y - a.Y) * b.Dx)) / across;
            made.Add((a.X + (t * a.Dx), a.Y + (t * a.Dy)));
        }

        return made.Count >= 3 ? made : null;
    }

    private static IEnumerable<Side> Sides(List<(double X, double Y)> corners)
    {
        for (var i = 0; i < corners.Count; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Count]);
            var along = Math.Sqrt(((b.X - a.X) * (b.X - a.X)) + ((b.Y - a.Y) * (b.Y - a.Y)));
            if (along > 0)
                yield return new Side((a.X + b.X) / 2, (a.Y + b.Y) / 2, (b.X - a.X) / along, (b.Y - a.Y) / along, along).Straightened();
        }
    }

    // What is too short for a wall goes, above all the round of a corner; a jog stays where without it two walls would not meet.
    private static void Drop(List<Side> sides, double perInch)
    {
        for (var i = 0; i < sides.Count && sides.Count > 3; )
        {
            var side = sides[i];
            var least = side.IsStraight ? LeastSideInches : LeastSlantInches;
            var (before, after) = (sides[(i + sides.Count - 1) % sides.Count], sides[(i + 1) % sides.Count]);
            if (side.Long < least * perInch && Math.Abs(Across(before, after)) >= LeastTurn)
                sides.RemoveAt(i);
            else
                i++;
        }
    }

    private static double Across(Side a, Side b) => (a.Dx * b.Dy) - (a.Dy * b.Dx);
}
