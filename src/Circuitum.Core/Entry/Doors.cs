using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>How people hang doors: into the room that they serve, open against a wall where there is one.</summary>
public static class Doors
{
    /// <summary>From a corner to the hinge jamb: two studs and the casing, so that the door lies against the wall.</summary>
    public static readonly Length FromCorner = Length.Inches(4.5);

    /// <summary>Whether a door between two rooms swings into the second: it is the one that is served.</summary>
    /// <param name="room">The first room.</param>
    /// <param name="other">The second; none is the open air, out of which a door swings into the house.</param>
    public static bool SwingsInto(Room room, Room? other) => Served(other?.Kind ?? RoomKind.Outdoors) > Served(room.Kind);

    // Nobody swings a door into a closet, the open air or a garage; one goes through halls and living rooms into the others.
    private static int Served(RoomKind kind) =>
        kind switch
        {
            RoomKind.Closet or RoomKind.Pantry or RoomKind.Stairs => 0,
            RoomKind.Garage or RoomKind.AccessoryBuilding => 1,
            RoomKind.Hallway or RoomKind.Foyer or RoomKind.Living or RoomKind.Family or RoomKind.Kitchen or RoomKind.Dining => 2,
            _ => kind.OpenAir() ? 0 : 3,
        };

    /// <summary>Where a hinged door stands best in a stretch of wall, and at which jamb it hangs.</summary>
    /// <param name="stretch">The wall, seen from the room into which the door swings.</param>
    /// <param name="width">Its clear width, no more than the stretch.</param>
    internal static (Length From, End Hinge) Hang(Stretch stretch, Length width)
    {
        var room = stretch.Room;
        var wall = room.Walls[stretch.Wall];
        var first = Length.Min(Length.Max(stretch.From, FromCorner), stretch.To - width);
        var last = Length.Max(Length.Min(stretch.To, wall.Length - FromCorner) - width, stretch.From);
        var (startsInCorner, endsInCorner) = (stretch.From <= FromCorner, stretch.To >= wall.Length - FromCorner);
        if (startsInCorner != endsInCorner)
            return startsInCorner ? (first, End.Start) : (last, End.Finish);

        // At either end it is as good: the one nearer to the middle of where one comes from is fewer steps.
        var from = stretch.Beyond is { } beyond ? wall.Along(beyond.Centre) : wall.Length / 2;
        return ((first + (width / 2)) - from).Abs() <= ((last + (width / 2)) - from).Abs() ? (first, End.Start) : (last, End.Finish);
    }
}
