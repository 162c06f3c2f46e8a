using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Drafting;

/// <summary>The lines that a drawn corner is drawn to: faces of walls, and the same a wall's thickness away.</summary>
/// <param name="X">Lines up and down the page.</param>
/// <param name="Y">Lines across the page.</param>
public sealed record SnapLines(ImmutableArray<Length> X, ImmutableArray<Length> Y)
{
    // A pointer on the screen gives decimal inches; what is this close to a line is meant to be on it.
    private static readonly Length Hair = Length.Inches(0.125);

    /// <summary>The lines of a storey.</summary>
    public static SnapLines Of(Job job, string storey)
    {
        var (xs, ys) = (new SortedSet<Length>(), new SortedSet<Length>());
        foreach (var room in job.Rooms.Where(r => r.Storey == storey))
        {
            var gap = room.Kind.OpenAir() ? job.Frame.OutsideWall : job.Frame.Partition;
            for (var i = 0; i < room.Outline.Length; i++)
            {
                var (a, b) = (room.Outline[i], room.Outline[(i + 1) % room.Outline.Length]);
                if (a.X == b.X)
                    Add(xs, a.X, gap);
                else if (a.Y == b.Y)
                    Add(ys, a.Y, gap);
            }
        }

        return new([.. xs], [.. ys]);

        static void Add(SortedSet<Length> to, Length at, Length gap)
        {
            to.Add(at);
            to.Add(at + gap);
            to.Add(at - gap);
        }
    }

    /// <summary>The point that a pointed place means: on a line that is a hair away, else on the nearest half inch.</summary>
    public Point Exact(Point p) => new(Exact(X, p.X), Exact(Y, p.Y));

    private static Length Exact(ImmutableArray<Length> lines, Length at)
    {
        var best = at.RoundTo(Length.Inches(0.5));
        var nearest = Hair;
        foreach (var line in lines)
        {
            if ((line - at).Abs() > nearest)
                continue;
            (best, nearest) = (line, (line - at).Abs());
        }

        return best;
    }
}
