using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Ways through the frame: connected, legal, as short as they can be.</summary>
public partial class RoutingTests
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

    private static CableRouter Of(Job job) => new(HouseShape.Of(job));

    private static CableRoute Between(Job job, string from, string to) => Of(job).Route(new CableSegment(from, to, default, default));

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
        string Home(Job job) => Of(job).Route(new CableSegment(null, "y", default, default)).InWords;
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
}
