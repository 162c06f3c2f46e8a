using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Generated;

/// <summary>
/// Made-up houses with everything that circuits are divided by, each from a number, and the hard rules told apart from the program's own
/// checks.
/// </summary>
internal static partial class GeneratedHouse
{
    /// <summary>
    /// A house of one or two storeys with doors, counters, fixtures, appliances, a panel, and preferences and edition drawn at random.
    /// </summary>
    internal static Job Make(int seed)
    {
        var random = new Random(seed);
        var storeys = random.Next(3) == 0 ? 2 : 1;
        var (columns, rows) = (random.Next(2, 6), random.Next(2, 4));
        double[] wide = [.. Enumerable.Range(0, columns).Select(_ => random.Next(8, 18) + 0.0)],
            deep = [.. Enumerable.Range(0, rows).Select(_ => random.Next(8, 16) + 0.0)];
        RoomKind[] kinds =
        [
            RoomKind.Living,
            RoomKind.Bedroom,
            RoomKind.Kitchen,
            RoomKind.Hallway,
            RoomKind.Bathroom,
            RoomKind.Office,
            RoomKind.Laundry,
            RoomKind.Dining,
            RoomKind.Garage,
            RoomKind.Utility,
            RoomKind.Bedroom,
            RoomKind.Porch,
        ];
        var (rooms, openings, fixtures, counters, appliances) = (
            new List<Room>(),
            new List<Opening>(),
            new List<Fixture>(),
            new List<Counter>(),
            new List<Appliance>()
        );
        for (var s = 0; s < storeys; s++)
        {
            for (var j = 0; j < rows; j++)
            {
                for (var i = 0; i < columns; i++)
                {
                    var kind = kinds[random.Next(kinds.Length)];
                    if (s > 0 && kind is RoomKind.Garage or RoomKind.Porch)
                        kind = RoomKind.Bedroom;
                    var (x, y, id) = (wide.Take(i).Sum() + (i * 0.375), deep.Take(j).Sum() + (j * 0.375), $"s{s}r{i}-{j}");
                    rooms.Add(Rect(id, kind, x, y, wide[i], deep[j], $"s{s}"));
                    if (i > 0)
                        openings.Add(Door($"d{openings.Count}", $"s{s}r{i - 1}-{j}", 1, random.NextDouble() * (deep[j] - 3), id));
                    if (j > 0)
                        openings.Add(Door($"d{openings.Count}", $"s{s}r{i}-{j - 1}", 2, random.NextDouble() * (wide[i] - 3), id));
                    Furnish(kind, id, wide[i]);
                }
            }
        }

        openings.Add(Door($"d{openings.Count}", "s0r0-0", 0, 1, Opening.Outside));
        var inside = rooms.Where(r => r.Storey == "s0" && r.Kind is not (RoomKind.Bathroom or RoomKind.Porch)).ToList();
        return new Job
        {
            Name = $"House {seed}",
            CodeEdition = CodeLibrary.EditionIds[random.Next(3)],
            Storeys =
            [
                .. Enumerable
                    .Range(0, storeys)
                    .Select(s => new Storey
                    {
                        Id = $"s{s}",
                        Name = $"Storey {s}",
                        Floor = Length.Feet(9 * s),
                    }),
            ],
            Rooms = [.. rooms],
            Openings = [.. openings],
            Fixtures = [.. fixtures],
            Counters = [.. counters],
            Appliances = [.. appliances],
            Preferences = Preferences(random),
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main panel",
                    Room = (inside.Count > 0 ? inside : rooms)[0].Id,
                    Wall = 3,
                    Along = Length.Feet(4),
                    Spaces = 60,
                    MainBreaker = 400,
                    BreakerFamily = "A",
                },
            ],
        };

        void Furnish(RoomKind kind, string id, double width)
        {
            void Add(string type, double at) =>
                appliances.Add(
                    new Appliance
                    {
                        Id = $"a{appliances.Count}",
                        Type = type,
                        Room = id,
                        Spot = new Spot
                        {
                            Wall = 0,
                            From = Length.Feet(Math.Min(at, width - 2.5)),
                            Width = Length.Feet(2),
                            Depth = Length.Feet(2),
                        },
                        Nameplate = new Nameplate { Confirmed = true },
                    }
                );
            switch (kind)
            {
                case RoomKind.Kitchen:
                    counters.Add(
                        new Counter
                        {
                            Id = $"c{counters.Count}",
                            Room = id,
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(0.5),
                                Width = Length.Feet(width - 1),
                                Depth = Length.Inches(25),
                            },
                        }
                    );
                    fixtures.Add(
                        new Fixture
                        {
                            Id = $"f{fixtures.Count}",
                            Kind = FixtureKind.Sink,
                            Room = id,
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(3),
                                Width = Length.Inches(33),
                                Depth = Length.Inches(22),
                            },
                        }
                    );
                    foreach (
                        var type in new[] { "range", "dishwasher", "disposer", "refrigerator", "microwave" }.Where(_ => random.Next(3) > 0)
                    )
                        Add(type, random.NextDouble() * width);
                    break;
                case RoomKind.Bathroom:
                    fixtures.Add(
                        new Fixture
                        {
                            Id = $"f{fixtures.Count}",
                            Kind = FixtureKind.Basin,
                            Room = id,
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(2),
                                Width = Length.Inches(24),
                                Depth = Length.Inches(20),
                            },
                        }
                    );
                    if (random.Next(2) == 0)
                        Add("bath-heater", 5);
                    break;
                case RoomKind.Laundry:
                    Add("washer", 0.5);
                    Add(random.Next(2) == 0 ? "dryer" : "gas-dryer", 3);
                    break;
                case RoomKind.Garage:
                    foreach (
                        var type in new[] { "garage-door", "freezer", "ev-charger", "water-heater", "bench-machine" }.Where(_ =>
                            random.Next(2) == 0
                        )
                    )
                        Add(type, random.NextDouble() * width);
                    break;
                case RoomKind.Utility:
                    foreach (var type in new[] { "furnace", "sump-pump", "water-heater", "air-handler" }.Where(_ => random.Next(2) == 0))
                        Add(type, random.NextDouble() * width);
                    break;
            }
        }
    }

    /// <summary>The same house with a workshop apart from it, and two times in three a panel of its own there.</summary>
    internal static Job MakeWithShed(int seed)
    {
        var (job, random) = (Make(seed), new Random((seed * 31) + 7));
        var east = job.Rooms.Max(r => r.Outline.Max(p => p.X)).InFeet + random.Next(6, 40);
        var (wide, deep) = (random.Next(10, 26), random.Next(10, 20));
        Appliance Machine(int n, string type) =>
            new()
            {
                Id = $"shop{n}",
                Type = type,
                Room = "shop",
                Spot = new Spot
                {
                    Wall = 0,
                    From = Length.Feet(Math.Min(1 + (n * 2.5), wide - 2.5)),
                    Width = Length.Feet(2),
                    Depth = Length.Feet(2),
                },
                Nameplate = new Nameplate { Confirmed = true },
            };
        string[] types = ["bench-machine", "air-compressor", "freezer", "mini-split", "baseboard", "refrigerator", "central-vac"];
        return job with
        {
            Rooms = job.Rooms.Add(Rect("shop", RoomKind.AccessoryBuilding, east, 0, wide, deep, "s0")),
            Openings = job.Openings.Add(Door("shopdoor", "shop", 2, 2, Opening.Outside)),
            Appliances =
            [
                .. job.Appliances,
                .. Enumerable.Range(0, random.Next(0, 5)).Select(n => Machine(n, types[random.Next(types.Length)])),
            ],
            Panels =
                random.Next(3) == 0
                    ? job.Panels
                    : job.Panels.Add(
                        new Panel
                        {
                            Id = "shop",
                            Name = "Workshop panel",
                            Room = "shop",
                            Wall = 3,
                            Along = Length.Feet(4),
                            Spaces = 20,
                            MainBreaker = 125,
                            BreakerFamily = "A",
                            FedFrom = "main",
                        }
                    ),
        };
    }

    private const string Material = "Material and money";

    private static Preferences Preferences(Random random)
    {
        var p = new Preferences();
        string[] apart = ["terminationC", "counterReceptacles", "conduitPlace"];
        var choices = PreferenceFields.All.Where(f => f.Options.Length > 0 && !apart.Contains(f.Key)).ToLookup(f => f.Group == Material);
        foreach (var field in choices[false].Where(_ => random.Next(3) == 0))
            p = field.Write(p, field.Options[random.Next(field.Options.Length)].Value).Preferences!;

        p = p with { ReceptaclesPer15 = random.Next(6, 12), ReceptaclesPer20 = random.Next(6, 15), RoomsPerCircuit = random.Next(1, 5) };

        // No plan depends on these, so they leave the houses as they were before they came.
        var own = new Random((p.ReceptaclesPer15 * 100) + (p.ReceptaclesPer20 * 10) + p.RoomsPerCircuit);
        foreach (var field in choices[true].Where(_ => own.Next(2) == 0))
            p = field.Write(p, field.Options[own.Next(field.Options.Length)].Value).Preferences!;
        return p;
    }

    private static Room Rect(string id, RoomKind kind, double x, double y, double w, double d, string storey) =>
        new()
        {
            Id = id,
            Name = id,
            Kind = kind,
            Storey = storey,
            Outline =
            [
                new(Length.Feet(x), Length.Feet(y)),
                new(Length.Feet(x + w), Length.Feet(y)),
                new(Length.Feet(x + w), Length.Feet(y + d)),
                new(Length.Feet(x), Length.Feet(y + d)),
            ],
        };

    private static Opening Door(string id, string room, int wall, double from, string to) =>
        new()
        {
            Id = id,
            Room = room,
            Wall = wall,
            From = Length.Feet(Math.Round(from * 4) / 4),
            Width = Length.Feet(2.5),
            To = to,
        };
}
