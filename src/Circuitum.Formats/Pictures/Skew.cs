namespace Circuitum.Formats.Pictures;

/// <summary>By how much a plan leans: the angle at which its walls, seen along, fall into the fewest lines.</summary>
internal static class Skew
{
    private const double MostDegrees = 6;
    private const int MostPoints = 40_000;

    /// <summary>The angle in radians.</summary>
    internal static double Of(Mask walls)
    {
        var points = new List<(double X, double Y)>();
        for (var y = 0; y < walls.Tall; y++)
        {
            for (var x = 0; x < walls.Wide; x++)
            {
                if (walls[x, y])
                    points.Add((x, y));
            }
        }

        if (points.Count == 0)
            return 0;
        var step = Math.Max(1, points.Count / MostPoints);
        var few = points.Where((_, i) => i % step == 0).ToList();
        var best = Best(few, walls, 0, MostDegrees, 0.5);
        best = Best(few, walls, best, 0.5, 0.1);
        return Best(few, walls, best, 0.1, 0.02) * Math.PI / 180;
    }

    private static double Best(List<(double X, double Y)> points, Mask walls, double about, double most, double step)
    {
        var (best, at) = (-1.0, about);
        for (var degrees = about - most; degrees <= about + most + 1e-9; degrees += step)
        {
            var score = Lines(points, walls, degrees * Math.PI / 180);
            if (score > best)
                (best, at) = (score, degrees);
        }

        return at;
    }

    // How unevenly the points fall on lines across and on lines down.
    private static double Lines(List<(double X, double Y)> points, Mask walls, double radians)
    {
        var (c, s) = (Math.Cos(radians), Math.Sin(radians));
        var room = walls.Wide + walls.Tall;
        var (rows, columns) = (new double[2 * room], new double[2 * room]);
        foreach (var (x, y) in points)
        {
            rows[(int)Math.Round((c * y) - (s * x)) + room]++;
            columns[(int)Math.Round((c * x) + (s * y)) + room]++;
        }

        return rows.Sum(n => n * n) + columns.Sum(n => n * n);
    }
}
