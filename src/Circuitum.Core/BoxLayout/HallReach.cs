using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>How far the points of a hall are from a receptacle by the way of a cord: over the floor, round its corners.</summary>
internal sealed class HallReach
{
    // Half a foot: a hall has a few hundred cells of that. What is no hall by its size is looked at more coarsely, in bounded time.
    private const double Finest = 6;
    private const int MostCells = 1000;

    private readonly double cell;

    private readonly RoomShape shape;
    private readonly int columns;
    private readonly bool[] floor;

    internal HallReach(RoomShape shape)
    {
        this.shape = shape;
        var (wide, deep) = ((shape.MaxX - shape.MinX).InInches, (shape.MaxY - shape.MinY).InInches);
        cell = Math.Max(Finest, Math.Sqrt(wide * deep / MostCells));
        columns = (int)Math.Ceiling(wide / cell);
        var rows = (int)Math.Ceiling(deep / cell);
        floor = [.. Enumerable.Range(0, columns * rows).Select(i => shape.Contains(Middle(i)))];
    }

    /// <summary>The point that is farthest from all of some places, and how far it is in inches; none in a room without floor.</summary>
    /// <param name="places">Where receptacles stand.</param>
    internal (Point At, double Inches)? Farthest(IEnumerable<Point> places)
    {
        var far = Distances(places);
        var worst = Enumerable.Range(0, floor.Length).Where(i => floor[i]).OrderByDescending(i => far[i]).Cast<int?>().FirstOrDefault();
        return worst is { } at ? (Middle(at), far[at]) : null;
    }

    /// <summary>
    /// Of some places the number of the one that serves most of what is out of reach, the end of it first; none where nothing is left or
    /// no place serves it.
    /// </summary>
    /// <param name="there">Where receptacles stand.</param>
    /// <param name="places">Where one may stand.</param>
    /// <param name="reach">How far a cord goes, in inches.</param>
    internal int? Next(IEnumerable<Point> there, IReadOnlyList<Point> places, double reach)
    {
        var far = Distances(there);
        List<int> left = [.. Enumerable.Range(0, floor.Length).Where(i => floor[i] && far[i] > reach)];
        if (left.Count == 0)
            return null;
        // The end of what is left, from wall to wall: what serves only one corner of it leaves the other for one more.
        var fromWorst = Distances([Middle(left.MaxBy(i => far[i]))]);
        List<int> end = [.. left.Where(i => fromWorst[i] <= reach / 3)];
        (int Place, int Ends, int Served) best = (-1, 0, 0);
        for (var p = 0; p < places.Count; p++)
        {
            var from = Distances([places[p]]);
            var (ends, served) = (end.Count(i => from[i] <= reach), left.Count(i => from[i] <= reach));
            if ((ends, served).CompareTo((best.Ends, best.Served)) > 0)
                best = (p, ends, served);
        }

        return best.Place < 0 ? null : best.Place;
    }

    private Point Middle(int at) =>
        new(shape.MinX + Length.ExactInches(((at % columns) + 0.5) * cell), shape.MinY + Length.ExactInches(((at / columns) + 0.5) * cell));

    private double[] Distances(IEnumerable<Point> places)
    {
        var far = Enumerable.Repeat(double.PositiveInfinity, floor.Length).ToArray();
        var open = new PriorityQueue<int, double>();
        foreach (var place in places)
        {
            // Straight to all that is seen from there; the rest by way of that.
            foreach (var at in Enumerable.Range(0, floor.Length).Where(i => floor[i] && Sees(place, Middle(i))))
            {
                far[at] = Math.Min(far[at], Middle(at).InchesTo(place));
                open.Enqueue(at, far[at]);
            }
        }

        while (open.TryDequeue(out var at, out var way))
        {
            if (way > far[at])
                continue;
            foreach (var (next, step) in Around(at))
            {
                if (way + step >= far[next])
                    continue;
                far[next] = way + step;
                open.Enqueue(next, far[next]);
            }
        }

        return far;
    }

    // A box stands in the wall, so the way begins a little before it.
    private bool Sees(Point from, Point to)
    {
        var steps = Math.Max(1, (int)(from.InchesTo(to) / cell));
        for (var n = 1; n < steps; n++)
        {
            var share = (double)n / steps;
            var at = new Point(
                from.X + Length.ExactInches((to.X - from.X).InInches * share),
                from.Y + Length.ExactInches((to.Y - from.Y).InInches * share)
            );
            if (!shape.Contains(at))
                return false;
        }

        return true;
    }

    private IEnumerable<(int Cell, double Step)> Around(int at)
    {
        var (x, y) = (at % columns, at / columns);
        for (var dy = -1; dy <= 1; dy++)
        {
            for (var dx = -1; dx <= 1; dx++)
            {
                var next = ((y + dy) * columns) + x + dx;
                if ((dx != 0 || dy != 0) && x + dx >= 0 && x + dx < columns && next >= 0 && next < floor.Length && floor[next])
                    yield return (next, cell * Math.Sqrt((dx * dx) + (dy * dy)));
            }
        }
    }
}
