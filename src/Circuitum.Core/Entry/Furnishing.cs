using System.Collections.Frozen;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>
/// Gives a room the fixed things that such rooms usually have, along the walls that are free. What is there already stays and is not
/// added twice. It is a proposal: each piece can be moved and taken away.
/// </summary>
public static class Furnishing
{
    private static readonly FrozenDictionary<RoomKind, Func<FloorRoom, string>> Ways = new Dictionary<RoomKind, Func<FloorRoom, string>>
    {
        [RoomKind.Kitchen] = KitchenFurniture.Put,
        [RoomKind.Bathroom] = BathFurniture.Put,
        [RoomKind.Laundry] = Row,
        [RoomKind.Utility] = Row,
        [RoomKind.Garage] = Garage,
    }.ToFrozenDictionary();

    // A car's length of rail and the motor behind it.
    private static readonly Length OperatorFromDoor = Length.Feet(9);

    /// <summary>Whether such rooms have usual furniture.</summary>
    public static bool Knows(RoomKind kind) => Ways.ContainsKey(kind);

    /// <summary>The job with the room furnished, or a sentence when nothing was or could be added.</summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    public static (Job? Job, string Problem) Of(Job job, string room)
    {
        if (job.RoomById(room) is not { } known)
            return (null, "That room is not there any more.");
        if (!Ways.TryGetValue(known.Kind, out var way))
            return (
                null,
                $"There is no usual furniture for {known.Name}: kitchens, baths, laundries, utility rooms and garages have some."
            );
        var floor = new FloorRoom(job, room);
        var problem = way(floor);
        return ReferenceEquals(floor.Job, job)
            ? (null, problem.Length > 0 ? problem : $"{known.Name} has all of it already.")
            : (floor.Job, "");
    }

    /// <summary>The place of an appliance that hangs from the ceiling, drawn into the room where it would reach out.</summary>
    /// <param name="room">The room.</param>
    /// <param name="type">The appliance.</param>
    /// <param name="at">Where its middle is wanted.</param>
    public static Spot Hung(RoomShape room, ApplianceType type, Point at)
    {
        var (wide, deep) = ThingSizes.Of(type);
        (wide, deep) = (Length.Min(wide, room.MaxX - room.MinX), Length.Min(deep, room.MaxY - room.MinY));
        return new()
        {
            At = new(
                Within((at.X - (wide / 2)).RoundTo(Length.Inches(1)), room.MinX, room.MaxX - wide),
                Within((at.Y - (deep / 2)).RoundTo(Length.Inches(1)), room.MinY, room.MaxY - deep)
            ),
            Width = wide,
            Depth = deep,
        };

        static Length Within(Length value, Length least, Length most) => Length.Max(least, Length.Min(value, most));
    }

    // One beside the other along a wall that has room, else each where there is room.
    private static string Row(FloorRoom floor)
    {
        foreach (var type in floor.AllMissing(PieceUse.InRow))
        {
            var (wide, deep) = ThingSizes.Of(type);
            if (floor.Free(deep.InInches).FirstOrDefault(f => f.To - f.From >= wide) is not { To.Units: > 0 } free)
                return $"There is no wall left that is free for a {type.Name.ToLowerInvariant()}.";
            floor.Put(type, free.Wall, free.From);
        }

        return "";
    }

    // An operator over the middle of each door, where its rail ends.
    private static string Garage(FloorRoom floor)
    {
        var doors = floor.Shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor).ToList();
        if (doors.Count == 0)
            return "Put the garage door in first: the operator goes by it.";
        var piece = CodeLibrary.Furniture.First(f => f.Piece == PieceUse.OverDoor);
        var there = floor.Job.Appliances.Count(a => a.Room == floor.Shape.Room.Id && a.Type == piece.Type);
        foreach (var door in doors.Skip(there))
        {
            var at = floor.Shape.On(door.Wall, door.From + (door.Opening.Width / 2), OperatorFromDoor.InInches);
            floor.Hang(CodeLibrary.Appliances[piece.Type], floor.Shape.Contains(at) ? at : floor.Shape.Centre);
        }

        return "";
    }
}
