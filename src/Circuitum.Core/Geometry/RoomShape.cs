using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>A room's outline worked out: walls, openings, inside and perimeter.</summary>
public sealed class RoomShape
{
    private readonly double sense;

    /// <summary>Works out the outline of a room. Openings are added by <see cref="HouseShape"/>.</summary>
    public RoomShape(Room room)
    {
        Room = room;
        var outline = room.Outline;
        var walls = ImmutableArray.CreateBuilder<Wall>(outline.Length);
        var at = Length.Zero;
        double twice = 0,
            cx = 0,
            cy = 0;
        for (var i = 0; i < outline.Length; i++)
        {
            var a = outline[i];
            var b = outline[(i + 1) % outline.Length];
            var length =
                a.X == b.X ? (a.Y - b.Y).Abs()
                : a.Y == b.Y ? (a.X - b.X).Abs()
                : new Length((long)Math.Round(a.InchesTo(b) * Length.UnitsPerInch));
            walls.Add(new Wall(i, a, b, length, at));
            at += length;
            var cross = (a.X.InInches * b.Y.InInches) - (b.X.InInches * a.Y.InInches);
            twice += cross;
            cx += (a.X.InInches + b.X.InInches) * cross;
            cy += (a.Y.InInches + b.Y.InInches) * cross;
        }

        Walls = walls.ToImmutable();
        Perimeter = at;
        sense = twice >= 0 ? 1 : -1;
        AreaSqFt = Math.Abs(twice) / 2 / 144;
        var centroid = new Point(Length.Inches(cx / (3 * twice)), Length.Inches(cy / (3 * twice)));
        MinX = outline.Min(p => p.X);
        MaxX = outline.Max(p => p.X);
        MinY = outline.Min(p => p.Y);
        MaxY = outline.Max(p => p.Y);
        Centre = Contains(centroid) ? centroid : InnerPoint();
    }

    /// <summary>The room.</summary>
    public Room Room { get; }

    /// <summary>Its walls in order.</summary>
    public ImmutableArray<Wall> Walls { get; }

    /// <summary>Length of all walls.</summary>
    public Length Perimeter { get; }

    /// <summary>Inside area in square feet.</summary>
    public double AreaSqFt { get; }

    /// <summary>A point well inside: the centre of area where that lies inside.</summary>
    public Point Centre { get; }

    /// <summary>West edge.</summary>
    public Length MinX { get; }

    /// <summary>East edge.</summary>
    public Length MaxX { get; }

    /// <summary>North edge.</summary>
    public Length MinY { get; }

    /// <summary>South edge.</summary>
    public Length MaxY { get; }

    /// <summary>Openings on its walls, those given on a neighbour's wall among them.</summary>
    public ImmutableArray<RoomOpening> Openings { get; internal set; } = [];

    /// <summary>East component of a wall's normal into the room.</summary>
    public double InX(Wall wall) => -wall.Dy * sense;

    /// <summary>South component of a wall's normal into the room.</summary>
    public double InY(Wall wall) => wall.Dx * sense;

    /// <summary>Whether the right hand of a person who stands in the room and faces a wall points along it.</summary>
    public bool RightIsAlong(int wall) => (InY(Walls[wall]) * Walls[wall].Dx) - (InX(Walls[wall]) * Walls[wall].Dy) > 0;

    /// <summary>The point on a wall, moved into the room by some inches.</summary>
    public Point On(int wall, Length along, double inches = 0)
    {
        var w = Walls[wall];
        return w.At(along, inches, InX(w), InY(w));
    }

    /// <summary>Wall and distance for a place on the perimeter, which wraps round.</summary>
    public (int Wall, Length Along) FromPerimeter(Length s)
    {
        var units = s.Units % Perimeter.Units;
        if (units < 0)
            units += Perimeter.Units;
        var place = new Length(units);
        foreach (var wall in Walls)
        {
            if (place < wall.End || wall.Index == Walls.Length - 1)
                return (wall.Index, place - wall.Start);
        }

        return (0, Length.Zero);
    }

    /// <summary>The place on the perimeter of a wall and a distance along it.</summary>
    public Length ToPerimeter(int wall, Length along) => Walls[wall].Start + along;

    /// <summary>The nearest place on any wall to a point, and how far off it is in inches.</summary>
    public (int Wall, Length Along, double Inches) Nearest(Point point)
    {
        (int, Length, double) best = (0, Length.Zero, double.MaxValue);
        foreach (var wall in Walls)
        {
            var along = ((point.X - wall.A.X).InInches * wall.Dx) + ((point.Y - wall.A.Y).InInches * wall.Dy);
            var clamped = Math.Clamp(along, 0, wall.Length.InInches);
            var dx = point.X.InInches - wall.A.X.InInches - (clamped * wall.Dx);
            var dy = point.Y.InInches - wall.A.Y.InInches - (clamped * wall.Dy);
            var away = Math.Sqrt((dx * dx) + (dy * dy));
            if (away < best.Item3 - 1e-9)
                best = (wall.Index, Length.Inches(clamped), away);
        }

        return best;
    }

    /// <summary>Whether a point lies inside.</summary>
    public bool Contains(Point point)
    {
        var inside = false;
        double x = point.X.InInches,
            y = point.Y.InInches;
        foreach (var wall in Walls)
        {
            double ax = wall.A.X.InInches,
                ay = wall.A.Y.InInches,
                bx = wall.B.X.InInches,
                by = wall.B.Y.InInches;
            if ((ay > y) != (by > y) && x < ((bx - ax) * (y - ay) / (by - ay)) + ax)
                inside = !inside;
        }

        return inside;
    }

    /// <summary>Distance in inches from a point to the nearest wall.</summary>
    public double InchesToWall(Point point) => Nearest(point).Inches;

    // The centre of area of an L or a U can fall outside it; the roomiest point of a coarse grid never does.
    private Point InnerPoint()
    {
        var best = Room.Outline[0];
        double room = -1;
        for (var i = 1; i < 20; i++)
        {
            for (var j = 1; j < 20; j++)
            {
                var p = new Point(
                    MinX + Length.Inches((MaxX - MinX).InInches * i / 20),
                    MinY + Length.Inches((MaxY - MinY).InInches * j / 20)
                );
                if (!Contains(p))
                    continue;
                var clear = InchesToWall(p);
                if (clear > room + 0.01)
                    (best, room) = (p, clear);
            }
        }

        return best;
    }
}
