using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Proposes switches: the fewest places from which every way into a room reaches its light, each on the latch side of a
/// doorway; three-way and four-way where there are several. What stands at one place shares a box, in the order that a
/// hand expects: nearest to the door the light outside it, then the room's own, then the rest, fans last.
/// </summary>
internal static class SwitchRules
{
    private const int MostGangs = 4;

    // How far a switch may move aside, in inches, and what of the reach is kept back for it.
    private const int MostAside = 10;
    private const double Kept = 4;

    // Inches from a jamb to the middle of the nearest switch: trim and a stud's thickness.
    private const double FromJamb = 7;

    internal static void Add(Draft draft)
    {
        foreach (var shape in draft.Rooms.Where(r => r.Room.Kind != RoomKind.Stairs))
        {
            var lights = LightRules.Of(draft, shape);
            if (draft.Traits(shape).Outdoors || shape.Room.Kind is RoomKind.Closet or RoomKind.Attic or RoomKind.CrawlSpace)
                FromBeyond(draft, shape, lights);
            else
                Inside(draft, shape, lights);
            foreach (var door in OutdoorLightRules.DoorsOut(shape))
            {
                if (draft.In(shape).FirstOrDefault(b => LightRules.Lights(b, shape, door)) is { } light && !draft.IsSwitched([light]))
                    AddGang(draft, shape, door, [light], 1);
            }

            Fans(draft, shape);
        }

        Stairs(draft);
        var boxes = draft.All.ToDictionary(b => b.Id);
        foreach (var box in draft.All.Where(b => draft.IsOwn(b) && b.Gangs.Length > 1).ToList())
        {
            // With each gang a box grows; where it does not fit any more it moves aside.
            var settled = BoxBody.Settle(draft.House, box, [.. draft.Near(box.Room).Where(b => b.Id != box.Id)], MostAside);
            draft.Replace(box, GangOrder.InOrder(draft.House, boxes, settled));
        }
    }

    private static void Inside(Draft draft, RoomShape shape, List<Box> lights)
    {
        var entries = SwitchReach.Entries(draft.House, shape);
        if (lights.Count == 0 || entries.Count == 0)
            return;
        var sets = LightSets.Of(draft.House, lights);
        var places = Fewest(draft.Job, shape, entries);
        foreach (var (i, set) in sets.Select((s, i) => (i, s.Lights)))
        {
            if (draft.IsSwitched(set))
                continue;

            // The main light is reached from every way in, the others from the one that is nearest to them.
            var middle = Places.Of(draft.House, set[set.Count / 2]);
            var at = i == 0 ? places : [places.MinBy(p => shape.On(p.Wall, p.From).InchesTo(middle))!];
            foreach (var door in at)
                AddGang(draft, shape, door, set, at.Count);
        }
    }

    // A porch light and a closet light are switched from the room one comes from.
    private static void FromBeyond(Draft draft, RoomShape shape, List<Box> lights)
    {
        if (lights.Count == 0 || draft.IsSwitched(lights))
            return;
        var door = shape.Openings.Where(o => o.IsDoorway).OrderByDescending(o => o.Opening.Kind == OpeningKind.Hinged).FirstOrDefault();
        if (door?.Beyond is { } beyond && draft.House[beyond].Openings.FirstOrDefault(o => o.Opening.Id == door.Opening.Id) is { } there)
            AddGang(draft, draft.House[beyond], there, lights, 1);
        else if (door is not null)
            AddGang(draft, shape, door, lights, 1);
        else
            AtHatch(draft, shape, lights);
    }

    // An attic or a crawl space without a door is entered by its hatch: the switch hangs where the hatch is reached, in the
    // room under or over its middle, or in the space itself.
    private static void AtHatch(Draft draft, RoomShape shape, List<Box> lights)
    {
        var hall = draft
            .House.Rooms.Where(r =>
                r.Room.Kind is RoomKind.Hallway or RoomKind.Utility or RoomKind.Garage or RoomKind.Closet && !r.Room.Kind.OpenAir()
            )
            .OrderBy(r => r.Room.Kind == RoomKind.Hallway ? 0 : 1)
            .ThenBy(r => r.Centre.InchesTo(shape.Centre))
            .FirstOrDefault(r => SwitchReach.Entries(draft.House, r).Count > 0);
        if (hall is not null)
            AddGang(draft, hall, SwitchReach.Entries(draft.House, hall)[0], lights, 1);
    }

    /// <summary>
    /// The fewest doorways, taken one after the other by how many ways in they serve, beside which a switch is in reach of all.
    /// </summary>
    private static List<RoomOpening> Fewest(Job job, RoomShape shape, List<RoomOpening> entries)
    {
        var reach = job.Preferences.SwitchReach.InInches;
        var serves = entries
            .Select(e =>
            {
                var (wall, along) = LatchSide(shape, e);
                return entries.Where(o => o == e || SwitchReach.Walk(shape, o, shape.On(wall, along)) <= reach - Kept).ToHashSet();
            })
            .ToList();
        var left = entries.ToHashSet();
        var chosen = new List<RoomOpening>();
        while (left.Count > 0)
        {
            var best = Enumerable
                .Range(0, entries.Count)
                .OrderByDescending(i => serves[i].Count(left.Contains))
                .ThenByDescending(i => entries[i].Opening.Kind == OpeningKind.Hinged)
                .ThenBy(i => entries[i].Opening.Id, StringComparer.Ordinal)
                .First();
            chosen.Add(entries[best]);
            left.ExceptWith(serves[best]);
        }

        return chosen;
    }

    private static void AddGang(Draft draft, RoomShape shape, RoomOpening door, List<Box> lights, int locations)
    {
        var (wall, along) = LatchSide(shape, door);

        // Where a switch has to keep away from a tub it hangs outside, beside the same door.
        if (
            AtTub(draft, shape, wall, along)
            && door.Beyond is { } beyond
            && draft.House[beyond].Openings.FirstOrDefault(o => o.Opening.Id == door.Opening.Id) is { } there
        )
        {
            shape = draft.House[beyond];
            (wall, along) = LatchSide(shape, there);
        }

        AddGang(draft, shape, wall, along, lights, locations);
    }

    private static bool AtTub(Draft draft, RoomShape shape, int wall, Length along) =>
        draft.Edition.Number("switchFromTubIn") is var apart
        && apart > 0
        && draft.Job.Fixtures.Any(f =>
            f.Room == shape.Room.Id
            && f.Kind is FixtureKind.Tub or FixtureKind.Shower
            && Places.InchesTo(shape, f.Spot, shape.On(wall, along)) < apart
        );

    private static void AddGang(Draft draft, RoomShape shape, int wall, Length along, List<Box> lights, int locations)
    {
        var gang = new SwitchGang { Lights = [.. lights.Select(l => l.Id)], Locations = locations };
        var near = draft
            .In(shape)
            .FirstOrDefault(b =>
                draft.IsOwn(b)
                && b.Kind == BoxKind.Switch
                && b.Wall == wall
                && (b.Along - along).Abs() < Length.Inches(16)
                && b.Gangs.Length < MostGangs
            );
        if (near is not null)
            draft.Replace(near, near with { Gangs = near.Gangs.Add(gang) });
        else
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Switch,
                    Room = shape.Room.Id,
                    Wall = wall,
                    Along = along,
                    Height = draft.Job.Preferences.SwitchCentre,
                    Gangs = [gang],
                }
            );
    }

    /// <summary>The place beside a door away from its hinge, round the corner when the wall is too short there.</summary>
    internal static (int Wall, Length Along) LatchSide(RoomShape shape, RoomOpening door)
    {
        foreach (var after in door.Hinge == End.Start ? new[] { true, false } : [false, true])
        {
            var along = after ? door.To + Length.Inches(FromJamb) : door.From - Length.Inches(FromJamb);
            if (
                along >= Length.Inches(3)
                && along <= shape.Walls[door.Wall].Length - Length.Inches(3)
                && !ReceptacleSpots.InOpening(shape, door.Wall, along, 2)
            )
                return (door.Wall, along);
        }

        foreach (var turn in new[] { FromJamb, -FromJamb, FromJamb + 12, -FromJamb - 12, FromJamb + 30, -FromJamb - 30 })
        {
            var jamb = shape.ToPerimeter(door.Wall, turn > 0 ? door.To : door.From) + Length.Inches(turn);
            var (wall, along) = shape.FromPerimeter(jamb);
            if (!ReceptacleSpots.InOpening(shape, wall, along, 2))
                return (wall, along);
        }

        return (door.Wall, Length.Min(door.To, shape.Walls[door.Wall].Length));
    }

    // A bath fan is switched beside the light, at the door.
    private static void Fans(Draft draft, RoomShape shape)
    {
        foreach (
            var fan in draft
                .In(shape)
                .Where(b =>
                    b.Kind == BoxKind.Appliance && ApplianceFacts.Has(draft.Job.ApplianceById(b.Appliance), ApplianceTrait.OwnSwitch)
                )
                .ToList()
        )
        {
            if (!draft.IsSwitched([fan]) && SwitchReach.Entries(draft.House, shape).FirstOrDefault() is { } entry)
                AddGang(draft, shape, entry, [fan], 1);
        }
    }

    // Each flight has its light at its upper end and switches at both, where one gets to it.
    private static void Stairs(Draft draft)
    {
        foreach (var flight in StairRules.Flights(draft.House))
        {
            var lights = LightRules.Of(draft, flight.Upper);
            if (lights.Count == 0 || draft.IsSwitched(lights))
                continue;
            var places = flight
                .Ends.SelectMany(f => Fewest(draft.Job, f, SwitchReach.Entries(draft.House, f)).Select(d => (Flight: f, Door: d)))
                .ToList();
            var far = StairRules.NeedsBoth(draft.Edition, flight) ? StairRules.FarEnd(draft.House, flight) : null;
            var count = places.Count + (far is null ? 0 : 1);
            foreach (var (end, door) in places)
                AddGang(draft, end, door, lights, count);
            if (far is { } there)
                AddGang(draft, there.Room, there.Wall, there.Along, lights, count);
        }
    }
}
