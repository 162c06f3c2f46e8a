using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

// Around what is in the way.
public partial class RoutingTests
{
    [Fact]
    public void A_box_under_a_window_goes_aside_to_its_jamb_before_it_goes_up()
    {
        var job = Box(
            Box(
                Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10), Sample.Rect("b", RoomKind.Bedroom, 12.375, 0, 12, 10)),
                "x",
                "a",
                0,
                4
            ),
            "y",
            "b",
            0,
            6
        );
        var window = job with { Openings = [Sample.Door("a", 0, 3, 3, kind: OpeningKind.Window) with { Sill = Length.Inches(30) }] };
        var route = Between(window, "x", "y");
        route.Pieces[0].Kind.ShouldBe(WayKind.Studs);
        route.Pieces[0].Length.InInches.ShouldBe(15, 0.1);
        Of(window).Between("x", "y").ShouldBeGreaterThan(Of(job).Between("x", "y"));
    }

    [Fact]
    public void Around_a_stair_well_a_duct_and_a_beam_and_never_through()
    {
        // A long room, a duct across most of its width in the middle.
        var room = Sample.Rect("a", RoomKind.Bedroom, 0, 0, 30, 10);
        var job = Box(Box(Slab(room), "x", "a", 3, 5), "y", "a", 1, 5) with
        {
            Openings = [Sample.Door("a", 0, 4), Sample.Door("a", 2, 4)],
            Fixtures =
            [
                new Fixture
                {
                    Id = "d",
                    Kind = FixtureKind.Duct,
                    Room = "a",
                    Spot = new Spot
                    {
                        At = Sample.P(14, 0),
                        Width = Length.Feet(2),
                        Depth = Length.Feet(8),
                    },
                },
            ],
        };
        var route = Between(job, "x", "y");

        // Straight it is 30 ft; the duct reaches to 8 ft, the boxes stand at 5 ft: 3 ft down and 3 ft back.
        Of(job).Between("x", "y").InFeet.ShouldBe(30 + 6 + (2 * 85 / 12.0), 0.4);
        foreach (var p in route.Pieces.Where(p => p.Kind == WayKind.Field))
            Crosses(p, 14, 0, 16, 8).ShouldBeFalse();
        var beam = job with { Fixtures = [job.Fixtures[0] with { Kind = FixtureKind.Beam }] };
        Of(beam).Between("x", "y").ShouldBe(Of(job).Between("x", "y"));
        Of(job with { Fixtures = [] }).Between("x", "y").InFeet.ShouldBe(30 + (2 * 85 / 12.0), 0.1);
    }

    private static bool Crosses(WayPiece p, double west, double north, double east, double south)
    {
        var (x, y, u, v) = (
            Math.Min(p.From.X.InFeet, p.To.X.InFeet),
            Math.Min(p.From.Y.InFeet, p.To.Y.InFeet),
            Math.Max(p.From.X.InFeet, p.To.X.InFeet),
            Math.Max(p.From.Y.InFeet, p.To.Y.InFeet)
        );
        return u > west + 0.1 && x < east - 0.1 && v > north + 0.1 && y < south - 0.1;
    }

    [Fact]
    public void Another_building_is_reached_underground()
    {
        var job = Box(
            Box(
                Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10), Sample.Rect("shed", RoomKind.AccessoryBuilding, 100, 0, 10, 10)),
                "x",
                "a",
                1,
                5
            ),
            "y",
            "shed",
            3,
            5
        );
        var route = Between(job, "x", "y");
        route.Pieces.ShouldContain(p => p.Kind == WayKind.Outside);
        route.Length.ShouldBe(Of(job).Between("x", "y"));
    }

    // The same field as a grid of its own, walked cell by cell: as plain as it can be, and slow.
    private static double Walked(HouseShape house, Point from, Point to)
    {
        const double Step = 2;
        var margin = house.Job.Frame.OutsideWall.InInches;
        var polygons = house.Rooms.Where(r => r.Room.Kind is not (RoomKind.Deck or RoomKind.Outdoors)).ToList();
        var west = polygons.Min(r => r.MinX.InInches) - 20;
        var north = polygons.Min(r => r.MinY.InInches) - 20;
        (int, int) Cell(Point p) => ((int)Math.Floor((p.X.InInches - west) / Step), (int)Math.Floor((p.Y.InInches - north) / Step));
        bool Free((int I, int J) c)
        {
            var (x, y) = (west + ((c.I + 0.5) * Step), north + ((c.J + 0.5) * Step));
            return polygons.Any(r =>
                x > r.MinX.InInches - margin && x < r.MaxX.InInches + margin && y > r.MinY.InInches - margin && y < r.MaxY.InInches + margin
            );
        }

        var (start, goal) = (Cell(from), Cell(to));
        var seen = new Dictionary<(int, int), int> { [start] = 0 };
        var queue = new Queue<(int I, int J)>([start]);
        while (queue.TryDequeue(out var at))
        {
            if (at == goal)
                return seen[at] * Step;
            foreach (var next in new[] { (at.I + 1, at.J), (at.I - 1, at.J), (at.I, at.J + 1), (at.I, at.J - 1) })
            {
                if (!seen.ContainsKey(next) && Free(next))
                {
                    seen[next] = seen[at] + 1;
                    queue.Enqueue(next);
                }
            }
        }

        return double.PositiveInfinity;
    }

    [Fact]
    public void In_houses_with_many_corners_the_way_is_as_short_as_a_walk_over_every_cell()
    {
        var compared = 0;
        for (var seed = 0; seed < 40; seed++)
        {
            // Rooms of unlike depth in a row, some missing: the outline has notches to go around.
            var random = new Random(seed);
            var rooms = new List<Room>();
            for (var i = 0; i < 5; i++)
                rooms.Add(Sample.Rect($"r{i}", RoomKind.Bedroom, i * 10.375, i % 2 == 0 ? 0 : random.Next(6, 9), 10, random.Next(9, 14)));
            var job = Slab([.. rooms]);
            job = Box(Box(job, "x", "r0", 0, random.Next(1, 9)), "y", random.Next(2) == 0 ? "r4" : "r2", 0, random.Next(1, 9));
            var house = HouseShape.Of(job);
            var (a, b) = (BoxLayout.Places.Of(house, job.Decisions.Boxes[0]), BoxLayout.Places.Of(house, job.Decisions.Boxes[1]));
            var walked = Walked(house, a, b);
            if (double.IsInfinity(walked))
                continue;
            compared++;
            var across = new CableRouter(house).Between("x", "y").InInches - (2 * 85);
            across.ShouldBeInRange(walked - 8, walked + 8, $"seed {seed}");
            across.ShouldBeGreaterThanOrEqualTo(a.RectilinearTo(b).InInches - 1, $"seed {seed}");
        }

        compared.ShouldBeGreaterThan(30);
    }
}
