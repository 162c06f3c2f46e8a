using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Proposes lights and their switches: at least one light a room, more in large ones, over each basin and at outside
/// doors; a switch on the latch side of each doorway, three-way and four-way where there are several.
/// </summary>
internal static class LightRules
{
    private const double SquareFeetPerLight = 150;

    internal static void Add(Draft draft)
    {
        foreach (var shape in draft.Rooms) Lights(draft, shape);
        foreach (var shape in draft.Rooms)
        {
            if (shape.Room.Kind == RoomKind.Stairs) continue;
            Switches(draft, LightsOf(draft, shape), Entries(shape));
            Fans(draft, shape);
        }

        Stairs(draft);
    }

    private static List<Box> LightsOf(Draft draft, RoomShape shape) => [.. draft.All.Where(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id)];

    private static void Lights(Draft draft, RoomShape shape)
    {
        var room = shape.Room;
        var closet = room.Kind == RoomKind.Closet && shape.AreaSqFt >= 20;
        if ((!draft.Traits(shape).Light && !closet) || LightsOf(draft, shape).Count > 0) return;
        if (room.Kind == RoomKind.Stairs && Above(draft, shape) is not null) return;
        if (draft.Traits(shape).Outdoors)
        {
            if (shape.Openings.FirstOrDefault(o => o.IsDoorway) is { } door)
                draft.Add(new Box { Kind = BoxKind.Light, Room = room.Id, Wall = door.Wall, Along = HingeSide(shape, door), Height = Length.Inches(66) });
            return;
        }

        if (room.Kind == RoomKind.Bathroom)
        {
            foreach (var basin in draft.Job.Fixtures.Where(f => f.Room == room.Id && f.Kind == FixtureKind.Basin && f.Spot.Wall is not null))
                draft.Add(new Box { Kind = BoxKind.Light, Room = room.Id, Wall = basin.Spot.Wall, Along = basin.Spot.From + (basin.Spot.Width / 2), Height = Length.Inches(78) });
            if (shape.AreaSqFt < 50 && LightsOf(draft, shape).Count > 0) return;
        }

        var count = Math.Clamp((int)Math.Ceiling((shape.AreaSqFt - 20) / SquareFeetPerLight), 1, 12);
        var east = shape.MaxX - shape.MinX >= shape.MaxY - shape.MinY;
        for (var i = 0; i < count; i++)
        {
            var share = ((2 * i) + 1) / (2.0 * count);
            var p = count == 1 ? shape.Centre
                : east ? new Point(shape.MinX + Length.Inches((shape.MaxX - shape.MinX).InInches * share), shape.Centre.Y)
                : new Point(shape.Centre.X, shape.MinY + Length.Inches((shape.MaxY - shape.MinY).InInches * share));
            draft.Add(new Box { Kind = BoxKind.Light, Room = room.Id, At = shape.Contains(p) ? p : shape.Centre, Height = room.CeilingHeight });
        }
    }

    // A doorway by which a person comes in, seen in the room where the switch will hang.
    private sealed record Entry(RoomShape Shape, RoomOpening Door);

    private static List<Entry> Entries(RoomShape shape)
    {
        var doors = shape.Openings.Where(o => o.IsDoorway).ToList();

        // A garage with nothing but its vehicle door is entered by that.
        if (doors.Count == 0) doors = [.. shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor)];
        return [.. doors.Select(o => new Entry(shape, o))];
    }

    private static void Switches(Draft draft, List<Box> lights, List<Entry> entries)
    {
        if (lights.Count == 0) return;
        var lit = lights.Select(l => l.Id).ToHashSet();
        if (draft.All.Any(b => b.Gangs.Any(g => g.Lights.Any(lit.Contains)))) return;
        var doors = entries.Where(e => !LeadsToCloset(draft, e)).OrderByDescending(e => e.Door.Opening.Kind == OpeningKind.Hinged).ThenBy(e => e.Shape.Room.Id, StringComparer.Ordinal).ToList();
        if (doors.Count == 0) doors = entries;
        var outdoors = draft.Traits(draft.House[lights[0].Room]).Outdoors;
        var closet = draft.House[lights[0].Room].Room.Kind == RoomKind.Closet;
        var chosen = Spread(doors, outdoors || closet ? 1 : 3);
        foreach (var entry in chosen)
        {
            // A porch light and a closet light are switched from the room one comes from.
            var (shape, door) = (entry.Shape, entry.Door);
            if ((outdoors || closet) && door.Beyond is { } beyond && draft.House[beyond].Openings.FirstOrDefault(o => o.Opening.Id == door.Opening.Id) is { } there)
                (shape, door) = (draft.House[beyond], there);
            AddGang(draft, shape, door, new SwitchGang { Lights = [.. lights.Select(l => l.Id)], Locations = chosen.Count });
        }
    }

    private static bool LeadsToCloset(Draft draft, Entry entry) =>
        entry.Door.Beyond is { } beyond && draft.House[beyond].Room.Kind is RoomKind.Closet or RoomKind.Pantry;

    // Doorways close together are one way in; beyond the most that are wanted, those farthest apart are kept.
    private static List<Entry> Spread(List<Entry> doors, int most)
    {
        var kept = new List<Entry>();
        foreach (var door in doors)
        {
            if (kept.Count == most) break;
            var at = door.Shape.On(door.Door.Wall, door.Door.From);
            if (kept.All(k => k.Shape.On(k.Door.Wall, k.Door.From).InchesTo(at) > 60 || k.Shape != door.Shape)) kept.Add(door);
        }

        return kept;
    }

    private static void AddGang(Draft draft, RoomShape shape, RoomOpening door, SwitchGang gang)
    {
        var (wall, along) = LatchSide(shape, door, 7);
        var near = draft.All.FirstOrDefault(b => draft.IsOwn(b) && b.Kind == BoxKind.Switch && b.Room == shape.Room.Id && b.Wall == wall && (b.Along - along).Abs() < Length.Inches(16) && b.Gangs.Length < 4);
        if (near is not null) draft.Replace(near, near with { Gangs = near.Gangs.Add(gang) });
        else draft.Add(new Box { Kind = BoxKind.Switch, Room = shape.Room.Id, Wall = wall, Along = along, Height = draft.Job.Preferences.SwitchCentre, Gangs = [gang] });
    }

    // Outdoors the light hangs on the hinge side, across the door from the receptacle.
    private static Length HingeSide(RoomShape shape, RoomOpening door)
    {
        var along = door.Hinge == End.Start ? door.From - Length.Inches(12) : door.To + Length.Inches(12);
        return Length.Min(Length.Max(along, Length.Inches(4)), shape.Walls[door.Wall].Length - Length.Inches(4));
    }

    /// <summary>The place beside a door away from its hinge, round the corner when the wall is too short there.</summary>
    private static (int Wall, Length Along) LatchSide(RoomShape shape, RoomOpening door, double inches)
    {
        foreach (var after in door.Hinge == End.Start ? new[] { true, false } : [false, true])
        {
            var along = after ? door.To + Length.Inches(inches) : door.From - Length.Inches(inches);
            if (along >= Length.Inches(3) && along <= shape.Walls[door.Wall].Length - Length.Inches(3) && !ReceptacleRules.InOpening(shape, door.Wall, along, 2)) return (door.Wall, along);
        }

        foreach (var turn in new[] { inches, -inches, inches + 12, -inches - 12, inches + 30, -inches - 30 })
        {
            var jamb = shape.ToPerimeter(door.Wall, turn > 0 ? door.To : door.From) + Length.Inches(turn);
            var (wall, along) = shape.FromPerimeter(jamb);
            if (!ReceptacleRules.InOpening(shape, wall, along, 2)) return (wall, along);
        }

        return (door.Wall, Length.Min(door.To, shape.Walls[door.Wall].Length));
    }

    // A bath fan is switched beside the light, at the door.
    private static void Fans(Draft draft, RoomShape shape)
    {
        foreach (var fan in draft.All.Where(b => b.Kind == BoxKind.Appliance && b.Room == shape.Room.Id && draft.Job.ApplianceById(b.Appliance)!.Type is "bath-fan" or "ceiling-fan").ToList())
        {
            if (draft.All.Any(b => b.Gangs.Any(g => g.Lights.Contains(fan.Id)))) continue;
            if (Entries(shape).FirstOrDefault(e => !LeadsToCloset(draft, e)) is { } entry) AddGang(draft, entry.Shape, entry.Door, new SwitchGang { Lights = [fan.Id], Locations = 1 });
        }
    }

    private static RoomShape? Above(Draft draft, RoomShape stairs)
    {
        var floor = draft.Job.StoreyById(stairs.Room.Storey)!.Floor;
        return draft.House.Rooms.Where(r => r.Room.Kind == RoomKind.Stairs && draft.Job.StoreyById(r.Room.Storey)!.Floor > floor && r.Contains(stairs.Centre))
            .OrderBy(r => draft.Job.StoreyById(r.Room.Storey)!.Floor).FirstOrDefault();
    }

    // The light hangs over the top; a switch stands at each level, at the doorway by which one gets to the flight.
    private static void Stairs(Draft draft)
    {
        foreach (var top in draft.Rooms.Where(r => r.Room.Kind == RoomKind.Stairs && Above(draft, r) is null))
        {
            var flights = draft.House.Rooms.Where(r => r.Room.Kind == RoomKind.Stairs && r.Contains(top.Centre)).ToList();
            var entries = flights.Select(f => Entries(f).FirstOrDefault(e => !LeadsToCloset(draft, e))).OfType<Entry>().ToList();
            Switches(draft, LightsOf(draft, top), entries);
        }
    }
}
