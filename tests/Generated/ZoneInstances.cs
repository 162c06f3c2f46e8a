using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>Made-up problems of dividing rooms into zones: rooms on a grid, each with its lights as one thing.</summary>
internal static class ZoneInstances
{
    private static readonly RoomKind[] Kinds =
    [
        RoomKind.Bedroom,
        RoomKind.Hallway,
        RoomKind.Kitchen,
        RoomKind.Living,
        RoomKind.Bathroom,
        RoomKind.Bedroom,
        RoomKind.Office,
        RoomKind.Closet,
        RoomKind.Laundry,
        RoomKind.Dining,
        RoomKind.Garage,
    ];

    internal static GroupProblem Make(int seed, int count)
    {
        var random = new Random(seed);
        var wide = Math.Max(2, (int)Math.Ceiling(Math.Sqrt(count)));
        var rooms = Enumerable.Range(0, count).Select(i => Room(i, random, wide)).ToList();
        var job = new Job
        {
            Name = $"Zones {seed}",
            Storeys =
            [
                new Storey { Id = "s0", Name = "First floor" },
                new Storey
                {
                    Id = "s1",
                    Name = "Second floor",
                    Floor = Length.Feet(9),
                },
            ],
            Rooms = [.. rooms.Select((r, i) => i < count * 2 / 3 ? r : r with { Storey = "s1" })],
            Panels = [new Panel { Id = "main", Room = rooms[0].Id }],
        };
        var house = HouseShape.Of(job);
        var at = house.Rooms.Select(r => (X: r.Centre.X.InFeet, Y: r.Centre.Y.InFeet, Up: r.Room.Storey == "s1" ? 10.0 : 0)).ToList();
        var w = new PlanWeights();
        int Feet(double f) => (int)(f * w.CableFoot);
        return new GroupProblem
        {
            Between = new(
                at.Select(a => at.Select(b => Feet(Math.Abs(a.X - b.X) + Math.Abs(a.Y - b.Y) + Math.Abs(a.Up - b.Up) + 3)).ToArray())
            ),
            Home = [.. at.Select(a => Feet(a.X + a.Y + a.Up + 15))],
            Load = [.. at.Select(_ => 120)],

            // Two lights a room and ten a circuit: five rooms at most, so that the oracle can list all sets.
            Size = [.. at.Select(_ => 2)],
            Room = [.. Enumerable.Range(0, count)],
            Places = [.. Enumerable.Range(0, count).Select(i => RoomSet.Of([i]))],
            Around = new int[count],
            Zones = HouseZones.Lights(house, RoomSet.Of(Enumerable.Range(0, count)), []),
            Storey = [.. at.Select(a => a.Up > 0 ? 1 : 0)],
            Fixed = [.. at.Select(_ => -1)],
            Standing = [.. at.Select(_ => -1)],
            MostSize = 10,
            MostLoad = 2000,
            Weights = w with { Room = 0 },
        };
    }

    private static Room Room(int i, Random random, int wide)
    {
        var (x, y) = (i % wide * 13.0, i / wide * 12.0);
        var (w, d) = (12.6 - (random.Next(3) * 0.1), 11.6);
        return new Room
        {
            Id = $"r{i}",
            Name = $"Room {i}",
            Kind = Kinds[random.Next(Kinds.Length)],
            Storey = "s0",
            Outline =
            [
                new(Length.Feet(x), Length.Feet(y)),
                new(Length.Feet(x + w), Length.Feet(y)),
                new(Length.Feet(x + w), Length.Feet(y + d)),
                new(Length.Feet(x), Length.Feet(y + d)),
            ],
        };
    }
}
