using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>The zone rules of a house for lights, for receptacles and for both together, from what its rooms are.</summary>
internal static class HouseZones
{
    // Closets, pantries and what is outside ride along.
    private const int MostLitRooms = 5;

    // A hall or a closet with no more than this goes along with a neighbour.
    private const int FewReceptacles = 2;

    // From this many on an office is on a circuit by itself.
    private const int BusyOffice = 6;

    // A storey of fewer lit rooms is not worth a second breaker.
    private const int StoreyOfRooms = 3;

    private const int MostBedrooms = 2;

    /// <summary>The rules for a purpose.</summary>
    /// <param name="purpose">Lights, receptacles or both.</param>
    /// <param name="house">The house.</param>
    /// <param name="lit">The rooms that have lights.</param>
    /// <param name="counts">How many receptacles each room has.</param>
    /// <param name="pins">What a person wants of rooms on these circuits.</param>
    internal static ZoneRules For(
        CircuitPurpose purpose,
        HouseShape house,
        RoomSet lit,
        IReadOnlyDictionary<string, int> counts,
        IEnumerable<RoomPin> pins
    )
    {
        // Two rooms of which one has nothing on such circuits cannot be together.
        List<RoomPin> said = [.. pins.Where(p => p.Counts(purpose) && (p.Kind != PinKind.Together || (Has(p.Room) && Has(p.Other!))))];
        return purpose switch
        {
            CircuitPurpose.Lighting => Lights(house, lit, said),
            CircuitPurpose.Receptacles => Receptacles(house, counts, said),
            _ => Mixed(house, lit, counts, said),
        };

        bool Has(string room) =>
            (purpose != CircuitPurpose.Lighting && counts.GetValueOrDefault(room) > 0)
            || (purpose != CircuitPurpose.Receptacles && lit.Meets(RoomSet.Of(Of(house.Job, r => r.Id == room))));
    }

    /// <summary>The rules for lights.</summary>
    /// <param name="house">The house.</param>
    /// <param name="lit">The rooms that have lights.</param>
    /// <param name="pins">What a person wants of rooms on these circuits.</param>
    internal static ZoneRules Lights(HouseShape house, RoomSet lit, IReadOnlyCollection<RoomPin> pins)
    {
        var job = house.Job;
        var rides = RoomSet.Of(Of(job, r => r.Kind is RoomKind.Closet or RoomKind.Pantry || r.Kind.OpenAir()));
        var byStorey = job.Preferences.Division.Lights == LightsBy.Storey;
        return new(house, byStorey ? job.Rooms.Length : MostLitRooms, rides, acrossHalls: byStorey)
        {
            Bans = [.. LightBans(job), .. PinBans(job, pins)],
            Splits = [.. Dark(job, lit, rides)],
            Joins = [.. PinJoins(job, pins)],
            WeighsZones = !byStorey,
        };
    }

    // Closets and halls go along with a room that is kept alone, and what belongs to it.
    private static IEnumerable<ZoneBan> PinBans(Job job, IEnumerable<RoomPin> pins)
    {
        var hosts = Hosts(job);
        foreach (var pin in pins.Where(p => p.Kind != PinKind.Together))
        {
            var name = job.RoomById(pin.Room)!.Name;
            var one = RoomSet.Of(Of(job, r => r.Id == pin.Room));
            if (pin.Other is { } other)
                yield return new(
                    one,
                    RoomSet.Of(Of(job, r => r.Id == other)),
                    $"{name} and {job.RoomById(other)!.Name} are kept apart, as pinned",
                    ZoneReason.Pin
                );
            else
            {
                var others = Of(job, r =>
                    r.Id != pin.Room
                    && hosts.GetValueOrDefault(r.Id) != pin.Room
                    && !r.Kind.OpenAir()
                    && r.Kind is not (RoomKind.Closet or RoomKind.Pantry or RoomKind.Hallway)
                );
                yield return new(one, RoomSet.Of(others), $"{name} is kept alone, as pinned", ZoneReason.Pin);
            }
        }
    }

    private static IEnumerable<ZoneJoin> PinJoins(Job job, IEnumerable<RoomPin> pins) =>
        pins.Where(p => p.Kind == PinKind.Together)
            .Select(p => new ZoneJoin(
                RoomSet.Of(Of(job, r => p.Names(r.Id))),
                $"{job.RoomById(p.Room)!.Name} and {job.RoomById(p.Other!)!.Name} are kept together, as pinned"
            ));

    /// <summary>The rules for receptacles.</summary>
    /// <param name="house">The house.</param>
    /// <param name="counts">How many of them each room has.</param>
    /// <param name="pins">What a person wants of rooms on these circuits.</param>
    private static ZoneRules Receptacles(HouseShape house, IReadOnlyDictionary<string, int> counts, IReadOnlyCollection<RoomPin> pins)
    {
        var job = house.Job;
        return new(house, Math.Max(1, job.Preferences.RoomsPerCircuit), Riders(job, counts), acrossHalls: true)
        {
            Bans = [.. ReceptacleBans(job, counts), .. PinBans(job, pins)],
            Splits = [.. Bedrooms(house)],
            Joins = [.. PinJoins(job, pins)],
        };
    }

    /// <summary>The rules for lights and receptacles on the same circuits.</summary>
    /// <param name="house">The house.</param>
    /// <param name="lit">The rooms that have lights.</param>
    /// <param name="counts">How many receptacles each room has.</param>
    /// <param name="pins">What a person wants of rooms on these circuits.</param>
    private static ZoneRules Mixed(
        HouseShape house,
        RoomSet lit,
        IReadOnlyDictionary<string, int> counts,
        IReadOnlyCollection<RoomPin> pins
    )
    {
        var job = house.Job;
        var rides = Riders(job, counts);
        rides.Add(RoomSet.Of(Of(job, r => r.Kind.OpenAir())));
        return new(house, Math.Max(1, job.Preferences.RoomsPerCircuit), rides, acrossHalls: true)
        {
            Bans = [.. LightBans(job), .. ReceptacleBans(job, counts), .. PinBans(job, pins)],
            Splits = [.. Dark(job, lit, rides), .. Bedrooms(house)],
            Joins = [.. PinJoins(job, pins)],
            WeighsZones = true,
        };
    }

    private static IEnumerable<int> Of(Job job, Func<Room, bool> holds) => ZoneRules.Numbers(job, holds);

    private static RoomSet Riders(Job job, IReadOnlyDictionary<string, int> counts) =>
        RoomSet.Of(
            Of(job, r =>
                r.Kind is RoomKind.Closet or RoomKind.Hallway or RoomKind.Stairs or RoomKind.Pantry
                && counts.GetValueOrDefault(r.Id) <= FewReceptacles
            )
        );

    private static IEnumerable<ZoneBan> LightBans(Job job)
    {
        var kitchens = RoomSet.Of(Of(job, r => RoomUse.Cooks(job, r)));
        var bedrooms = RoomSet.Of(Of(job, r => r.Kind == RoomKind.Bedroom));
        yield return new(kitchens, bedrooms, "a kitchen and a bedroom should not go dark together", ZoneReason.Dark);
        yield return new(
            kitchens,
            RoomSet.Of(Of(job, r => IsFullBath(job, r))),
            "a kitchen and a full bath should not go dark together",
            ZoneReason.Dark
        );
        yield return new(
            RoomSet.Of(Of(job, r => r.Kind == RoomKind.Garage)),
            bedrooms,
            "a garage's lights do not go with a bedroom's",
            ZoneReason.Habit
        );

        // Whoever resets the kitchen's breaker wants light to see it by.
        var panels = RoomSet.Of(Of(job, r => job.Panels.Any(p => p.Room == r.Id) && !RoomUse.Cooks(job, r)));
        yield return new(kitchens, panels, "the light at the panel should not go out with the kitchen", ZoneReason.Dark);
    }

    private static IEnumerable<ZoneBan> ReceptacleBans(Job job, IReadOnlyDictionary<string, int> counts)
    {
        var living = RoomSet.Of(Of(job, r => r.Kind is RoomKind.Living or RoomKind.Family or RoomKind.Recreation));
        yield return new(
            living,
            RoomSet.Of(Of(job, r => r.Kind == RoomKind.Bedroom)),
            "a living room does not share with a bedroom",
            ZoneReason.Habit
        );
        foreach (var office in Of(job, r => r.Kind == RoomKind.Office && counts.GetValueOrDefault(r.Id) >= BusyOffice))
        {
            var room = job.Rooms[office];
            var others = RoomSet.Of(Of(job, r => r != room && r.Kind is not (RoomKind.Closet or RoomKind.Hallway)));
            yield return new(RoomSet.Of([office]), others, $"{room.Name} is busy enough for a circuit of its own", ZoneReason.Habit);
        }
    }

    // Vacuum, iron and heater: no more than two bedrooms on a circuit.
    private static IEnumerable<ZoneSplit> Bedrooms(HouseShape house)
    {
        var job = house.Job;
        var all = Of(job, r => r.Kind == RoomKind.Bedroom).ToList();
        if (job.Preferences.Division.Bedrooms == BedroomsBy.One)
        {
            foreach (var pair in all.SelectMany(b => all.Where(o => o > b).Select(o => RoomSet.Of([b, o]))))
                yield return new(pair, "each bedroom has its own circuit", ZoneReason.Habit);
            yield break;
        }

        if (job.Preferences.Division.Bedrooms == BedroomsBy.MainAlone && all.Count > 1)
        {
            var main = all.MaxBy(b => (HasOwnBath(job, job.Rooms[b]) ? 1 : 0, house[job.Rooms[b].Id].AreaSqFt));
            foreach (var other in all.Where(b => b != main))
                yield return new(RoomSet.Of([main, other]), "the main bedroom has its own circuit", ZoneReason.Habit);
        }

        if (job.Preferences.RoomsPerCircuit <= MostBedrooms)
            yield break;
        for (var a = 0; a < all.Count; a++)
        {
            for (var b = a + 1; b < all.Count; b++)
            {
                for (var c = b + 1; c < all.Count; c++)
                    yield return new(
                        RoomSet.Of([all[a], all[b], all[c]]),
                        $"{MostBedrooms} bedrooms are the most on a circuit",
                        ZoneReason.Habit
                    );
            }
        }
    }

    private static bool HasOwnBath(Job job, Room bedroom) =>
        Hosts(job).Any(h => h.Value == bedroom.Id && IsFullBath(job, job.RoomById(h.Key)!));

    private static IEnumerable<ZoneSplit> Dark(Job job, RoomSet lit, RoomSet rides) => [.. Halls(job, lit), .. Storeys(job, lit, rides)];

    private static IEnumerable<ZoneSplit> Halls(Job job, RoomSet lit)
    {
        foreach (var hall in Of(job, r => r.Kind == RoomKind.Hallway))
        {
            var id = job.Rooms[hall].Id;
            var off = RoomTouch.Beyond(job, id);
            var bedrooms = RoomSet.Of(Of(job, r => r.Kind == RoomKind.Bedroom && off.Contains(r.Id))).And(lit);
            var all = RoomSet.Of([hall]);
            all.Add(bedrooms);
            if (bedrooms.Count >= 2 && lit.HasAll(all))
                yield return new(all, $"{job.Rooms[hall].Name} and every bedroom off it should not go dark together", ZoneReason.Dark);
        }
    }

    private static IEnumerable<ZoneSplit> Storeys(Job job, RoomSet lit, RoomSet rides)
    {
        foreach (var storey in job.Storeys)
        {
            var all = RoomSet.Of(Of(job, r => r.Storey == storey.Id && r.Kind != RoomKind.Stairs)).And(lit).Without(rides);
            if (all.Count >= StoreyOfRooms)
                yield return new(all, $"all of {storey.Name} should not go dark together", ZoneReason.Dark);
        }
    }

    /// <summary>Rooms that go with the one room that they open to: closets and pantries with any, a bath with its bedroom.</summary>
    internal static IReadOnlyDictionary<string, string> Hosts(Job job)
    {
        var hosts = new Dictionary<string, string>();
        foreach (var room in job.Rooms.Where(r => r.Kind is RoomKind.Closet or RoomKind.Pantry || RoomUse.IsBathroom(job, r)))
        {
            if (RoomTouch.Beyond(job, room.Id) is not [var host] || job.RoomById(host) is not { } to)
                continue;
            if (room.Kind is RoomKind.Closet or RoomKind.Pantry || to.Kind == RoomKind.Bedroom)
                hosts[room.Id] = host;
        }

        return hosts;
    }

    /// <summary>Whether a bathroom is one in which people bathe.</summary>
    internal static bool IsFullBath(Job job, Room room) =>
        RoomUse.IsBathroom(job, room) && job.Fixtures.Any(f => f.Room == room.Id && f.Kind is FixtureKind.Tub or FixtureKind.Shower);
}
