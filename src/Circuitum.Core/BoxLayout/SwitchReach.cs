using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Who enters a room shall not cross it in the dark: which doorways count, and how far a switch is from each.</summary>
internal static class SwitchReach
{
    /// <summary>
    /// The doorways by which a person comes into a room from elsewhere. A room that opens only onto this one, such as its
    /// closet or its bath, is no elsewhere: who comes out of it has come through here.
    /// </summary>
    internal static List<RoomOpening> Entries(HouseShape house, RoomShape shape)
    {
        var doors = shape.Openings.Where(o => o.IsDoorway).ToList();
        var from = doors.Where(o => o.Beyond is not { } beyond || !DeadEnd(house[beyond], shape)).ToList();
        if (from.Count > 0)
            return from;

        // A garage with nothing but its vehicle door is entered by that.
        return doors.Count > 0 ? doors : [.. shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor)];
    }

    private static bool DeadEnd(RoomShape room, RoomShape from) =>
        !room.Room.Kind.OpenAir()
        && room.Room.Kind != RoomKind.Stairs
        && room.Openings.Where(o => o.IsDoorway || o.Opening.Kind == OpeningKind.GarageDoor).All(o => o.Beyond == from.Room.Id);

    // A person passes a jamb at half a shoulder's width and a little more.
    private static readonly Length FromJamb = Length.Inches(18);

    /// <summary>
    /// How far a person walks inside a room from a doorway to a place on its walls, in inches: from the middle of a door,
    /// through a wide opening from where one passes nearest to the place.
    /// </summary>
    internal static double Walk(RoomShape shape, RoomOpening door, Point place)
    {
        var middle = door.From + (door.Opening.Width / 2);
        var (least, most) = (Length.Min(door.From + FromJamb, middle), Length.Max(door.To - FromJamb, middle));
        var from = Length.Max(least, Length.Min(most, shape.Walls[door.Wall].Along(place)));
        return WalkRoute.Between(shape, shape.On(door.Wall, from), place) is { } way ? way.Length.InInches : double.MaxValue;
    }

    /// <summary>
    /// The ways into a room from which no switch of its main light is within the job's reach, on either side of the doorway.
    /// </summary>
    internal static IEnumerable<DarkEntry> Unserved(HouseShape house, RoomShape shape, IReadOnlyList<Box> boxes)
    {
        var lights = boxes.Where(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id && !b.Outside).ToList();
        if (lights.Count == 0)
            yield break;
        var main = LightSets.Of(house, lights)[0].Lights.Select(l => l.Id).ToHashSet();
        var switches = boxes.Where(b => b.Gangs.Any(g => g.Lights.Any(main.Contains))).ToList();
        if (switches.Count == 0)
            yield break;
        var reach = house.Job.Preferences.SwitchReach.InInches;
        foreach (var door in Entries(house, shape))
        {
            var nearest = switches.Min(s => FromDoor(house, shape, door, s));
            if (nearest > reach)
                yield return new(shape, door, nearest < 1e6 ? Length.Inches(Math.Round(nearest)) : null);
        }
    }

    private static double FromDoor(HouseShape house, RoomShape shape, RoomOpening door, Box box)
    {
        var place = Places.Of(house, box);
        if (box.Room == shape.Room.Id)
            return Walk(shape, door, place);
        if (box.Room != door.Beyond)
            return double.MaxValue;
        var beyond = house[box.Room];
        return beyond.Openings.FirstOrDefault(o => o.Opening.Id == door.Opening.Id) is { } there
            ? Walk(beyond, there, place)
            : double.MaxValue;
    }
}
