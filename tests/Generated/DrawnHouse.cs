using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Generated;

/// <summary>
/// Draws a house from a list of rooms on a grid of feet, walls half on either side, and doors by the rooms that they join.
/// </summary>
internal sealed class DrawnHouse(string name)
{
    // Half a partition, in feet.
    private const double HalfWall = 0.1875;

    private Job job = new() { Name = name, CodeEdition = "us-2023" };

    internal DrawnHouse Storey(string id, string title, double floor)
    {
        job = job with
        {
            Storeys = job.Storeys.Add(
                new Storey
                {
                    Id = id,
                    Name = title,
                    Floor = Length.Feet(floor),
                }
            ),
        };
        return this;
    }

    /// <summary>A rectangle on the storey that was named last, measured to the middles of its walls.</summary>
    internal DrawnHouse Room(string id, RoomKind kind, double x, double y, double wide, double deep)
    {
        var title = char.ToUpperInvariant(id[0]) + id[1..].Replace('-', ' ');
        var (w, n, e, s) = (
            Length.Feet(x + HalfWall),
            Length.Feet(y + HalfWall),
            Length.Feet(x + wide - HalfWall),
            Length.Feet(y + deep - HalfWall)
        );
        job = job with
        {
            Rooms = job.Rooms.Add(
                new Room
                {
                    Id = id,
                    Name = title,
                    Kind = kind,
                    Storey = job.Storeys[^1].Id,
                    Outline = [new(w, n), new(e, n), new(e, s), new(w, s)],
                }
            ),
        };
        return this;
    }

    /// <summary>A door in the middle of the wall between two rooms; a wide one is a cased opening.</summary>
    internal DrawnHouse Door(string from, string to, double wide = 2.5)
    {
        var house = HouseShape.Of(job);
        var shape = house[from];
        foreach (var wall in Enumerable.Range(0, 4))
        {
            if (house.Facing(shape, wall).FirstOrDefault(f => f.Room.Room.Id == to && f.To - f.From >= Length.Feet(wide)) is not { } facing)
                continue;
            return Put(
                from,
                wall,
                ((facing.From + facing.To) / 2) - Length.Feet(wide / 2),
                wide,
                wide > 3 ? OpeningKind.Cased : OpeningKind.Hinged,
                to
            );
        }

        throw new InvalidOperationException($"{from} and {to} have no wall for a door of {wide} ft.");
    }

    /// <summary>A door or a window to the open air, some feet along a wall: 0 is north, 1 east, 2 south, 3 west.</summary>
    internal DrawnHouse Out(string room, int wall, double at, OpeningKind kind = OpeningKind.Window, double wide = 3) =>
        Put(room, wall, Length.Feet(at), wide, kind, Opening.Outside);

    internal DrawnHouse Counter(string room, int wall, double from, double wide)
    {
        job = job with
        {
            Counters = job.Counters.Add(
                new Counter
                {
                    Id = $"c{job.Counters.Length}",
                    Room = room,
                    Spot = At(wall, from, wide),
                }
            ),
        };
        return this;
    }

    internal DrawnHouse Fixture(FixtureKind kind, string room, int wall, double from, double wide = 2)
    {
        job = job with
        {
            Fixtures = job.Fixtures.Add(
                new Fixture
                {
                    Id = $"f{job.Fixtures.Length}",
                    Kind = kind,
                    Room = room,
                    Spot = At(wall, from, wide),
                }
            ),
        };
        return this;
    }

    internal DrawnHouse Bath(string room, bool full = true)
    {
        Fixture(FixtureKind.Basin, room, 0, 0.5).Fixture(FixtureKind.Toilet, room, 2, 0.5);
        return full ? Fixture(FixtureKind.Tub, room, 1, 0.2, 2.5) : this;
    }

    internal DrawnHouse Kitchen(string room, double wide)
    {
        Counter(room, 0, 0.2, wide - 3.4)
            .Fixture(FixtureKind.Sink, room, 0, wide / 3, 2.75)
            .Appliance("refrigerator", room, 0, wide - 3.1, 3);
        return Appliance("range", room, 1, 1, 2.5)
            .Appliance("dishwasher", room, 0, (wide / 3) + 2.8)
            .Appliance("disposer", room, 0, wide / 3)
            .Appliance("microwave", room, 3, 1);
    }

    internal DrawnHouse Appliance(string type, string room, int wall, double from, double wide = 2)
    {
        job = job with
        {
            Appliances = job.Appliances.Add(
                new Appliance
                {
                    Id = $"{type}-{job.Appliances.Length}",
                    Type = type,
                    Room = room,
                    Spot = At(wall, from, wide),
                    Nameplate = new Nameplate { Confirmed = true },
                }
            ),
        };
        return this;
    }

    internal DrawnHouse Panel(string room, int wall, double along, int spaces, int main = 200, string? from = null)
    {
        var id = job.Panels.Length == 0 ? "main" : $"sub-{job.Panels.Length}";
        job = job with
        {
            Panels = job.Panels.Add(
                new Panel
                {
                    Id = id,
                    Name = id,
                    Room = room,
                    Wall = wall,
                    Along = Length.Feet(along),
                    Spaces = spaces,
                    MainBreaker = main,
                    BreakerFamily = "A",
                    FedFrom = from,
                }
            ),
        };
        return this;
    }

    internal Job Job => job;

    private DrawnHouse Put(string room, int wall, Length from, double wide, OpeningKind kind, string to)
    {
        job = job with
        {
            Openings = job.Openings.Add(
                new Opening
                {
                    Id = $"o{job.Openings.Length}",
                    Kind = kind,
                    Room = room,
                    Wall = wall,
                    From = from.RoundTo(Length.Inches(1)),
                    Width = Length.Feet(wide),
                    To = to,
                }
            ),
        };
        return this;
    }

    private static Spot At(int wall, double from, double wide) =>
        new()
        {
            Wall = wall,
            From = Length.Feet(from),
            Width = Length.Feet(wide),
            Depth = Length.Feet(2),
        };
}
