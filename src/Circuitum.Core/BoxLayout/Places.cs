using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Where things stand on the plan.</summary>
public static class Places
{
    /// <summary>The plan place of a box: on the inside face of its wall, or on the outer face.</summary>
    public static Point Of(HouseShape house, Box box) =>
        box.Wall is { } wall
            ? house[box.Room].On(wall, box.Along, box.Outside ? -house.Job.Frame.OutsideWall.InInches : 0)
            : box.At ?? house[box.Room].Centre;

    /// <summary>The middle of a thing's front: on the wall for one against a wall, its centre for a free one.</summary>
    public static Point Of(RoomShape shape, Spot spot, double awayInches = 0) =>
        spot.Wall is { } wall
            ? shape.On(wall, spot.From + (spot.Width / 2), awayInches)
            : new Point(spot.At!.Value.X + (spot.Width / 2), spot.At.Value.Y + (spot.Depth / 2));

    /// <summary>The rectangle that a thing covers, as west, north, east and south edges in inches.</summary>
    public static (double W, double N, double E, double S) Box(RoomShape shape, Spot spot)
    {
        if (spot.Wall is not { } wall)
        {
            var at = spot.At!.Value;
            return (at.X.InInches, at.Y.InInches, (at.X + spot.Width).InInches, (at.Y + spot.Depth).InInches);
        }

        var a = shape.On(wall, spot.From);
        var b = shape.On(wall, spot.From + spot.Width, spot.Depth.InInches);
        return (
            Math.Min(a.X.InInches, b.X.InInches),
            Math.Min(a.Y.InInches, b.Y.InInches),
            Math.Max(a.X.InInches, b.X.InInches),
            Math.Max(a.Y.InInches, b.Y.InInches)
        );
    }

    /// <summary>Places spread evenly over a room, off its walls.</summary>
    internal static IEnumerable<Point> Spread(RoomShape shape, int parts)
    {
        for (var i = 1; i < parts; i++)
        {
            for (var j = 1; j < parts; j++)
            {
                var p = new Point(
                    shape.MinX + Length.Inches((shape.MaxX - shape.MinX).InInches * i / parts),
                    shape.MinY + Length.Inches((shape.MaxY - shape.MinY).InInches * j / parts)
                );
                if (shape.Contains(p))
                    yield return p;
            }
        }
    }

    /// <summary>Shortest distance in inches from a point to the rectangle that a thing covers.</summary>
    public static double InchesTo(RoomShape shape, Spot spot, Point point)
    {
        var (w, n, e, s) = Box(shape, spot);
        var dx = Math.Max(0, Math.Max(w - point.X.InInches, point.X.InInches - e));
        var dy = Math.Max(0, Math.Max(n - point.Y.InInches, point.Y.InInches - s));
        return Math.Sqrt((dx * dx) + (dy * dy));
    }
}
