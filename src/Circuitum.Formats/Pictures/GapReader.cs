using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Pictures;

/// <summary>Tells what is drawn in a gap of a wall: a leaf with its arc, the lines of a window, or nothing.</summary>
internal sealed class GapReader(Mask ink, double perInch)
{
    private const double MostlyInk = 0.6;

    /// <summary>What a gap is; for a hinged door also its jamb and the side to which it swings.</summary>
    /// <param name="gap">The gap.</param>
    /// <param name="outside">Whether the open air is beyond.</param>
    internal (OpeningKind Kind, bool HingeAtEnd, bool ToHigh) Read(WallGap gap, bool outside)
    {
        var best = (Score: 0.0, AtEnd: false, High: false);
        foreach (var atEnd in new[] { false, true })
        {
            foreach (var high in new[] { false, true })
            {
                foreach (var depth in new[] { 0.0, 0.5, 1.0 })
                {
                    var score = Arc(gap, atEnd, high, depth);
                    if (score > best.Score)
                        best = (score, atEnd, high);
                }
            }
        }

        if (best.Score >= MostlyInk)
            return (OpeningKind.Hinged, best.AtEnd, best.High);
        var lines = Lines(gap);
        if (lines >= 2)
            return (OpeningKind.Window, false, false);
        if (outside)
            return (gap.Length > 7 * 12 * perInch ? OpeningKind.GarageDoor : OpeningKind.Hinged, false, false);
        return (lines == 1 ? OpeningKind.Sliding : OpeningKind.Cased, false, false);
    }

    // How much of a quarter about a jamb is drawn, away from its ends, where leaf and wall are drawn as well.
    private double Arc(WallGap gap, bool atEnd, bool high, double depth)
    {
        var (along, length) = (gap.Across ? gap.X0 : gap.Y0, gap.Length);
        var (low, far) = gap.Across ? (gap.Y0, gap.Y1) : (gap.X0, gap.X1);
        var hinge = atEnd ? along + length : along;
        var face = high ? far - (depth * (far - low)) : low + (depth * (far - low));
        var hit = 0;
        var all = 0;
        for (var degrees = 20; degrees <= 75; degrees += 3)
        {
            var (c, s) = (Math.Cos(degrees * Math.PI / 180) * length, Math.Sin(degrees * Math.PI / 180) * length);
            var (u, v) = (hinge + (atEnd ? -c : c), face + (high ? s : -s));
            all++;
            if (Near(gap.Across ? u : v, gap.Across ? v : u))
                hit++;
        }

        return (double)hit / all;
    }

    private bool Near(double x, double y)
    {
        var reach = Math.Max(1, (int)Math.Round(perInch));
        for (var dy = -reach; dy <= reach; dy++)
        {
            for (var dx = -reach; dx <= reach; dx++)
            {
                if (ink[(int)x + dx, (int)y + dy])
                    return true;
            }
        }

        return false;
    }

    // Lines along the gap, from jamb to jamb, with paper between them.
    private int Lines(WallGap gap)
    {
        var lines = 0;
        var before = false;
        var (low, high) = gap.Across ? (gap.Y0, gap.Y1) : (gap.X0, gap.X1);
        for (var through = low - 1; through <= high; through++)
        {
            var drawn = 0;
            for (var i = 0; i < gap.Length; i++)
            {
                var along = (gap.Across ? gap.X0 : gap.Y0) + i;
                if (gap.Across ? ink[along, through] : ink[through, along])
                    drawn++;
            }

            var line = drawn >= gap.Length * MostlyInk;
            if (line && !before)
                lines++;
            before = line;
        }

        return lines;
    }
}
