using Circuitum.Core.Commands;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

public class DraftingTests
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

    [Theory]
    [InlineData(Turning.MirrorEastWest, 2)]
    [InlineData(Turning.MirrorNorthSouth, 2)]
    [InlineData(Turning.QuarterTurn, 4)]
    public void Turning_often_enough_gives_the_first_house_again(Turning how, int times)
    {
        var job = Planner.PlanAll(Sample.Whole());
        var turned = job;
        for (var i = 0; i < times; i++)
        {
            turned = Done(new TurnHouse(how), turned);
            var a = Analyzer.Analyze(turned);
            a.AreaSqFt.ShouldBe(Analyzer.Analyze(job).AreaSqFt, 0.01);
            a.Findings.Count(f => f.Severity == Analysis.Severity.Must).ShouldBe(0);
        }

        var (west, north) = (
            job.Rooms.Min(r => r.Outline.Min(p => p.X)) - turned.Rooms.Min(r => r.Outline.Min(p => p.X)),
            job.Rooms.Min(r => r.Outline.Min(p => p.Y)) - turned.Rooms.Min(r => r.Outline.Min(p => p.Y))
        );
        turned
            .Rooms.Select(r => string.Join(" ", r.Outline.Select(p => new Point(p.X + west, p.Y + north))))
            .ShouldBe(job.Rooms.Select(r => string.Join(" ", r.Outline)));
        turned.Frame.Front.ShouldBe(job.Frame.Front);
    }

    [Fact]
    public void A_copied_storey_stands_for_itself()
    {
        var job = Done(new CopyStorey("first", "Second floor", Length.Feet(9)), Sample.Whole());
        JobRules.Check(job).ShouldBeEmpty();
        var copy = job.Storeys[^1].Id;
        job.Rooms.Count(r => r.Storey == copy).ShouldBe(Sample.Whole().Rooms.Length);
        job.Openings.Where(o => job.RoomById(o.Room)!.Storey == copy && o.To != Opening.Outside)
            .ShouldAllBe(o => job.RoomById(o.To)!.Storey == copy);
        Refused(new CopyStorey("nowhere", "x", Length.Feet(9)), job).ShouldContain("not there");
        Refused(new RemoveStorey(copy), job).ShouldContain("still has rooms");
    }

    [Fact]
    public void A_wall_is_known_from_both_sides()
    {
        var job = Done(
            new EditWall(
                new WallFact
                {
                    Room = "right",
                    Wall = 3,
                    Build = WallBuild.MetalStud,
                    Bearing = true,
                    StudSpacing = Length.Inches(24),
                }
            ),
            Pair()
        );
        var house = HouseShape.Of(job);
        var seen = WallBody.Of(house, house["left"], 1);
        (seen.Outside, seen.Build, seen.Bearing, seen.StudSpacing, seen.Thickness).ShouldBe(
            (false, WallBuild.MetalStud, true, Length.Inches(24), Gap)
        );
        WallBody
            .Of(house, house["left"], 0)
            .ShouldSatisfyAllConditions(
                w => w.Outside.ShouldBeTrue(),
                w => w.Bearing.ShouldBeTrue(),
                w => w.Thickness.ShouldBe(job.Frame.OutsideWall)
            );
        var again = Done(
            new EditWall(
                new WallFact
                {
                    Room = "left",
                    Wall = 1,
                    Build = WallBuild.Masonry,
                }
            ),
            job
        );
        again.Walls.ShouldHaveSingleItem().Build.ShouldBe(WallBuild.Masonry);
    }

    [Theory]
    [InlineData("hinged", 12.1, 5, "right")]
    [InlineData("hinged", 12.1, 9.9, "right")]
    [InlineData("window", 6, 0.2, Opening.Outside)]
    public void A_click_beside_a_wall_puts_an_opening_that_fits(string what, double x, double y, string beyond)
    {
        var opening = Done(new PlaceHere(what, "first", Sample.P(x, y)), Pair() with { Openings = [] }).Openings[^1];
        opening.To.ShouldBe(opening.Room == "right" && beyond == "right" ? "left" : beyond);
    }

    [Fact]
    public void Things_go_where_they_are_dragged()
    {
        var job = Pair();
        Done(new MoveThing("opening:window", Sample.P(3, 0)), job).Openings[1].From.ShouldBe(Length.Feet(1.5));
        Done(new MoveThing("opening:window", Sample.P(0, 3)), job)
            .Openings[1]
            .ShouldSatisfyAllConditions(o => o.Wall.ShouldBe(3), o => o.To.ShouldBe(Opening.Outside));
        Done(new MoveThing("counter:counter", Sample.P(18, 9.5)), job)
            .Counters[0]
            .ShouldSatisfyAllConditions(c => c.Room.ShouldBe("right"), c => c.Spot.Wall.ShouldBe(2));
        Refused(new MoveThing("counter:none", Sample.P(1, 1)), job).ShouldContain("not there");
        var wished = Done(new PlaceHere("desk", "first", Sample.P(20, 5)), job);
        Done(new MoveThing("wish:desk", Sample.P(5, 5)), wished).Wishes[0].Room.ShouldBe("left");
        Refused(new PlaceHere("desk", "first", Sample.P(90, 5)), job).ShouldContain("no room at that place");
    }

    [Fact]
    public void Any_sequence_of_plan_edits_leaves_a_plan_or_is_refused()
    {
        var random = new Random(11);
        for (var round = 0; round < 12; round++)
        {
            var job = round % 2 == 0 ? Planner.PlanAll(Sample.Whole()) : Pair();
            var (done, refused) = (0, 0);
            for (var step = 0; step < 40; step++)
            {
                var command = Any(random, job);
                var result = command.Apply(job);
                if (result.Job is null)
                {
                    result.Problem.ShouldNotBeEmpty(command.ToString());
                    refused++;
                    continue;
                }

                JobRules.Check(result.Job).ShouldBeEmpty(command.ToString());
                Analyzer.Analyze(result.Job).Findings.ShouldNotContain(f => f.Sentence.Length == 0);
                job = result.Job;
                done++;
            }

            done.ShouldBeGreaterThan(5);
        }
    }

    private static JobCommand Any(Random random, Job job)
    {
        var room =
            job.Rooms.Length == 0
                ? new Room { Id = "none", Outline = [default, default, default] }
                : job.Rooms[random.Next(job.Rooms.Length)];
        var other = job.Rooms.Length == 0 ? room : job.Rooms[random.Next(job.Rooms.Length)];
        var wall = random.Next(room.Outline.Length);
        Length By() => Length.Inches(random.Next(-40, 41));
        Point P() => new(Length.Inches(random.Next(-60, 400)), Length.Inches(random.Next(-60, 400)));
        return random.Next(14) switch
        {
            0 or 1 => new MoveWall(room.Id, wall, By(), null, random.Next(3) == 0),
            2 => new SetWallLength(room.Id, wall, Length.Inches(random.Next(1, 300)), random.Next(2) == 0),
            3 => new MoveRoom(room.Id, By(), By()),
            4 => new SplitRoom(room.Id, wall, Length.Inches(random.Next(1, 200)), ""),
            5 => new JoinRooms(room.Id, other.Id),
            6 => new TurnHouse((Turning)random.Next(3)),
            7 => new DrawRoom("first", [P(), P()], "", RoomKind.Den),
            8 => new PlaceHere(
                ((string[])["hinged", "window", "counter", "sink", "island", "desk", "range", "panel", "post"])[random.Next(9)],
                "first",
                P()
            ),
            9 when job.Openings.Length > 0 => new MoveThing($"opening:{job.Openings[random.Next(job.Openings.Length)].Id}", P()),
            10 when job.Counters.Length > 0 => new MoveThing($"counter:{job.Counters[random.Next(job.Counters.Length)].Id}", P()),
            11 => new EditWall(
                new WallFact
                {
                    Room = room.Id,
                    Wall = wall,
                    Build = (WallBuild)random.Next(5),
                }
            ),
            12 => new RemoveRoom(room.Id),
            _ => new DrawRoom("first", [P(), P(), P(), P()], "", RoomKind.Den),
        };
    }

    [Fact]
    public void Every_sixteenth_to_200_feet_is_printed_and_read_alike()
    {
        for (long n = 0; n <= 200L * 12 * 16; n++)
        {
            var length = new Length(n * Length.UnitsPerSixteenth);
            LengthText.Parse(LengthText.Print(length)).ShouldBe(length);
            LengthText.Parse(LengthText.Show(length)).ShouldBe(length);
        }
    }

    [Fact]
    public void A_way_goes_straight_or_round_the_corner_of_an_ell()
    {
        var room = new RoomShape(
            Sample.Rect("a", RoomKind.Den, 0, 0, 10, 10) with
            {
                Outline = [Sample.P(0, 0), Sample.P(20, 0), Sample.P(20, 5), Sample.P(5, 5), Sample.P(5, 20), Sample.P(0, 20)],
            }
        );
        WalkRoute.Between(room, Sample.P(1, 1), Sample.P(19, 1)).ShouldNotBeNull().Length.InFeet.ShouldBe(18, 0.01);
        var round = WalkRoute.Between(room, Sample.P(19, 4.5), Sample.P(4.5, 19)).ShouldNotBeNull();
        round.Points.Length.ShouldBe(3);
        round.Length.InFeet.ShouldBe(2 * Math.Sqrt((14 * 14) + (0.5 * 0.5)), 0.2);
        WalkRoute.Between(room, Sample.P(0, 10), Sample.P(0, 15)).ShouldNotBeNull().Length.InFeet.ShouldBe(5, 0.1);
    }
}
