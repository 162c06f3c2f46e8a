namespace Circuitum.Formats.Pictures;

/// <summary>Outlines of pieces of a mask: the way round their edge, then without the jogs that no wall has.</summary>
internal static class Outlines
{
    /// <summary>The outer edge of a piece, clockwise on the page, corners between sides that go across and down in turn.</summary>
    internal static List<(int X, int Y)> Edge(List<(int X, int Y)> piece)
    {
        var inside = piece.ToHashSet();
        var start = piece.MinBy(p => (p.Y, p.X));
        var corners = new List<(int X, int Y)>();
        var (x, y, heading) = (start.X, start.Y, 0);
        do
        {
            var (dx, dy) = Step(heading);

            // The piece lies at the right hand: the points ahead at the left and at the right tell where its edge goes on.
            var left = inside.Contains(Ahead(x, y, heading, left: true));
            if (left || !inside.Contains(Ahead(x, y, heading, left: false)))
            {
                corners.Add((x, y));
                heading = (heading + (left ? 3 : 1)) % 4;
                if (left)
                {
                    (dx, dy) = Step(heading);
                    (x, y) = (x + dx, y + dy);
                }

                continue;
            }

            (x, y) = (x + dx, y + dy);
        } while ((x, y) != start || heading != 0);

        return corners;
    }

    /// <summary>The same without sides shorter than a length, each laid to the longer of its neighbours.</summary>
    internal static List<(int X, int Y)> Straight(List<(int X, int Y)> corners, double least)
    {
        // Which way the side from a corner goes is kept with it: one that has shrunk to nothing no longer tells.
        var all = corners.Select((c, i) => (c.X, c.Y, Down: c.X == corners[(i + 1) % corners.Count].X)).ToList();
        while (all.Count > 4)
        {
            var n = all.Count;
            var first = Enumerable.Range(0, n).MinBy(Long);
            if (Long(first) >= least)
                break;
            var (before, second, after) = ((first - 1 + n) % n, (first + 1) % n, (first + 2) % n);
            var down = all[first].Down;
            if (Long(before) >= Long(second))
                all[after] = down ? all[after] with { Y = all[first].Y } : all[after] with { X = all[first].X };
            else
                all[before] = down ? all[before] with { Y = all[second].Y } : all[before] with { X = all[second].X };
            foreach (var gone in new[] { first, second }.OrderDescending())
                all.RemoveAt(gone);
        }

        return [.. all.Select(c => (c.X, c.Y))];

        int Long(int side)
        {
            var (a, b) = (all[side], all[(side + 1) % all.Count]);
            return Math.Abs(a.X - b.X) + Math.Abs(a.Y - b.Y);
        }
    }

    private static (int, int) Step(int heading) =>
        heading switch
        {
            0 => (1, 0),
            1 => (0, 1),
            2 => (-1, 0),
            _ => (0, -1),
        };

    private static (int, int) Ahead(int x, int y, int heading, bool left) =>
        heading switch
        {
            0 => (x, left ? y - 1 : y),
            1 => (left ? x : x - 1, y),
            2 => (x - 1, left ? y : y - 1),
            _ => (left ? x - 1 : x, y - 1),
        };
}
