using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>The shortest way that a person walks inside a room, round its corners.</summary>
/// <param name="Points">The way, from its beginning to its end.</param>
/// <param name="Length">How long it is.</param>
public sealed record WalkRoute(ImmutableArray<Point> Points, Length Length)
{
    // Walls are passed at half a person's width; the ends of a way are at a wall themselves.
    private const double Clear = 1;

    /// <summary>The way between two places in a room, or none when one of them is not in it.</summary>
    public static WalkRoute? Between(RoomShape room, Point from, Point to)
    {
        var stops = new List<Point> { Inside(room, from), Inside(room, to) };
        if (!room.Contains(stops[0]) || !room.Contains(stops[1]))
            return null;

        // Only corners that jut into the room turn a shortest way.
        for (var i = 0; i < room.Walls.Length; i++)
        {
            var (before, after) = (room.Walls[(i + room.Walls.Length - 1) % room.Walls.Length], room.Walls[i]);
            var turn =
                ((before.Dx * after.Dy) - (before.Dy * after.Dx))
                * ((-before.Dy * room.InX(before)) + (before.Dx * room.InY(before)) > 0 ? 1 : -1);
            if (turn >= -0.001)
                continue;
            var (nx, ny) = (room.InX(before) + room.InX(after), room.InY(before) + room.InY(after));
            stops.Add(new(after.A.X + Length.Inches(nx * Clear), after.A.Y + Length.Inches(ny * Clear)));
        }

        // Dijkstra over at most a few dozen corners.
        var best = Enumerable.Repeat(double.MaxValue, stops.Count).ToArray();
        var via = new int[stops.Count];
        var open = Enumerable.Range(0, stops.Count).ToHashSet();
        best[0] = 0;
        while (open.Count > 0)
        {
            var at = open.MinBy(i => best[i]);
            open.Remove(at);
            if (at == 1 || best[at] == double.MaxValue)
                break;
            foreach (var next in open.Where(n => Sees(room, stops[at], stops[n])).ToList())
            {
                var way = best[at] + stops[at].InchesTo(stops[next]);
                if (way < best[next])
                    (best[next], via[next]) = (way, at);
            }
        }

        if (best[1] == double.MaxValue)
            return null;
        var points = new List<Point> { to };
        for (var i = via[1]; i != 0; i = via[i])
            points.Add(stops[i]);
        points.Add(from);
        points.Reverse();
        return new([.. points], Length.Inches(best[1]));
    }

    // A place at a wall is a step into the room.
    private static Point Inside(RoomShape room, Point p)
    {
        var (wall, along, inches) = room.Nearest(p);
        if (room.Contains(p) && inches >= Clear)
            return p;
        var clear = Length.Inches(Clear);
        return room.On(wall, Length.Max(clear, Length.Min(along, room.Walls[wall].Length - clear)), Clear);
    }

    private static bool Sees(RoomShape room, Point a, Point b)
    {
        foreach (var w in room.Walls)
        {
            if (Side(w.A, w.B, a) * Side(w.A, w.B, b) < 0 && Side(a, b, w.A) * Side(a, b, w.B) < 0)
                return false;
        }

        return room.Contains(new((a.X + b.X) / 2, (a.Y + b.Y) / 2));
    }

    private static double Side(Point a, Point b, Point p) =>
        ((b.X - a.X).InInches * (p.Y - a.Y).InInches) - ((b.Y - a.Y).InInches * (p.X - a.X).InInches);
}
