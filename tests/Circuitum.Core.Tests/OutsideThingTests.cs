using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;

namespace Circuitum.Core.Tests;

/// <summary>What stands outside, what cuts it off, and where the service comes in.</summary>
public class OutsideThingTests
{
    private static readonly Length Out = Length.Feet(4);

    private static Job House() => RoomList.Take(Sample.House(), "first", ["Great room 20 x 18, window 4 n", "Utility 8 x 9 e"]).Job;

    // On each side of the house: the ground lies against it, holds the thing, and covers no room.
    [Theory]
    [InlineData(10, -4, 0)]
    [InlineData(10, 22, 0)]
    [InlineData(-4, 9, 0)]
    [InlineData(32, 4, 0)]
    [InlineData(60, 60, 8)]
    public void An_outdoor_thing_stands_on_ground_of_its_own(double x, double y, double free)
    {
        var job = House();
        var origin = job.Rooms[0].Outline[0];
        var at = new Point(origin.X + Length.Feet(x), origin.Y + Length.Feet(y));
        var placed = new PlaceHere("appliance:heat-pump", "first", at).Apply(job).Job.ShouldNotBeNull();
        JobRules.Check(placed).ShouldBeEmpty();
        var ground = placed.Rooms[^1];
        (ground.Name, ground.Kind).ShouldBe(("Ground", RoomKind.Outdoors));
        placed.Appliances.ShouldHaveSingleItem().Room.ShouldBe(ground.Id);
        job.Rooms.ShouldAllBe(r => HouseShape.OverlapSqFt(r, ground) == 0);
        var shape = new RoomShape(ground);
        if (free == 0)
            HouseShape.Of(placed).Rooms.Min(r => r.Room == ground ? 1e9 : r.InchesToWall(shape.Centre)).ShouldBeLessThan(12 * 4.5);
        new PlaceHere("appliance:heat-pump", "first", at with { Y = at.Y + Length.Feet(40) })
            .Apply(placed)
            .Job?.Rooms[^1]
            .Name.ShouldBe("Ground 2");
        new PlaceHere("appliance:bath-fan", "first", at).Apply(job).Problem.ShouldContain("no room");
        new PlaceHere("window", "first", at).Apply(job).Problem.ShouldContain("no room");
    }

    [Fact]
    public void A_disconnect_is_put_by_hand_for_the_nearest_equipment_in_sight()
    {
        var job = new PlaceHere("appliance:heat-pump", "first", new(Length.Feet(10), -Out)).Apply(House()).Job!;
        var ground = new RoomShape(job.Rooms[^1]);
        var box = new AddBoxHere(BoxKind.Disconnect, "first", ground.Centre).Apply(job);
        var put = box.Job.ShouldNotBeNull(box.Problem).Decisions.Boxes.ShouldHaveSingleItem();
        (put.Serves, put.By, put.Room).ShouldBe((job.Appliances[0].Id, Origin.Person, ground.Room.Id));
        new AddBoxHere(BoxKind.Disconnect, "first", ground.Centre).Apply(box.Job!).Problem.ShouldContain("without a disconnect");
        Analyzer.Analyze(box.Job!).Findings.ShouldNotContain(f => f.RuleId == "box.disconnect");
        new AddBoxHere(BoxKind.Disconnect, "first", new(Length.Feet(5), Length.Feet(5))).Apply(job).Problem.ShouldContain("in sight");
    }

    [Fact]
    public void The_panel_is_proposed_near_the_meter_a_far_one_is_told_and_without_a_meter_it_is_asked_for()
    {
        var job = House();
        var first = Analyzer.Analyze(job);
        var planned = Analyzer.Analyze(new PlanHouse().Apply(job).Job!);
        HousePlanned.Of(first, planned).ShouldContain(c => c.What.StartsWith("Where is the meter?", StringComparison.Ordinal));

        foreach (var wall in new[] { 0, 1, 2 })
        {
            var met = new PutOnWall("fixture:meter", "utility", wall, Length.Feet(3), Length.Inches(12)).Apply(job).Job.ShouldNotBeNull();
            var a = Analyzer.Analyze(new PlanHouse().Apply(met).Job!);
            HousePlanned.Of(Analyzer.Analyze(met), a).ShouldNotContain(c => c.What.Contains("meter", StringComparison.Ordinal));
            a.Job.Panels[0].Room.ShouldBe("utility");
            a.Findings.ShouldNotContain(f => f.RuleId == "service.meter");
            var far = a.Job with { Panels = [a.Job.Panels[0] with { Room = "great-room", Wall = 3, Along = Length.Feet(9) }] };
            Analyzer.Analyze(far).Findings.ShouldContain(f => f.RuleId == "service.meter");
        }
    }
}
