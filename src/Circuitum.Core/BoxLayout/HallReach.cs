using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>How far the points of a hall are from a receptacle by the way of a cord: over the floor, round its corners.</summary>
internal sealed class HallReach
{
    // Cells of half a foot: a hall has a few hundred of them.
    private const double Cell = 6;

    private readonly RoomShape shape;
    private readonly int columns;
    private readonly bool[] floor;

    internal HallReach(RoomShape shape)
    {
        this.shape = shape;
        columns = (int)Math.Ceiling((shape.MaxX - shape.MinX).InInches / Cell);
        var rows = (int)Math.Ceiling((shape.MaxY - shape.MinY).InInches / Cell);
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

    private Point Middle(int cell) =>
        new(
            shape.MinX + Length.ExactInches(((cell % columns) + 0.5) * Cell),
            shape.MinY + Length.ExactInches(((cell / columns) + 0.5) * Cell)
        );

    private double[] Distances(IEnumerable<Point> places)
    {
        var far = Enumerable.Repeat(double.PositiveInfinity, floor.Length).ToArray();
        var open = new PriorityQueue<int, double>();
        foreach (var place in places)
        {
            // A box stands in the wall: the cord begins on the floor before it.
            var near = Enumerable.Range(0, floor.Length).Where(i => floor[i]).OrderBy(i => Middle(i).InchesTo(place)).Take(1);
            foreach (var cell in near)
            {
                far[cell] = Math.Min(far[cell], Middle(cell).InchesTo(place));
                open.Enqueue(cell, far[cell]);
            }
        }

        while (open.TryDequeue(out var cell, out var way))
        {
            if (way > far[cell])
                continue;
            foreach (var (next, step) in Around(cell))
            {
                if (way + step >= far[next])
                    continue;
                far[next] = way + step;
                open.Enqueue(next, far[next]);
            }
        }

        return far;
    }

    private IEnumerable<(int Cell, double Step)> Around(int cell)
    {
        var (x, y) = (cell % columns, cell / columns);
        for (var dy = -1; dy <= 1; dy++)
        {
            for (var dx = -1; dx <= 1; dx++)
            {
                var next = ((y + dy) * columns) + x + dx;
                if ((dx != 0 || dy != 0) && x + dx >= 0 && x + dx < columns && next >= 0 && next < floor.Length && floor[next])
                    yield return (next, Cell * Math.Sqrt((dx * dx) + (dy * dy)));
            }
        }
    }
}
