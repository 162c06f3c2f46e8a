using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>One wall of a room: a straight piece of its outline.</summary>
/// <param name="Index">Its number in the room.</param>
/// <param name="A">First corner.</param>
/// <param name="B">Second corner.</param>
/// <param name="Length">From corner to corner.</param>
/// <param name="Start">Where it begins on the room's perimeter.</param>
public sealed record Wall(int Index, Point A, Point B, Length Length, Length Start)
{
    /// <summary>Where it ends on the room's perimeter.</summary>
    public Length End => Start + Length;

    /// <summary>East component of its direction, from -1 to 1.</summary>
    public double Dx { get; } = (B.X - A.X).InInches / Length.InInches;

    /// <summary>South component of its direction, from -1 to 1.</summary>
    public double Dy { get; } = (B.Y - A.Y).InInches / Length.InInches;

    /// <summary>
    /// The point at a distance from the first corner, and away from the wall by <paramref name="offset"/> inches along a normal.
    /// </summary>
    public Point At(Length along, double offset = 0, double nx = 0, double ny = 0) =>
        new(A.X + Scale(along, Dx) + Measure.Length.Inches(offset * nx), A.Y + Scale(along, Dy) + Measure.Length.Inches(offset * ny));

    /// <summary>How far along the wall a point lies, seen square on it; exact on walls that run with the page.</summary>
    public Length Along(Point p) =>
        Dx is 1 or -1 ? (Dx > 0 ? p.X - A.X : A.X - p.X)
        : Dy is 1 or -1 ? (Dy > 0 ? p.Y - A.Y : A.Y - p.Y)
        : Measure.Length.Inches(((p.X - A.X).InInches * Dx) + ((p.Y - A.Y).InInches * Dy));

    private static Length Scale(Length length, double factor) =>
        factor switch
        {
            1 => length,
            -1 => -length,
            0 => Measure.Length.Zero,
            _ => new Length((long)Math.Round(length.Units * factor)),
        };
}

/// <summary>An opening as one room sees it, on that room's own wall.</summary>
/// <param name="Opening">The opening.</param>
/// <param name="Wall">The room's wall.</param>
/// <param name="From">From the wall's first corner.</param>
/// <param name="Hinge">The hinge end, seen along this wall.</param>
/// <param name="SwingsIn">Whether the leaf swings into this room.</param>
/// <param name="Beyond">The room on the other side, or none for outdoors.</param>
public sealed record RoomOpening(Opening Opening, int Wall, Length From, End Hinge, bool SwingsIn, string? Beyond)
{
    /// <summary>The far jamb.</summary>
    public Length To => From + Opening.Width;

    /// <summary>Whether a person can walk through it.</summary>
    public bool IsDoorway => Opening.Kind is not (OpeningKind.Window or OpeningKind.GarageDoor);
}

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
