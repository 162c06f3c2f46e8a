using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Drafting;

/// <summary>Moves walls. A wall between rooms is one wall: both rooms follow, and so does all that stands in line with it.</summary>
public static class WallMove
{
    /// <summary>
    /// The walls that move together with one: its other sides, their other sides, and so on along the line.
    /// </summary>
    public static ImmutableArray<(RoomShape Room, int Wall)> Line(HouseShape house, string room, int wall)
    {
        var line = new List<(RoomShape Room, int Wall)> { (house[room], wall) };
        for (var i = 0; i < line.Count; i++)
        {
            foreach (var f in house.Facing(line[i].Room, line[i].Wall))
            {
                if (!line.Contains((f.Room, f.Wall)))
                    line.Add((f.Room, f.Wall));
            }
        }

        return [.. line];
    }

    /// <summary>Moves a wall along its normal, outwards from its room when positive.</summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room from which the wall is seen.</param>
    /// <param name="wall">The number of its wall.</param>
    /// <param name="by">How far, outwards.</param>
    /// <param name="alone">Only this room's side moves; the rooms beyond stay.</param>
    public static Job Move(Job job, string room, int wall, Length by, bool alone)
    {
        var house = HouseShape.Of(job);
        var from = house[room];
        var (outX, outY) = (-from.InX(from.Walls[wall]), -from.InY(from.Walls[wall]));
        foreach (var side in alone ? [(Room: from, Wall: wall)] : Line(house, room, wall))
        {
            // A room may have two walls in the line: each is moved in the outline that the first move left.
            var now = new RoomShape(job.RoomById(side.Room.Room.Id)!);
            var own = now.Walls.FirstOrDefault(w => w.A == side.Room.Walls[side.Wall].A && w.B == side.Room.Walls[side.Wall].B)?.Index
                ?? side.Wall;
            var sign = ((-now.InX(now.Walls[own]) * outX) + (-now.InY(now.Walls[own]) * outY)) > 0 ? 1 : -1;
            job = MoveSide(job, now, own, sign > 0 ? by : -by);
        }

        return job;
    }

    private static Job MoveSide(Job job, RoomShape shape, int wall, Length by)
    {
        var n = shape.Walls.Length;
        var own = shape.Walls[wall];
        var previous = shape.Walls[(wall + n - 1) % n];
        var next = shape.Walls[(wall + 1) % n];
        var outline = shape.Room.Outline.ToList();
        var a = Corner(shape, own, previous, by, own.A);
        var b = Corner(shape, own, next, by, own.B);

        // Beside a wall in the same line a jog appears: the old corner stays and the moved one follows it.
        var jogAfter = b is null;
        var jogBefore = a is null;
        outline[wall] = a ?? Shift(shape, own, by, own.A);
        outline[(wall + 1) % n] = b ?? Shift(shape, own, by, own.B);
        var map = Enumerable.Range(0, n).ToArray();
        if (jogAfter)
            Insert(wall + 1 == n ? 1 : wall + 2, own.B, wall + 1 == n ? 0 : wall + 1);
        if (jogBefore)
            Insert(map[wall], own.A, map[wall]);
        return Reshape(job, shape, outline, w => map[w]);

        void Insert(int at, Point corner, int firstMoved)
        {
            outline.Insert(at, corner);
            for (var i = 0; i < n; i++)
            {
                if (map[i] >= firstMoved)
                    map[i]++;
            }
        }
    }

    /// <summary>Gives a room a new outline and carries what hangs on its walls along.</summary>
    /// <param name="job">The job.</param>
    /// <param name="shape">The room as it is.</param>
    /// <param name="outline">The new corners.</param>
    /// <param name="map">From old wall numbers to new ones.</param>
    internal static Job Reshape(Job job, RoomShape shape, IReadOnlyList<Point> outline, Func<int, int> map)
    {
        var room = shape.Room with { Outline = [.. outline] };
        var after = new RoomShape(room);
        var moved = Anchors.Map(job, room.Id, (a, hold) =>
        {
            var (was, now) = (shape.Walls[a.Wall], after.Walls[map(a.Wall)]);
            if (hold == Hold.Place)
                return a with { Wall = now.Index, From = now.Along(was.At(a.From)) };
            var hair = Length.Inches(0.125);
            var (first, last) = (a.From <= hair, a.From + a.Width >= was.Length - hair);
            if (first && last && a.Width > Length.Zero)
                return a with { Wall = now.Index, From = Length.Zero, Width = now.Length };
            var far = was.Length - a.From - a.Width;
            return a with { Wall = now.Index, From = a.From <= far ? a.From : now.Length - far - a.Width };
        });
        return moved with { Rooms = moved.Rooms.Replace(moved.RoomById(room.Id)!, room) };
    }

    private static Point Shift(RoomShape shape, Wall own, Length by, Point p)
    {
        var (x, y) = (-shape.InX(own), -shape.InY(own));
        return new(p.X + Times(by, x), p.Y + Times(by, y));
    }

    private static Length Times(Length by, double factor) =>
        factor switch
        {
            1 => by,
            -1 => -by,
            0 => Length.Zero,
            _ => new Length((long)Math.Round(by.Units * factor)),
        };

    // Where the moved wall meets its neighbour, or none when the two are in one line.
    private static Point? Corner(RoomShape shape, Wall own, Wall neighbour, Length by, Point corner)
    {
        var cross = (own.Dx * neighbour.Dy) - (own.Dy * neighbour.Dx);
        if (Math.Abs(cross) < 0.02)
            return null;
        if (Math.Abs(cross) > 1 - 1e-12)
            return Shift(shape, own, by, corner);
        var p = Shift(shape, own, by, corner);
        var t =
            (((p.X - corner.X).InInches * own.Dy) - ((p.Y - corner.Y).InInches * own.Dx))
            / ((neighbour.Dx * own.Dy) - (neighbour.Dy * own.Dx));
        return new(corner.X + Length.Inches(t * neighbour.Dx), corner.Y + Length.Inches(t * neighbour.Dy));
    }
}
