using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Ways through the frame: connected, legal, as short as they can be.</summary>
public class RoutingTests
{
    private static Job Box(Job job, string id, string room, int wall, double feet, double heightIn = 16) =>
        job with
        {
            Decisions = job.Decisions with
            {
                Boxes = job.Decisions.Boxes.Add(
                    new Box
                    {
                        Id = id,
                        Kind = BoxKind.Receptacle,
                        Room = room,
                        Wall = wall,
                        Along = Length.Feet(feet),
                        Height = Length.Inches(heightIn),
                    }
                ),
            },
        };

    private static Runs Of(Job job) => new(HouseShape.Of(job));

    private static CableRoute Between(Job job, string from, string to) => Of(job).Route(new Hop(from, to, default, default));

    private static Job Slab(params Room[] rooms) => Sample.House(rooms) with { Frame = new() { Under = Under.Slab } };

    [Fact]
    public void Across_the_ceiling_it_is_up_across_both_axes_and_down()
    {
        var job = Box(
            Box(
                Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10), Sample.Rect("b", RoomKind.Bedroom, 12.375, 0, 12, 10)),
                "x",
                "a",
                3,
                4
            ),
            "y",
            "b",
            1,
            5
        );
        var way = Of(job).Between("x", "y");

        // From (0, 6) up 85 in to the joists at 101 in, 24 ft 4.5 in east, 1 ft north, and 85 in down.
        way.InInches.ShouldBe(85 + 292.5 + 12 + 85, 0.6);
        Between(job, "x", "y").InWords.ShouldBe("up, across, down");
    }

    [Fact]
    public void Under_the_floor_is_shorter_where_there_is_room_below_and_never_over_a_slab()
    {
        Room[] rooms = [Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10), Sample.Rect("b", RoomKind.Bedroom, 12.375, 0, 12, 10)];
        Job With(Under under, RunBy by) =>
            Box(
                Sample.House(rooms) with
                {
                    Frame = new() { Under = under },
                    Preferences = new() { RunBy = by },
                    Panels =
                    [
                        new Panel
                        {
                            Id = "main",
                            Name = "Main panel",
                            Room = "a",
                            Wall = 3,
                            Along = Length.Feet(4),
                            Top = by == RunBy.Underfloor ? Length.Feet(6) : Length.Feet(3),
                            Spaces = 30,
                            MainBreaker = 150,
                        },
                    ],
                },
                "y",
                "b",
                1,
                5
            );
        string Home(Job job) => Of(job).Route(new Hop(null, "y", default, default)).InWords;
        Home(With(Under.CrawlSpace, RunBy.Shorter)).ShouldBe("down, across, up");
        Home(With(Under.CrawlSpace, RunBy.Overhead)).ShouldBe("up, across, down");
        Home(With(Under.Slab, RunBy.Underfloor)).ShouldBe("up, across, down");
        var high = With(Under.CrawlSpace, RunBy.Underfloor);
        high = high with
        {
            Decisions = high.Decisions with { Boxes = [.. high.Decisions.Boxes.Select(b => b with { Height = Length.Inches(90) })] },
        };
        Home(high).ShouldBe("down, across, up");
    }

    [Fact]
    public void Through_the_studs_of_a_room_unless_a_door_is_in_the_way()
    {
        var job = Box(Box(Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10)), "x", "a", 0, 3), "y", "a", 0, 9);
        Of(job).Between("x", "y").InFeet.ShouldBe(7, 0.01);
        Between(job, "x", "y").InWords.ShouldBe("up, through the studs, down");
        var door = job with { Openings = [Sample.Door("a", 0, 5)] };
        Between(door, "x", "y").InWords.ShouldBe("up, across, down");

        // A window with its sill at 3 ft leaves room for the holes below it, a glazed wall does not.
        Job Window(double sill) =>
            job with
            {
                Openings = [Sample.Door("a", 0, 5, kind: OpeningKind.Window) with { Sill = Length.Inches(sill) }],
            };
        Of(Window(36)).Between("x", "y").InFeet.ShouldBe(7, 0.01);
        Of(Window(6)).Between("x", "y").InFeet.ShouldBeGreaterThan(8);
    }

    [Fact]
    public void Round_the_corners_the_shorter_way_about()
    {
        var job = Box(Box(Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10)), "x", "a", 0, 1), "y", "a", 3, 9);
        Of(job).Between("x", "y").InFeet.ShouldBe(1 + 1 + 1, 0.01);
        var route = Between(job, "x", "y");
        route.Length.InFeet.ShouldBe(3, 0.01);
        route.Pieces.Count(p => p.Kind == WayKind.Studs).ShouldBe(2);
    }

    [Fact]
    public void Two_sides_of_one_wall_share_its_studs()
    {
        var job = Box(
            Box(
                Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10), Sample.Rect("b", RoomKind.Bedroom, 12.375, 0, 12, 10)),
                "x",
                "a",
                1,
                4
            ),
            "y",
            "b",
            3,
            4
        );

        // 4 ft down the wall on one side and 4 ft up it from the other corner: 2 ft apart, 4.5 in through, a foot for the holes.
        Of(job).Between("x", "y").InInches.ShouldBe(24 + 4.5 + 12, 0.6);
    }

    [Theory]
    [InlineData(WallBuild.Masonry)]
    [InlineData(WallBuild.InsulatedPanel)]
    public void Masonry_and_panel_walls_are_not_drilled_along(WallBuild build)
    {
        var job = Box(Box(Slab(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 12, 10)), "x", "a", 0, 3), "y", "a", 0, 7) with
        {
            Walls =
            [
                new WallFact
                {
                    Room = "a",
                    Wall = 0,
                    Build = build,
                    ChaseStations = Length.Feet(4),
                },
            ],
        };
        Between(job, "x", "y").Pieces.ShouldContain(p => p.Kind == WayKind.Field);

        // In a panel wall cable goes aside to the next upright chase: from 3 ft and from 7 ft, a foot each.
        if (build == WallBuild.InsulatedPanel)
            Of(job).Between("x", "y").InInches.ShouldBe((12 + 85) * 2 + 48, 2.5);
    }

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
            var across = new Runs(house).Between("x", "y").InInches - (2 * 85);
            across.ShouldBeInRange(walked - 8, walked + 8, $"seed {seed}");
            across.ShouldBeGreaterThanOrEqualTo(a.RectilinearTo(b).InInches - 1, $"seed {seed}");
        }

        compared.ShouldBeGreaterThan(30);
    }
}
