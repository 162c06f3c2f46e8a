using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>Which rooms touch: by a wall or a door, and stairs with what they lead to on the other storey.</summary>
internal static class RoomTouch
{
    private static readonly RoomsMemo<RoomSet[]> Memo = new();

    /// <summary>For each room of the job, in its order, the rooms that touch it.</summary>
    /// <param name="house">The house.</param>
    /// <param name="acrossHalls">Whether rooms that open on one hall count as touching.</param>
    internal static RoomSet[] Of(HouseShape house, bool acrossHalls)
    {
        var job = house.Job;
        var number = job.Rooms.Select((r, i) => (r.Id, i)).ToDictionary(r => r.Id, r => r.i);
        var touch = Memo.Of(job.Rooms, "touch", () => Walls(house, number)).ToArray();
        foreach (var o in job.Openings.Where(o => o.To != Opening.Outside))
            Join(touch, number[o.Room], number[o.To]);
        foreach (var flight in StairRules.Flights(house))
        {
            var upper = number[flight.Upper.Room.Id];
            if (flight.Lower is { } lower)
                Join(touch, upper, number[lower.Room.Id]);
            else if (StairRules.FarEnd(house, flight) is { } far)
                Join(touch, upper, number[far.Room.Room.Id]);
        }

        // A closet is part of the room that it opens to: what lies behind it touches that room.
        foreach (var closet in Through(job, number, k => k is RoomKind.Closet or RoomKind.Pantry))
        {
            var behind = touch[closet.Room].Rooms().ToList();
            foreach (var (room, other) in closet.Doors.SelectMany(d => behind.Select(b => (d, b))))
                Join(touch, room, other);
        }

        if (!acrossHalls)
            return touch;
        foreach (var hall in Through(job, number, k => k == RoomKind.Hallway))
        {
            foreach (var (one, other) in hall.Doors.SelectMany(d => hall.Doors.Where(o => o != d).Select(o => (d, o))))
                Join(touch, one, other);
        }

        return touch;
    }

    /// <summary>What one gets to from a room by its doorways: rooms, and the open air by its word.</summary>
    internal static List<string> Beyond(Job job, string room) =>
        [
            .. job
                .Openings.Where(o => o.Kind != OpeningKind.Window && (o.Room == room || o.To == room))
                .Select(o => o.Room == room ? o.To : o.Room)
                .Distinct(),
        ];

    private static RoomSet[] Walls(HouseShape house, Dictionary<string, int> number)
    {
        var touch = new RoomSet[number.Count];
        foreach (var room in house.Rooms)
        {
            foreach (var other in Enumerable.Range(0, room.Walls.Length).SelectMany(w => house.Facing(room, w)))
                Join(touch, number[room.Room.Id], number[other.Room.Room.Id]);
        }

        return touch;
    }

    private static IEnumerable<(int Room, List<int> Doors)> Through(Job job, Dictionary<string, int> number, Func<RoomKind, bool> kind) =>
        job
            .Rooms.Where(r => kind(r.Kind))
            .Select(r => (number[r.Id], Beyond(job, r.Id).Where(b => b != Opening.Outside).Select(b => number[b]).ToList()));

    private static void Join(RoomSet[] touch, int one, int other)
    {
        if (one == other)
            return;
        touch[one].Add(other);
        touch[other].Add(one);
    }
}
