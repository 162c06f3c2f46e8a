using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>What a person picks from a menu and points at is what is put there, and doors lead to what is behind them.</summary>
public class PlacingTests
{
    // A living room; north of it a bath and a closet side by side; a garage with an overhead door in the east.
    private static Job House() =>
        Sample.House(
            Sample.Rect("living", RoomKind.Living, 0, 10, 20, 12),
            Sample.Rect("bath", RoomKind.Bathroom, 0, 1, 9.5, 8.6),
            Sample.Rect("closet", RoomKind.Closet, 10, 1, 10, 8.6),
            Sample.Rect("garage", RoomKind.Garage, 20.5, 0, 22, 22)
        ) with
        {
            Openings =
            [
                new Opening
                {
                    Id = "overhead",
                    Kind = OpeningKind.GarageDoor,
                    Room = "garage",
                    Wall = 2,
                    From = Length.Feet(3),
                    Width = Length.Feet(16),
                    To = Opening.Outside,
                },
            ],
        };

    private static int Things(Job job) =>
        job.Openings.Length + job.Counters.Length + job.Fixtures.Length + job.Appliances.Length + job.Wishes.Length;

    [Fact]
    public void Every_entry_of_the_menu_puts_down_what_it_says()
    {
        var job = House();
        foreach (var type in CodeLibrary.Appliances.Values)
            new PlaceHere($"appliance:{type.Id}", "first", Sample.P(5, 21))
                .Apply(job)
                .Job.ShouldNotBeNull(type.Id)
                .Appliances.Single()
                .Type.ShouldBe(type.Id);
        foreach (var kind in Enum.GetValues<OpeningKind>())
            new PlaceHere($"opening:{Word(kind)}", "first", Sample.P(5, 21))
                .Apply(job)
                .Job.ShouldNotBeNull($"{kind}")
                .Openings[^1]
                .Kind.ShouldBe(kind);
        foreach (var kind in Enum.GetValues<FixtureKind>())
            new PlaceHere($"fixture:{Word(kind)}", "first", Sample.P(5, 21))
                .Apply(job)
                .Job.ShouldNotBeNull($"{kind}")
                .Fixtures.Single()
                .Kind.ShouldBe(kind);
        foreach (var kind in Enum.GetValues<WishKind>())
            new PlaceHere($"wish:{Word(kind)}", "first", Sample.P(5, 18))
                .Apply(job)
                .Job.ShouldNotBeNull($"{kind}")
                .Wishes.Single()
                .Kind.ShouldBe(kind);
        Things(new PlaceHere("counter", "first", Sample.P(5, 21)).Apply(job).Job!).ShouldBe(Things(job) + 1);
        new PlaceHere("appliance:no-such", "first", Sample.P(5, 21)).Apply(job).Problem.ShouldNotBeEmpty();
    }

    private static string Word(Enum kind) => System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(kind.ToString());

    [Theory]
    [InlineData("opening:hinged", 5, "bath")]
    [InlineData("opening:sliding", 5, "bath")]
    [InlineData("opening:cased", 15, "closet")]
    // Pointed at near the partition it is moved along until all of it is in front of one room.
    [InlineData("opening:hinged", 9, "bath")]
    [InlineData("opening:hinged", 10.5, "closet")]
    public void An_opening_in_an_inside_wall_leads_to_the_room_behind_it(string what, double x, string to)
    {
        var job = new PlaceHere(what, "first", Sample.P(x, 10.2)).Apply(House()).Job.ShouldNotBeNull();
        var door = job.Openings[^1];
        (door.Room, door.To).ShouldBe(("living", to));
        var behind = job.RoomById(to)!;
        door.From.InFeet.ShouldBeGreaterThanOrEqualTo(behind.Outline.Min(p => p.X.InFeet) - 0.05);
        (door.From + door.Width).InFeet.ShouldBeLessThanOrEqualTo(behind.Outline.Max(p => p.X.InFeet) + 0.05);
        new PutOnWall("opening:pocket", "living", 0, Length.Feet(x < 10 ? 3 : 14), Length.Feet(2.5), "", End.Start)
            .Apply(House())
            .Job!.Openings[^1]
            .To.ShouldBe(x < 10 ? "bath" : "closet");
        new PutOnWall("opening:window", "living", 2, Length.Feet(3), Length.Feet(3), "", End.Start)
            .Apply(House())
            .Job!.Openings[^1]
            .To.ShouldBe(Opening.Outside);
        // Typed over the partition it is refused with the place where it would do.
        new EditOpening(door.Id, door.Kind, Length.Feet(8.9), Length.Feet(1.4), End.Start, true, null)
            .Apply(job)
            .Problem.ShouldContain("behind the wall");
    }

    // Twenty inches of the closet stand behind the wall: no door goes there, and none that leads outdoors is made of it.
    [Fact]
    public void Where_too_little_of_a_room_is_behind_a_wall_no_door_is_put()
    {
        var job = Sample.House(
            Sample.Rect("living", RoomKind.Living, 0, 10, 20, 12),
            Sample.Rect("closet", RoomKind.Closet, 18.33, 1, 8, 8.6)
        );
        var put = new PlaceHere("opening:hinged", "first", Sample.P(19.2, 10.2)).Apply(job);
        put.Job.ShouldBeNull();
        put.Problem.ShouldNotBeEmpty();
    }

    [Fact]
    public void A_box_pointed_at_stands_where_one_can_stand()
    {
        var job = House();
        var over = new AddBoxHere(BoxKind.Receptacle, "first", Sample.P(31, 11)).Apply(job).Job.ShouldNotBeNull().Decisions.Boxes.Single();
        (over.Wall, over.Height).ShouldBe((null, job.RoomById("garage")!.CeilingHeight));
        Analysis.BoxSchedule.Place(Geometry.HouseShape.Of(job), over).ShouldStartWith("on the ceiling");
        // At the overhead door it goes beside it.
        var beside = new AddBoxHere(BoxKind.Receptacle, "first", Sample.P(31, 21.5))
            .Apply(job)
            .Job.ShouldNotBeNull()
            .Decisions.Boxes.Single();
        beside.Wall.ShouldBe(2);
        (beside.Along < Length.Feet(3) || beside.Along > Length.Feet(19)).ShouldBeTrue($"{beside.Along.InFeet}");
    }

    [Fact]
    public void A_distance_typed_from_the_left_corner_is_the_distance_told()
    {
        foreach (var turned in new[] { false, true })
        {
            var house = House();
            if (turned)
                house = house with { Openings = [], Rooms = [.. house.Rooms.Select(r => r with { Outline = [.. r.Outline.Reverse()] })] };
            for (var wall = 0; wall < 4; wall++)
            {
                var job = new AddBox(BoxKind.Receptacle, "living", wall, Length.Feet(4), null).Apply(house).Job.ShouldNotBeNull();
                job = new MoveBox("living.x1", null, Length.Feet(3), null) { FromLeft = true }
                    .Apply(job)
                    .Job.ShouldNotBeNull();
                var shape = Geometry.HouseShape.Of(job);
                Analysis.BoxSchedule.FromLeft(shape["living"], job.Decisions.Boxes.Single(), wall).ShouldBe(Length.Feet(3));
            }
        }
    }

    [Fact]
    public void A_circuit_that_has_lost_all_it_fed_is_gone_and_a_persons_stays()
    {
        var job = new PlaceHere("appliance:dryer", "first", Sample.P(12, 2)).Apply(House()).Job.ShouldNotBeNull();
        job = Planner.PlanAll(
            job with
            {
                Panels =
                [
                    new Panel
                    {
                        Id = "main",
                        Name = "Main panel",
                        Room = "garage",
                        Wall = 0,
                        Along = Length.Feet(10),
                    },
                ],
            }
        );
        var dryer = job.Decisions.Circuits.Single(c =>
            c.Boxes.Any(b => job.Decisions.Boxes.First(x => x.Id == b.Box).Appliance == "dryer")
        );
        var left = new RemoveThing(Subject.Parse("appliance:dryer")).Apply(job).Job.ShouldNotBeNull();
        left.Decisions.Circuits.ShouldNotContain(c => c.Number == dryer.Number);
        left.Decisions.Spaces.ShouldNotContain(s => s.Circuit == dryer.Number);
        Analyzer.Analyze(left).Circuits.ShouldAllBe(c => c.Circuit.Boxes.Length > 0);
        var named = job with
        {
            Decisions = job.Decisions with
            {
                Circuits = [.. job.Decisions.Circuits.Select(c => c.Number == dryer.Number ? c with { Label = "Dryer, west wall" } : c)],
            },
        };
        new RemoveThing(Subject.Parse("appliance:dryer")).Apply(named).Job!.Decisions.Circuits.ShouldContain(c => c.Number == dryer.Number);
    }
}
