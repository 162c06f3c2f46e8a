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
