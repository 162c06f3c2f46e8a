namespace Circuitum.Formats.Pictures;

/// <summary>
/// Fills hollow walls: paper between two lines. In one plan walls are of two or three thicknesses, so what is as far apart as most lines
/// are is a wall, and the leaf of a door beside a wall is not.
/// </summary>
internal static class HollowWalls
{
    private const double ThickestInches = 12;
    private const double ThinnestInches = 1.2;
    private const double OftenEnough = 0.06;
    private const double NarrowestInches = 12;
    private const double LeastWindowInches = 14;
    private const double LetterInches = 14;

    /// <summary>The ink with hollow walls filled.</summary>
    internal static Mask Filled(Mask ink, double perInch)
    {
        var strokes = ink.Copy();
        strokes.Drop(LetterInches * perInch);
        var (least, most) = ((int)Math.Round(ThinnestInches * perInch), (int)Math.Round(ThickestInches * perInch));
        var counts = new int[most + 2];
        Runs(strokes, (_, _, _, length) => counts[length]++, most);

        // An edge is even only to a pixel.
        int About(int length) => counts[length - 1] + counts[length] + counts[length + 1];
        var often = Enumerable.Range(least, most - least + 1).Max(About) * OftenEnough;
        bool IsWall(int length) => length >= least && About(length) >= often;
        var filled = strokes.Copy();
        Runs(
            strokes,
            (x, y, across, length) =>
            {
                if (!IsWall(length))
                    return;
                for (var i = 0; i < length; i++)
                    filled[across ? x + i : x, across ? y : y + i] = true;
            },
            most
        );
        return filled;
    }

    /// <summary>Closes what is narrower than any room or door: where the lines of a window lay unevenly.</summary>
    internal static void Close(Mask walls, double perInch)
    {
        var most = (int)Math.Round(NarrowestInches * perInch);
        var closed = new List<(int X, int Y)>();
        Runs(
            walls,
            (x, y, across, length) =>
            {
                for (var i = 0; i < length; i++)
                    closed.Add(across ? (x + i, y) : (x, y + i));
            },
            most
        );
        foreach (var (x, y) in closed)
            walls[x, y] = true;
    }

    /// <summary>Windows: where a line runs inside a wall.</summary>
    internal static IEnumerable<WallGap> Windows(Mask walls, Mask ink, double perInch)
    {
        var lines = new Mask(walls.Wide, walls.Tall);
        for (var y = 0; y < walls.Tall; y++)
        {
            for (var x = 0; x < walls.Wide; x++)
                lines[x, y] = IsInside(walls, x, y) && (ink[x, y] || ink[x - 1, y] || ink[x + 1, y] || ink[x, y - 1] || ink[x, y + 1]);
        }

        foreach (var line in lines.Pieces(true))
        {
            var (x0, x1) = (line.Min(p => p.X), line.Max(p => p.X) + 1);
            var (y0, y1) = (line.Min(p => p.Y), line.Max(p => p.Y) + 1);
            var across = x1 - x0 > y1 - y0;
            var (along, thick) = across ? (x1 - x0, y1 - y0) : (y1 - y0, x1 - x0);
            if (along < LeastWindowInches * perInch || thick > ThinnestInches * 3 * perInch)
                continue;
            var (mx, my) = ((x0 + x1) / 2, (y0 + y1) / 2);
            while (across ? walls[mx, y0 - 1] : walls[x0 - 1, my])
                (x0, y0) = across ? (x0, y0 - 1) : (x0 - 1, y0);
            while (across ? walls[mx, y1] : walls[x1, my])
                (x1, y1) = across ? (x1, y1 + 1) : (x1 + 1, y1);
            if (Math.Min(x1 - x0, y1 - y0) <= ThickestInches * perInch)
                yield return new(x0, y0, x1, y1, across);
        }
    }

    // Clear of its edges, where its own lines are.
    private static bool IsInside(Mask walls, int x, int y)
    {
        const int Edge = 4;
        return walls[x - Edge, y] && walls[x + Edge, y] && walls[x, y - Edge] && walls[x, y + Edge];
    }

    // Runs of paper between ink, along rows and along columns.
    private static void Runs(Mask ink, Action<int, int, bool, int> found, int most)
    {
        foreach (var across in new[] { true, false })
        {
            var (lines, along) = across ? (ink.Tall, ink.Wide) : (ink.Wide, ink.Tall);
            for (var line = 0; line < lines; line++)
            {
                var last = -1;
                for (var i = 0; i < along; i++)
                {
                    if (!(across ? ink[i, line] : ink[line, i]))
                        continue;
                    var length = i - last - 1;
                    if (last >= 0 && length > 0 && length <= most)
                        found(across ? last + 1 : line, across ? line : last + 1, across, length);
                    last = i;
                }
            }
        }
    }
}
