using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

// Storeys, openings, and edits by chance.
public partial class DraftingTests
{
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
        Done(new MoveThing(Subject.Parse("opening:window"), Sample.P(3, 0)), job).Openings[1].From.ShouldBe(Length.Feet(1.5));
        Done(new MoveThing(Subject.Parse("opening:window"), Sample.P(0, 3)), job)
            .Openings[1]
            .ShouldSatisfyAllConditions(o => o.Wall.ShouldBe(3), o => o.To.ShouldBe(Opening.Outside));
        Done(new MoveThing(Subject.Parse("counter:counter"), Sample.P(18, 9.5)), job)
            .Counters[0]
            .ShouldSatisfyAllConditions(c => c.Room.ShouldBe("right"), c => c.Spot.Wall.ShouldBe(2));
        Refused(new MoveThing(Subject.Parse("counter:none"), Sample.P(1, 1)), job).ShouldContain("not there");
        var wished = Done(new PlaceHere("desk", "first", Sample.P(20, 5)), job);
        Done(new MoveThing(Subject.Parse("wish:desk"), Sample.P(5, 5)), wished).Wishes[0].Room.ShouldBe("left");
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
            9 when job.Openings.Length > 0 => new MoveThing(
                Subject.Parse($"opening:{job.Openings[random.Next(job.Openings.Length)].Id}"),
                P()
            ),
            10 when job.Counters.Length > 0 => new MoveThing(
                Subject.Parse($"counter:{job.Counters[random.Next(job.Counters.Length)].Id}"),
                P()
            ),
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
