using Circuitum.Core.Commands;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

public partial class DraftingTests
{
    private static readonly Length Gap = Length.Inches(4.5);

    /// <summary>Two rooms side by side, a door between them, a window, a counter in a corner and a box.</summary>
    private static Job Pair()
    {
        var left = new AddRoom("Left", RoomKind.Living, "first", Length.Feet(12), Length.Feet(10), null, Side.East, Length.Feet(8))
            .Apply(Sample.House())
            .Job!;
        var job = new AddRoom("Right", RoomKind.Bedroom, "first", Length.Feet(11), Length.Feet(10), "left", Side.East, Length.Feet(8))
            .Apply(left)
            .Job!;
        job = new PutOnWall("hinged", "left", 1, Length.Feet(3), Length.Inches(32), "right", End.Start).Apply(job).Job!;
        job = new PutOnWall("window", "left", 0, Length.Feet(5), Length.Feet(3), Opening.Outside, End.Start).Apply(job).Job!;
        job = new PutOnWall("counter", "left", 2, Length.Zero, Length.Feet(4), "", End.Start).Apply(job).Job!;
        return new AddBox(BoxKind.Receptacle, "left", 1, Length.Feet(8), null).Apply(job).Job!;
    }

    private static Job Done(JobCommand command, Job job)
    {
        var result = command.Apply(job);
        result.Problem.ShouldBe("");
        return result.Job!;
    }

    private static string Refused(JobCommand command, Job job)
    {
        var result = command.Apply(job);
        result.Job.ShouldBeNull();
        return result.Problem;
    }

    [Fact]
    public void A_dragged_wall_takes_both_rooms_and_the_wall_stays_as_thick()
    {
        var moved = Done(new MoveWall("left", 1, Length.Feet(2), null, false), Pair());
        var house = HouseShape.Of(moved);
        house["left"].MaxX.ShouldBe(Length.Feet(14));
        house["right"].MinX.ShouldBe(Length.Feet(14) + Gap);
        house["right"].MaxX.ShouldBe(Length.Feet(23) + Gap);
        house.Facing(house["left"], 1).ShouldHaveSingleItem().GapInches.ShouldBe(4.5, 0.001);
        moved.Openings[0].From.ShouldBe(Length.Feet(3));
        moved.Openings[1].From.ShouldBe(Length.Feet(5));
        moved.Counters[0].Spot.From.ShouldBe(Length.Zero, "it keeps to its corner, which moved");
    }

    [Fact]
    public void Only_one_side_moves_when_asked()
    {
        var job = Done(new MoveWall("left", 1, Length.Feet(-2), null, true), Pair() with { Openings = [] });
        HouseShape.Of(job)["right"].MinX.ShouldBe(Length.Feet(12) + Gap);
        HouseShape.Of(job)["left"].MaxX.ShouldBe(Length.Feet(10));
        Refused(new MoveWall("left", 1, Length.Feet(4), null, true), job).ShouldContain("would lie over Right");
    }

    [Fact]
    public void A_wall_is_drawn_to_the_line_of_another()
    {
        var job = Done(new DrawRoom("first", [Sample.P(0, 10.375), new(Length.Feet(9), Length.Feet(20))], "Under", RoomKind.Den), Pair());
        Done(new MoveWall("under", 1, null, new Point(Length.Inches(144.05), Length.Feet(14)), false), job)
            .RoomById("under")!
            .Outline[1]
            .X.ShouldBe(Length.Feet(12));
    }

    [Fact]
    public void What_would_cross_is_refused_and_says_why()
    {
        Refused(new MoveWall("left", 1, Length.Feet(11), null, false), Pair()).ShouldNotBeEmpty();
        Refused(new MoveWall("left", 0, Length.Feet(-9.9), null, false), Pair()).ShouldNotBeEmpty();
        Refused(new MoveWall("left", 7, Length.Feet(1), null, false), Pair()).ShouldContain("not there");
        Refused(new MoveWall("left", 1, Length.Zero, null, false), Pair()).ShouldContain("already");
        Refused(new MoveRoom("right", Length.Feet(-3), Length.Zero), Pair() with { Openings = [] }).ShouldContain("would lie over Left");
        Refused(new DrawRoom("first", [Sample.P(1, 1), Sample.P(5, 5)], "", RoomKind.Den), Pair()).ShouldContain("would lie over");
    }

    [Theory]
    [InlineData(0, false, "14'0", 14, 10)]
    [InlineData(0, true, "14'0", 14, 10)]
    [InlineData(1, false, "9'6", 12, 9.5)]
    [InlineData(3, false, "10'3 3/8", 12, 10.28125)]
    public void A_typed_dimension_moves_the_wall_at_its_end(int wall, bool start, string to, double width, double depth)
    {
        var shape = HouseShape.Of(Done(new SetWallLength("left", wall, Sample.L(to), start), Pair() with { Openings = [] }))["left"];
        (shape.MaxX - shape.MinX).ShouldBe(Length.Feet(width));
        (shape.MaxY - shape.MinY).ShouldBe(Length.Feet(depth));
        shape.Walls[wall].Length.ShouldBe(Sample.L(to));
    }

    [Fact]
    public void A_jog_appears_where_two_walls_stand_in_one_line()
    {
        var room = Sample.Rect("a", RoomKind.Den, 0, 0, 10, 10) with
        {
            Outline = [Sample.P(0, 0), Sample.P(5, 0), Sample.P(10, 0), Sample.P(10, 10), Sample.P(0, 10)],
        };
        var job = Sample.House(room) with { Openings = [Sample.Door("a", 2, 2), Sample.Door("a", 1, 1), Sample.Door("a", 4, 1)] };
        foreach (var (wall, corners) in new[] { (0, 6), (1, 6) })
        {
            var moved = Done(new MoveWall("a", wall, Length.Feet(2), null, false), job);
            moved.Rooms[0].Outline.Length.ShouldBe(corners);
            new RoomShape(moved.Rooms[0]).AreaSqFt.ShouldBe(110, 0.01);
            foreach (var (was, now) in job.Openings.Zip(moved.Openings))
            {
                var (p, q) = (new RoomShape(room).On(was.Wall, was.From), new RoomShape(moved.Rooms[0]).On(now.Wall, now.From));
                (wall == 1 && was.Wall == 1 ? p.X : q.X).ShouldBe(p.X);
                if (was.Wall != wall)
                    q.ShouldBe(p);
            }
        }
    }

    [Fact]
    public void A_skew_wall_meets_its_neighbours()
    {
        var room = Sample.Rect("a", RoomKind.Den, 0, 0, 10, 10) with
        {
            Outline = [Sample.P(0, 0), Sample.P(8, 0), Sample.P(10, 2), Sample.P(10, 10), Sample.P(0, 10)],
        };
        var moved = Done(new MoveWall("a", 1, Length.Inches(12), null, false), Sample.House(room)).Rooms[0];
        moved.Outline[1].Y.ShouldBe(Length.Zero);
        moved.Outline[2].X.ShouldBe(Length.Feet(10));
        new RoomShape(moved).Walls[1].Length.InInches.ShouldBe(Math.Sqrt(2) * 24 - 24, 0.1);
    }

    [Fact]
    public void Drawing_snaps_closes_and_names()
    {
        var job = Done(new DrawRoom("first", [new(Length.Inches(0.07), Length.Inches(124.45)), Sample.P(8, 18)], "", RoomKind.Den), Pair());
        var room = job.Rooms[^1];
        room.Name.ShouldBe("Room 1");
        room.Outline[0].ShouldBe(new Point(Length.Zero, Length.Feet(10) + Gap));
        var insideOut = Done(
            new DrawRoom(
                "first",
                [Sample.P(30, 0), Sample.P(30, 9), Sample.P(36, 9), Sample.P(36, 5), Sample.P(40, 5), Sample.P(40, 0)],
                "Ell",
                RoomKind.Den
            ),
            job
        ).Rooms[^1];
        new RoomShape(insideOut).InY(new RoomShape(insideOut).Walls.First(w => w.A.Y == Length.Zero && w.B.Y == Length.Zero)).ShouldBe(1);
        Refused(new DrawRoom("first", [Sample.P(50, 0), Sample.P(60, 10), Sample.P(60, 0), Sample.P(50, 10)], "Bow", RoomKind.Den), job)
            .ShouldContain("crosses");
        Refused(new DrawRoom("first", [Sample.P(50, 0), Sample.P(50, 10)], "Thin", RoomKind.Den), job).ShouldContain("a foot wide");
        Refused(new DrawRoom("first", [Sample.P(50, 0), Sample.P(50, 0), Sample.P(60, 10)], "Zero", RoomKind.Den), job)
            .ShouldContain("shorter than 1 in");
    }

    [Fact]
    public void Split_and_join_give_the_first_room_again()
    {
        var job = Pair();
        var split = Done(new SplitRoom("left", 0, Length.Feet(4), "Nook"), job with { Counters = [] });
        var (a, b) = (HouseShape.Of(split)["left"], HouseShape.Of(split)["nook"]);
        (a.AreaSqFt + b.AreaSqFt).ShouldBe(120 - (4.5 * 120 / 144), 0.05);
        split.Openings[0].Room.ShouldBe("nook");
        split.Decisions.Boxes[0].Room.ShouldBe("nook");
        JobRules.Check(split).ShouldBeEmpty();
        var joined = Done(new JoinRooms("left", "nook"), split);
        joined.RoomById("left")!.Outline.ToHashSet().SetEquals(job.RoomById("left")!.Outline).ShouldBeTrue();
        joined.RoomById("nook").ShouldBeNull();
        HouseShape.Of(joined)["left"].Openings.Length.ShouldBe(2);
    }

    [Fact]
    public void Split_and_join_refuse_with_a_reason()
    {
        var job = Pair();
        Refused(new SplitRoom("left", 0, Length.Feet(0.5), ""), job).ShouldContain("less than a foot");
        Refused(new SplitRoom("left", 0, Length.Feet(6), ""), job).ShouldContain("Move it first");
        var apart = Done(
            new AddRoom("Far", RoomKind.Den, "first", Length.Feet(9), Length.Feet(9), "right", Side.East, Length.Feet(8)),
            job
        );
        Refused(new JoinRooms("left", "far"), apart).ShouldContain("no wall between them");
        Refused(new JoinRooms("left", "left"), job).ShouldContain("not there");
    }

    [Fact]
    public void Join_makes_an_ell_of_two_sizes()
    {
        var job = Done(
            new AddRoom("Tall", RoomKind.Den, "first", Length.Feet(8), Length.Feet(14), "right", Side.East, Length.Feet(8)),
            Pair()
        );
        var joined = Done(new JoinRooms("right", "tall"), job);
        joined.RoomById("right")!.Outline.Length.ShouldBe(6);
        HouseShape.Of(joined)["right"].AreaSqFt.ShouldBe(110 + 112 + (4.5 * 120 / 144), 0.05);
        HouseShape.Of(joined)["right"].Openings.ShouldHaveSingleItem().Beyond.ShouldBe("left");
    }

    // 1800 mm is no number of sixteenths of an inch: 1800.225 would be what is nearest.
    [Fact]
    public void What_is_typed_in_millimetres_stays_what_was_typed()
    {
        static Length Mm(long mm) => Length.Millimetres(mm);
        var job = Done(
            new AddRoom("Metric", RoomKind.Office, "first", Mm(3800), Mm(2990), "right", Side.East, Mm(2440)),
            Pair() with
            {
                Frame = new Frame { Partition = Mm(115) },
            }
        );
        var shape = HouseShape.Of(job)["metric"];
        (shape.Walls[0].Length, shape.Walls[1].Length, shape.Room.CeilingHeight).ShouldBe((Mm(3800), Mm(2990), Mm(2440)));
        (shape.MinX - HouseShape.Of(job)["right"].MaxX).ShouldBe(Mm(115));

        job = Done(new SetWallLength("metric", 0, Mm(4101), false), job);
        HouseShape.Of(job)["metric"].Walls[0].Length.ShouldBe(Mm(4101));
        job = Done(new MoveWall("metric", 1, Mm(-301), null, true), job);
        HouseShape.Of(job)["metric"].Walls[0].Length.ShouldBe(Mm(3800));
        job = Done(new PutOnWall("window", "metric", 0, Mm(1801), Mm(913), Opening.Outside), job);
        (job.Openings[^1].From, job.Openings[^1].Width).ShouldBe((Mm(1801), Mm(913)));
        job = Done(new AddBox(BoxKind.Receptacle, "metric", 2, Mm(1800), null), job);
        var box = job.Decisions.Boxes[^1];
        box.Along.ShouldBe(Mm(1800));
        job = Done(new EditBox(box.Id, new() { Height = Mm(301) }), job);
        job = Done(new MoveBox(box.Id, 2, Mm(1700), null), job);
        (job.Decisions.Boxes[^1].Along, job.Decisions.Boxes[^1].Height).ShouldBe((Mm(1700), Mm(301)));
        job = Done(new EditStorey("first", "First", Length.Zero, Mm(2743)), job);
        job.Storeys.Single(t => t.Id == "first").Ceiling.ShouldBe(Mm(2743));
    }
}
