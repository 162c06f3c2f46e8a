using System.Collections.Frozen;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Where a first panel would hang: on a free outside wall of a garage or a utility room, with room to work at it.</summary>
public static class PanelPlace
{
    // What an inside wall costs, in the feet that the service then goes through the house.
    private const double InsideCostFeet = 25;
    private const double RankFeet = 40;

    // Service conductors without protection of their own go as short a way through the house as can be (230.70(A)(1)).
    private const double MeterFactor = 4;

    private static readonly FrozenDictionary<RoomKind, int> Ranks = new Dictionary<RoomKind, int>
    {
        [RoomKind.Garage] = 0,
        [RoomKind.Utility] = 0,
        [RoomKind.UnfinishedBasement] = 0,
        [RoomKind.Laundry] = 1,
        [RoomKind.FinishedBasement] = 2,
        [RoomKind.Hallway] = 3,
        [RoomKind.Foyer] = 3,
        [RoomKind.Office] = 3,
        [RoomKind.Den] = 3,
        [RoomKind.Recreation] = 3,
        [RoomKind.Bedroom] = 4,
        [RoomKind.Living] = 5,
        [RoomKind.Family] = 5,
        [RoomKind.Dining] = 5,
        [RoomKind.AccessoryBuilding] = 6,
    }.ToFrozenDictionary();

    /// <summary>The best place, or none when no wall has the room.</summary>
    /// <param name="job">The job.</param>
    /// <returns>The room, the number of its wall, and how far along it the middle of the panel hangs.</returns>
    public static (string Room, int Wall, Length Along)? Find(Job job)
    {
        var house = HouseShape.Of(job);
        var rooms = house.Rooms.Where(r => Ranks.ContainsKey(r.Room.Kind)).ToList();
        if (rooms.Count == 0)
            return null;

        // The service comes to the house; a building beside it is fed from there.
        var main = house.MainBuilding;
        if (rooms.Exists(r => main.Contains(r.Room.Id) && Walls(job, r).Any()))
            rooms.RemoveAll(r => !main.Contains(r.Room.Id));

        // The middle of what is fed: kitchens and laundries draw it to them.
        var middle = Middle(house);
        return rooms
            .SelectMany(r => Walls(job, r).Select(w => (r.Room.Id, w.Wall, w.Along, Cost: Cost(house, r, w, middle))))
            .OrderBy(p => p.Cost)
            .ThenBy(p => p.Id, StringComparer.Ordinal)
            .ThenBy(p => p.Wall)
            .Select(p => ((string, int, Length)?)(p.Id, p.Wall, p.Along))
            .FirstOrDefault();
    }

    private static Point Middle(HouseShape house)
    {
        var fed = house.Rooms.Where(r => !r.Room.Kind.OpenAir()).SelectMany(r => Enumerable.Repeat(r, Weight(r.Room.Kind))).ToList();
        return new(Length.Inches(fed.Average(r => r.Centre.X.InInches)), Length.Inches(fed.Average(r => r.Centre.Y.InInches)));
    }

    private static Point? Meter(HouseShape house) =>
        house.Job.Fixtures.FirstOrDefault(f => f.Kind == FixtureKind.Meter) is { } meter ? Places.Of(house[meter.Room], meter.Spot) : null;

    private static int Weight(RoomKind kind) => kind is RoomKind.Kitchen or RoomKind.Laundry or RoomKind.Utility ? 3 : 1;

    // In front of it one works, and it does not hang in a window.
    private static IEnumerable<(int Wall, Length Along)> Walls(Job job, RoomShape room)
    {
        var edition = CodeLibrary.EditionOf(job);
        var width = edition.Number("workingWidthIn").Length;
        return new FloorRoom(job, room.Room.Id)
            .FreeOfWindows(edition.Number("workingDepthIn").Length.InInches)
            .Where(f => f.To - f.From >= width)
            .Select(f => (f.Wall, f.From + (width / 2)));
    }

    private static double Cost(HouseShape house, RoomShape room, (int Wall, Length Along) at, Point middle)
    {
        var inside = house.Facing(room, at.Wall).Any(f => !f.Room.Room.Kind.OpenAir() && f.From <= at.Along && f.To >= at.Along);
        var lowest = house.Job.Storeys.Min(s => s.Floor.Abs());
        var storey = (house.Job.StoreyById(room.Room.Storey)!.Floor.Abs() - lowest).InFeet;
        return (Ranks[room.Room.Kind] * RankFeet)
            + (inside ? InsideCostFeet : 0)
            + (2 * storey)
            + (room.On(at.Wall, at.Along).InchesTo(middle) / 12)
            + (Meter(house) is { } meter ? MeterFactor * room.On(at.Wall, at.Along).InchesTo(meter) / 12 : 0);
    }
}
