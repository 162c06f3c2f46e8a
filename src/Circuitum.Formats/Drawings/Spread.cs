namespace Circuitum.Formats.Drawings;

/// <summary>Moves symbols apart that lie over each other: along their wall, or away from each other, and never far.</summary>
internal static class Spread
{
    private const int Rounds = 24;

    // Farther than this from its place a symbol would mislead.
    private const double Farthest = 18;

    /// <summary>Moves them.</summary>
    /// <param name="marks">The symbols.</param>
    /// <param name="fixed">What stands where it stands.</param>
    internal static void Apart(List<PlacedMark> marks, IReadOnlyList<Area> @fixed)
    {
        var from = marks.ToDictionary(m => m, m => m.Shift);
        var pairs = Near(marks);
        var beside = marks.SelectMany(m => @fixed.Where(f => f.To(m.Area) < 2 * Farthest).Select(f => (Mark: m, Area: f))).ToList();
        for (var round = 0; round < Rounds; round++)
        {
            var moved = false;
            foreach (var (mark, area) in beside)
                moved |= area.Overlaps(mark.Area) && Beside(mark, area, from);
            foreach (var (one, other) in pairs)
                moved |= one.Area.Overlaps(other.Area) && Push(one, other, from);
            if (!moved)
                break;
        }

        // What the wall is too short for stands in a second row before it.
        foreach (var mark in marks.Where(m => m.Into is not null))
        {
            if (pairs.Any(p => (p.One == mark || p.Other == mark) && p.One.Area.Overlaps(p.Other.Area)) || @fixed.Any(mark.Area.Overlaps))
                Behind(mark, [.. marks.Where(m => m != mark).Select(m => m.Area), .. @fixed]);
        }
    }

    // The pairs that can come over each other at all.
    private static List<(PlacedMark One, PlacedMark Other)> Near(List<PlacedMark> marks)
    {
        var sorted = marks.OrderBy(m => m.Area.X0).ToList();
        var pairs = new List<(PlacedMark, PlacedMark)>();
        for (var i = 0; i < sorted.Count; i++)
        {
            var area = sorted[i].Area.Grow(2 * Farthest);
            for (var j = i + 1; j < sorted.Count && sorted[j].Area.X0 < area.X1; j++)
            {
                if (sorted[j].Area.Overlaps(area))
                    pairs.Add((sorted[i], sorted[j]));
            }
        }

        return pairs;
    }

    private static void Behind(PlacedMark mark, List<Area> others)
    {
        const int Most = 3;
        for (var row = 0; row < Most && others.Find(mark.Area.Overlaps) is { Wide: > 0 } over; row++)
        {
            var (x, y) = mark.Into!.Value;
            var by =
                Math.Abs(x) > Math.Abs(y)
                    ? (x > 0 ? over.X1 - mark.Area.X0 : mark.Area.X1 - over.X0)
                    : (y > 0 ? over.Y1 - mark.Area.Y0 : mark.Area.Y1 - over.Y0);
            mark.Push(x * (by + 0.5), y * (by + 0.5));
        }
    }

    private static bool Beside(PlacedMark mark, Area area, Dictionary<PlacedMark, (double X, double Y)> from)
    {
        var own = mark.Area;
        var (dx, dy) = (mark.Middle.X - ((area.X0 + area.X1) / 2), mark.Middle.Y - ((area.Y0 + area.Y1) / 2));
        var level = mark.Along is { } w ? Math.Abs(w.X) > Math.Abs(w.Y) : Math.Abs(dx) > Math.Abs(dy);
        var by = level ? (dx >= 0 ? area.X1 - own.X0 : area.X0 - own.X1) : (dy >= 0 ? area.Y1 - own.Y0 : area.Y0 - own.Y1);
        return Move(mark, by + (0.5 * Math.Sign(by)), level, from);
    }

    private static bool Push(PlacedMark one, PlacedMark other, Dictionary<PlacedMark, (double X, double Y)> from)
    {
        var (a, b) = (one.Area, other.Area);
        var (overX, overY) = (Math.Min(a.X1, b.X1) - Math.Max(a.X0, b.X0) + 0.5, Math.Min(a.Y1, b.Y1) - Math.Max(a.Y0, b.Y0) + 0.5);
        var (dx, dy) = (one.Middle.X - other.Middle.X, one.Middle.Y - other.Middle.Y);
        var sideX = dx == 0 ? string.CompareOrdinal(one.Box.Id, other.Box.Id) : Math.Sign(dx);
        var sideY = dy == 0 ? string.CompareOrdinal(one.Box.Id, other.Box.Id) : Math.Sign(dy);

        // Along the wall of the one that hangs on one; else the shorter way.
        var wall = one.Along ?? other.Along;
        var levelWall = wall is { } w && Math.Abs(w.X) > Math.Abs(w.Y);
        var level = wall is null ? overX <= overY : levelWall;
        var by = (level ? overX * Math.Sign(sideX) : overY * Math.Sign(sideY)) / 2;
        return Move(one, by, level, from) | Move(other, -by, level, from);
    }

    private static bool Move(PlacedMark mark, double by, bool level, Dictionary<PlacedMark, (double X, double Y)> from)
    {
        // One on a wall goes along it, whichever way the other would have it.
        if (mark.Along is { } own && (Math.Abs(own.X) > Math.Abs(own.Y)) != level)
            return false;
        var (x, y) = (level ? by : 0, level ? 0 : by);
        var first = from[mark];
        if (Math.Abs(mark.Shift.X + x - first.X) > Farthest || Math.Abs(mark.Shift.Y + y - first.Y) > Farthest)
            return false;
        mark.Push(x, y);
        return true;
    }
}
