using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Small houses for the tests.</summary>
internal static class Sample
{
    internal static Length L(string text) => LengthText.Parse(text);

    internal static Room Rect(string id, RoomKind kind, double x, double y, double w, double d, string storey = "first") =>
        new()
        {
            Id = id,
            Name = id,
            Kind = kind,
            Storey = storey,
            Outline = [P(x, y), P(x + w, y), P(x + w, y + d), P(x, y + d)],
        };

    internal static Point P(double x, double y) => new(Length.Feet(x), Length.Feet(y));

    internal static Job House(params Room[] rooms) =>
        new()
        {
            Name = "Sample",
            Storeys = [new Storey { Id = "first", Name = "First floor" }],
            Rooms = [.. rooms],
        };

    internal static Opening Door(
        string room,
        int wall,
        double from,
        double width = 2.6666667,
        string to = Opening.Outside,
        OpeningKind kind = OpeningKind.Hinged
    ) =>
        new()
        {
            Id = $"d-{room}-{wall}-{from:0}",
            Room = room,
            Wall = wall,
            From = Length.Feet(from),
            Width = Length.Feet(width),
            To = to,
            Kind = kind,
        };

    /// <summary>The demo house as its file has it, read with the same names.</summary>
    internal static string DemoPath(string name)
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !File.Exists(Path.Combine(at.FullName, "demo", name)))
            at = at.Parent;
        return Path.Combine(at!.FullName, "demo", name);
    }

    /// <summary>A flat with a kitchen, a bath, a bedroom, a hall and a garage, enough for every rule of the layout.</summary>
    internal static Job Flat() =>
        House(
            Rect("kitchen", RoomKind.Kitchen, 0, 0, 12, 10),
            Rect("hall", RoomKind.Hallway, 12.375, 0, 4, 22),
            Rect("bath", RoomKind.Bathroom, 16.75, 0, 6, 9),
            Rect("bedroom", RoomKind.Bedroom, 16.75, 9.375, 13, 12),
            Rect("laundry", RoomKind.Laundry, 0, 10.375, 12, 6),
            Rect("garage", RoomKind.Garage, 0, 22.5, 11.5, 22),
            Rect("porch", RoomKind.Porch, 12.375, 22.5, 4, 5)
        ) with
        {
            Openings =
            [
                Door("kitchen", 1, 4, 3, "hall", OpeningKind.Cased),
                Door("hall", 1, 4, 2.5, "bath") with
                {
                    SwingsIn = false,
                },
                Door("hall", 1, 14, 2.6666667, "bedroom") with
                {
                    SwingsIn = false,
                },
                Door("hall", 3, 7, 2.5, "laundry") with
                {
                    SwingsIn = false,
                },
                Door("hall", 2, 0.5, 2.6666667, "porch"),
                Door("garage", 2, 1, 9, kind: OpeningKind.GarageDoor),
            ],
            Counters =
            [
                new Counter
                {
                    Id = "c1",
                    Room = "kitchen",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(12),
                        Depth = Length.Inches(25),
                    },
                },
            ],
            Fixtures =
            [
                new Fixture
                {
                    Id = "sink",
                    Kind = FixtureKind.Sink,
                    Room = "kitchen",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(5),
                        Width = Length.Inches(33),
                        Depth = Length.Inches(22),
                    },
                },
                new Fixture
                {
                    Id = "basin",
                    Kind = FixtureKind.Basin,
                    Room = "bath",
                    Spot = new Spot
                    {
                        Wall = 1,
                        From = Length.Feet(4),
                        Width = Length.Inches(20),
                        Depth = Length.Inches(18),
                    },
                },
            ],
            Appliances =
            [
                new Appliance
                {
                    Id = "range",
                    Type = "range",
                    Room = "kitchen",
                    Spot = new Spot
                    {
                        Wall = 3,
                        From = Length.Feet(4),
                        Width = Length.Inches(30),
                        Depth = Length.Inches(26),
                    },
                },
                new Appliance
                {
                    Id = "dryer",
                    Type = "dryer",
                    Room = "laundry",
                    Spot = new Spot
                    {
                        Wall = 3,
                        From = Length.Feet(1),
                        Width = Length.Inches(27),
                        Depth = Length.Inches(28),
                    },
                },
                new Appliance
                {
                    Id = "washer",
                    Type = "washer",
                    Room = "laundry",
                    Spot = new Spot
                    {
                        Wall = 3,
                        From = Length.Inches(42),
                        Width = Length.Inches(27),
                        Depth = Length.Inches(28),
                    },
                },
            ],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main panel",
                    Room = "garage",
                    Wall = 3,
                    Along = Length.Feet(8),
                    Spaces = 30,
                    MainBreaker = 150,
                    BreakerFamily = "A",
                },
            ],
        };

    /// <summary>A plate-read appliance of a type on a wall of a room, two feet wide.</summary>
    internal static Appliance Thing(string id, string type, string room, int wall, double feet) =>
        new()
        {
            Id = id,
            Type = type,
            Room = room,
            Spot = new Spot
            {
                Wall = wall,
                From = Length.Feet(feet),
                Width = Length.Feet(2),
                Depth = Length.Feet(2),
            },
            Nameplate = new Nameplate { Confirmed = true },
        };

    /// <summary>The whole flat with a dishwasher, a disposer and a built-in microwave in its kitchen.</summary>
    internal static Job WithKitchen()
    {
        var whole = Whole();
        return whole with
        {
            Appliances =
            [
                .. whole.Appliances,
                Thing("dishwasher", "dishwasher", "kitchen", 0, 8),
                Thing("disposer", "disposer", "kitchen", 0, 5.3),
                Thing("microwave", "microwave", "kitchen", 3, 0.5),
            ],
        };
    }

    /// <summary>The whole flat with a workshop some way off: seven bench machines and, when asked for, a panel of its own.</summary>
    internal static Job WithWorkshop(bool ownPanel = true)
    {
        var whole = Whole();
        return whole with
        {
            Rooms = whole.Rooms.Add(Rect("shop", RoomKind.AccessoryBuilding, 60, 0, 24, 16)),
            Openings = whole.Openings.Add(Door("shop", 2, 4)),
            Appliances =
            [
                .. whole.Appliances,
                .. Enumerable.Range(0, 7).Select(n => Thing($"saw{n}", "bench-machine", "shop", n < 4 ? 0 : 1, 1 + (n % 4 * 3))),
            ],
            Panels = ownPanel
                ? whole.Panels.Add(
                    new Panel
                    {
                        Id = "shop",
                        Name = "Workshop panel",
                        Room = "shop",
                        Wall = 3,
                        Along = Length.Feet(8),
                        Spaces = 20,
                        MainBreaker = 100,
                        BreakerFamily = "A",
                        FedFrom = "main",
                    }
                )
                : whole.Panels,
        };
    }

    /// <summary>
    /// The flat with a deck at its back, a furnace, a bath fan and a refrigerator, and every plate read: nothing is left to find.
    /// </summary>
    internal static Job Whole()
    {
        var flat = Flat();
        var more = flat with
        {
            Rooms = flat.Rooms.Add(Rect("deck", RoomKind.Deck, 12.375, -8.5, 4, 8)),
            Openings = flat.Openings.Add(Door("hall", 0, 0.5, to: "deck")),
            Appliances =
            [
                .. flat.Appliances,
                Thing("furnace", "furnace", "garage", 1, 16),
                Thing("fan", "bath-fan", "bath", 0, 3) with
                {
                    Spot = new Spot
                    {
                        At = P(19, 4),
                        Width = Length.Feet(1),
                        Depth = Length.Feet(1),
                    },
                },
                Thing("refrigerator", "refrigerator", "kitchen", 2, 0.5),
            ],
        };
        return more with { Appliances = [.. more.Appliances.Select(a => a with { Nameplate = a.Nameplate with { Confirmed = true } })] };
    }
}
