using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Takes closets and nooks out of rooms.</summary>
internal static class NookMaker
{
    private static readonly Length LeastDoor = Length.Inches(24);
    private static readonly Length WidestDoor = Length.Inches(72);
    private static readonly Length SlidingFrom = Length.Inches(44);
    private static readonly Length BesideDoor = Length.Inches(6);
    private static readonly Length AtWall = Length.Inches(6);
    private const double MostlyInside = 0.97;

    /// <summary>Takes the closet of a part of a line out of the line's room, or tells what is wrong with it.</summary>
    internal static void Make(ListUnderWay list, RoomLine line, NookPart part)
    {
        if (list.RoomOf(line) is not { } room)
            return;
        var shape = new RoomShape(room);
        if (shape.Walls.Where(w => Stretch.Looks(shape, w, part.On)).MaxBy(w => w.Length) is not { } wall)
        {
            list.Wrong(line, part.Text, $"{room.Name} has no wall on that side. Say n, e, s or w.");
            return;
        }

        var from = Stretch.Told(wall, part.At ?? Length.Zero, part.Along);
        var (job, problem) = Make(list.Job, room, wall.Index, from, part.Along, part.Deep, part.Name);
        if (job is null)
            list.Wrong(line, part.Text, problem);
        else
            list.Try(line, part.Text, job);
    }

    /// <summary>
    /// The room in which a rectangle lies along a wall, filling not more than half of it, with its place on that wall; none elsewhere.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="storey">The storey.</param>
    /// <param name="corners">The rectangle's, the northwest one first and going round.</param>
    internal static (Room Room, int Wall, Length From, Length Along, Length Deep)? In(Job job, string storey, IReadOnlyList<Point> corners)
    {
        var middle = new Point((corners[0].X + corners[2].X) / 2, (corners[0].Y + corners[2].Y) / 2);
        var (wide, tall) = (corners[2].X - corners[0].X, corners[2].Y - corners[0].Y);
        foreach (var room in job.Rooms.Where(r => r.Storey == storey))
        {
            var shape = new RoomShape(room);
            if (!shape.Contains(middle) || wide.InFeet * tall.InFeet > shape.AreaSqFt / 2)
                continue;

            // A hand that misses the wall by little means it.
            var drawn = new RoomShape(room with { Outline = [.. corners] });
            if (HouseShape.OverlapSqFt(shape, drawn) < drawn.AreaSqFt * MostlyInside)
                continue;
            var backs = shape
                .Walls.Select(w => (Wall: w, Ends: corners.Select(w.Along).ToList(), Off: corners.Select(c => Into(shape, w, c)).ToList()))
                .Where(b => b.Off.Min() < AtWall && b.Off.Count(o => (o - b.Off.Min()).Abs() < Length.Inches(0.5)) == 2)
                .Select(b => (b.Wall, From: b.Ends.Min(), To: b.Ends.Max(), Deep: b.Off.Max() - Length.Max(Length.Zero, b.Off.Min())))
                .Where(b => b.To > Length.Zero && b.From < b.Wall.Length)
                .OrderByDescending(b => b.To - b.From)
                .ToList();
            if (backs is [var back, ..])
                return (room, back.Wall.Index, Length.Max(Length.Zero, back.From), back.To - back.From, back.Deep);
        }

        return null;
    }

    // How far a point is from a wall, towards the inside of its room.
    private static Length Into(RoomShape shape, Wall wall, Point at) =>
        Length.ExactInches(((at.X - wall.A.X).InInches * shape.InX(wall)) + ((at.Y - wall.A.Y).InInches * shape.InY(wall)));

    /// <summary>Takes a smaller room out of a room, a closet with its door; a sentence when it cannot be.</summary>
    internal static (Job? Job, string Problem) Make(Job job, Room room, int wall, Length from, Length along, Length deep, string name)
    {
        var made = Named(job, room, name);
        var (carved, problem) = Carve.Out(job, room.Id, wall, from, along, deep, made);
        return carved is null ? (null, problem)
            : made.Kind == RoomKind.Closet ? (WithDoor(carved, room.Id, made.Id), "")
            : (carved, "");
    }

    // In the middle of its front: sliding where it is wide, else a leaf that opens out of it.
    private static Job WithDoor(Job job, string room, string closet)
    {
        var house = HouseShape.Of(job);
        if (Stretch.Between(house, house[room], house[closet]) is not [var front, ..] || front.Size < LeastDoor)
            return job;
        var width = Length.Min(WidestDoor, Length.Max(LeastDoor, (front.Size - BesideDoor - BesideDoor).RoundTo(Length.Inches(2))));
        var kind = width >= SlidingFrom ? OpeningKind.Sliding : OpeningKind.Hinged;
        width = kind == OpeningKind.Hinged ? Length.Min(width, Length.Inches(30)) : width;
        var door = new Opening
        {
            Id = Names.Free($"{kind}", job.Openings.Select(o => o.Id)),
            Kind = kind,
            Room = room,
            Wall = front.Wall,
            From = front.From + ((front.Size - width) / 2).RoundTo(Length.Inches(0.5)),
            Width = width,
            To = closet,
        };
        return job with { Openings = job.Openings.Add(door) };
    }

    // A closet that is only called so is called after its room.
    private static Room Named(Job job, Room room, string name)
    {
        var plain = name.Length == 0 || name.Equals("closet", StringComparison.OrdinalIgnoreCase);
        var called = plain ? $"{room.Name} closet" : char.ToUpperInvariant(name[0]) + name[1..];
        return room with
        {
            Id = Names.Free(called, job.Rooms.Select(r => r.Id)),
            Name = called,
            Kind = plain ? RoomKind.Closet : RoomNames.Known(name) ?? RoomKind.Closet,
            Outline = [],
            Risers = null,
            Access = null,
            ReceptacleReach = null,
            Extra = null,
        };
    }
}
