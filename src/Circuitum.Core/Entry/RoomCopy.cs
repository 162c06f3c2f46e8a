using System.Collections.Immutable;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Copies a room with what stands in it, within a job or from another one.</summary>
internal static class RoomCopy
{
    /// <summary>
    /// Puts a copy beside a room: its outline, how its walls are built, counters, fixtures and appliances, whose nameplates count as unread
    /// again, and windows where its wall is an outside wall here too. Doors belong to what is beside a room and are left out.
    /// </summary>
    /// <param name="to">The job that gets it.</param>
    /// <param name="from">The job that has it.</param>
    /// <param name="room">The room.</param>
    /// <param name="name">What the copy is called.</param>
    /// <param name="storey">Where it goes.</param>
    /// <param name="beside">Beside which room; none for the origin of an empty storey.</param>
    /// <param name="on">On which side of it.</param>
    /// <param name="mirrored">East and west change places.</param>
    internal static Job Put(Job to, Job from, Room room, string name, string storey, Room? beside, Side on, bool mirrored)
    {
        var alone = Alone(from, room);
        if (mirrored)
            alone = Turn.House(alone, Turning.MirrorEastWest);
        var shape = new RoomShape(alone.Rooms[0]);
        var corner = beside is null
            ? new(Length.Zero, Length.Zero)
            : RoomPlacer.Beside(to.Frame, beside, on, room.Kind, shape.MaxX - shape.MinX, shape.MaxY - shape.MinY);
        var (east, south) = (corner.X - shape.MinX, corner.Y - shape.MinY);
        Point Shift(Point p) => new(p.X + east, p.Y + south);
        alone = Anchors.Free(alone, _ => true, Shift, s => s with { At = Shift(s.At!.Value) });
        var id = Names.Free(name, to.Rooms.Select(r => r.Id));
        var copy = alone.Rooms[0] with { Id = id, Name = name, Storey = storey, Outline = [.. alone.Rooms[0].Outline.Select(Shift)] };
        var put = to with
        {
            Rooms = to.Rooms.Add(copy),
            Walls = to.Walls.AddRange(alone.Walls.Select(w => w with { Room = id })),
            Counters = With(to.Counters, alone.Counters, c => c.Id, (c, own) => c with { Id = own, Room = id }),
            Fixtures = With(to.Fixtures, alone.Fixtures, f => f.Id, (f, own) => f with { Id = own, Room = id }),
            Appliances = With(
                to.Appliances,
                alone.Appliances,
                x => x.Id,
                (x, own) => x with { Id = own, Room = id, Nameplate = x.Nameplate with { Confirmed = false } }
            ),
        };
        var placed = HouseShape.Of(put)[id];
        var windows = alone
            .Openings.Where(o => o.Kind == OpeningKind.Window)
            .Where(o => Beyond.Of(put, placed, o.Wall, o.From, o.Width).To == Opening.Outside);
        return put with { Openings = With(put.Openings, [.. windows], o => o.Id, (o, own) => o with { Id = own, Room = id }) };
    }

    // The room as the only one of a job.
    private static Job Alone(Job from, Room room) =>
        new()
        {
            Frame = from.Frame,
            Storeys = [.. from.Storeys.Where(s => s.Id == room.Storey)],
            Rooms = [room],
            Walls = [.. from.Walls.Where(w => w.Room == room.Id)],
            Openings = [.. from.Openings.Where(o => o.Room == room.Id && o.To == Opening.Outside)],
            Counters = [.. from.Counters.Where(c => c.Room == room.Id)],
            Fixtures = [.. from.Fixtures.Where(f => f.Room == room.Id)],
            Appliances = [.. from.Appliances.Where(x => x.Room == room.Id)],
        };

    private static ImmutableArray<T> With<T>(ImmutableArray<T> all, ImmutableArray<T> more, Func<T, string> id, Func<T, string, T> to)
    {
        foreach (var one in more)
            all = all.Add(to(one, Names.Free(id(one), all.Select(id))));
        return all;
    }
}
