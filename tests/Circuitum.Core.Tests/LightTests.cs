using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Lights, switches and alarms, room by room.</summary>
public class LightTests
{
    private static List<Box> Boxes(Job job) => [.. BoxProposal.Propose(job).Decisions.Boxes];

    private static List<Box> Of(Job job, BoxKind kind, string room) => [.. Boxes(job).Where(b => b.Kind == kind && b.Room == room)];

    [Fact]
    public void One_door_one_single_pole_switch_on_the_latch_side()
    {
        var job = Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 12, 12)) with { Openings = [Sample.Door("den", 2, 4)] };
        var one = Of(job, BoxKind.Switch, "den").ShouldHaveSingleItem();
        one.Gangs.Length.ShouldBe(2, "the room's light and the one outside the door");
        one.Gangs.ShouldAllBe(g => g.Locations == 1);
        (one.Wall, one.Along).ShouldBe((2, Length.Feet(4) + Length.Inches(32) + Length.Inches(7)));
        one.Height.ShouldBe(job.Preferences.SwitchCentre);
        var turned = job with { Openings = [job.Openings[0] with { Hinge = End.Finish }] };
        Of(turned, BoxKind.Switch, "den").Single().Along.ShouldBe(Length.Feet(4) - Length.Inches(7));
    }

    [Theory]
    [InlineData(8, 8, 1)]
    [InlineData(12, 12, 1)]
    [InlineData(20, 15, 2)]
    [InlineData(30, 20, 4)]
    public void Larger_rooms_get_more_lights(double width, double depth, int least) =>
        Of(
            Sample.House(Sample.Rect("room", RoomKind.Family, 0, 0, width, depth)) with
            {
                Openings = [Sample.Door("room", 2, 1)],
            },
            BoxKind.Light,
            "room"
        )
            .Count.ShouldBeGreaterThanOrEqualTo(least);

    [Fact]
    public void A_light_hangs_inside_an_ell()
    {
        var room = Sample.Rect("ell", RoomKind.Living, 0, 0, 30, 30) with
        {
            Outline = [Sample.P(0, 0), Sample.P(30, 0), Sample.P(30, 8), Sample.P(8, 8), Sample.P(8, 30), Sample.P(0, 30)],
        };
        var job = Sample.House(room) with { Openings = [Sample.Door("ell", 0, 3)] };
        Of(job, BoxKind.Light, "ell").ShouldAllBe(l => l.Wall != null || new RoomShape(room).Contains(l.At!.Value));
    }

    [Fact]
    public void A_porch_light_is_switched_inside_its_door()
    {
        var boxes = Boxes(Sample.Flat());
        var light = boxes.Single(b => b.Kind == BoxKind.Light && b.Room == "porch");
        light.Wall.ShouldNotBeNull();
        boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(light.Id))).ShouldHaveSingleItem().Room.ShouldBe("hall");
    }

    [Fact]
    public void A_bath_has_a_light_over_its_basin_and_its_fan_on_a_switch_of_its_own()
    {
        var boxes = Boxes(Sample.Whole());
        boxes.ShouldContain(b =>
            b.Kind == BoxKind.Light && b.Room == "bath" && b.Wall == 1 && b.Along == Length.Feet(4) + Length.Inches(10)
        );
        var fan = boxes.Single(b => b.Appliance == "fan");
        var gang = boxes.SelectMany(b => b.Gangs).Single(g => g.Lights.Contains(fan.Id));
        gang.Lights.ShouldBe([fan.Id]);
        boxes.Single(b => b.Gangs.Contains(gang)).Gangs.Length.ShouldBeGreaterThan(1);
    }

    [Fact]
    public void Stairs_are_switched_at_each_level()
    {
        var job = Sample.House(
            Sample.Rect("hall", RoomKind.Hallway, 0, 0, 6, 12),
            Sample.Rect("down", RoomKind.Stairs, 6.375, 0, 4, 12),
            Sample.Rect("up", RoomKind.Stairs, 6.375, 0, 4, 12, "second"),
            Sample.Rect("landing", RoomKind.Hallway, 0, 0, 6, 12, "second")
        ) with
        {
            Storeys =
            [
                new Storey { Id = "first", Name = "First" },
                new Storey
                {
                    Id = "second",
                    Name = "Second",
                    Floor = Length.Feet(9),
                },
            ],
            Openings =
            [
                Sample.Door("hall", 1, 1, 3, "down", OpeningKind.Cased),
                Sample.Door("landing", 1, 8, 3, "up", OpeningKind.Cased),
                Sample.Door("hall", 2, 1),
            ],
        };
        var boxes = Boxes(job);
        var light = boxes.Single(b => b.Kind == BoxKind.Light && job.RoomById(b.Room)!.Kind == RoomKind.Stairs);
        light.Room.ShouldBe("up");
        var switches = boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(light.Id))).ToList();
        switches.Select(s => job.RoomById(s.Room)!.Storey).Order().ShouldBe(["first", "second"]);
        switches.ShouldAllBe(s => s.Gangs.Single(g => g.Lights.Contains(light.Id)).Locations == 2);
        Analyzer
            .Analyze(job with { Decisions = new Decisions { Boxes = [.. boxes.Where(b => b != switches[0])] } })
            .Findings.ShouldContain(f => f.RuleId == "box.stairs");
    }

    [Fact]
    public void Alarms_stand_in_bedrooms_outside_them_and_clear_of_bath_doors()
    {
        var job = Sample.Flat();
        var alarms = Boxes(job).Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        alarms.Select(a => a.Room).Order().ShouldBe(["bedroom", "hall"]);
        alarms.Single(a => a.Room == "hall").CarbonMonoxide.ShouldBeTrue("a garage is attached");
        alarms.Single(a => a.Room == "bedroom").CarbonMonoxide.ShouldBeFalse();
        var house = HouseShape.Of(job);
        var door = house["hall"].Openings.Single(o => o.Beyond == "bath");
        Places
            .Of(house, alarms.Single(a => a.Room == "hall"))
            .InchesTo(house["hall"].On(door.Wall, door.From + (door.Opening.Width / 2)))
            .ShouldBeGreaterThan(36);
    }

    [Fact]
    public void Switch_boxes_do_not_stand_in_doorways()
    {
        foreach (var job in new[] { Sample.Flat(), Sample.Whole() })
        {
            var house = HouseShape.Of(job);
            foreach (var box in Boxes(job).Where(b => b.Wall is not null && b.Kind is BoxKind.Switch or BoxKind.Receptacle))
                house[box.Room]
                    .Openings.ShouldNotContain(
                        o => o.Wall == box.Wall && o.Opening.Kind != OpeningKind.Window && box.Along > o.From && box.Along < o.To,
                        box.Id
                    );
        }
    }

    [Fact]
    public void A_garage_is_lit_and_switched_at_each_of_its_personnel_doors()
    {
        var job = Sample.House(
            Sample.Rect("garage", RoomKind.Garage, 0, 0, 14, 24),
            Sample.Rect("mud", RoomKind.Utility, 14.375, 0, 8, 10)
        ) with
        {
            Openings =
            [
                Sample.Door("garage", 2, 2, 9, kind: OpeningKind.GarageDoor),
                Sample.Door("garage", 1, 2, to: "mud"),
                Sample.Door("garage", 3, 20),
                Sample.Door("mud", 0, 2),
            ],
        };
        var planned = Planner.PlanAll(job);
        var lights = planned
            .Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == "garage" && !b.Outside)
            .Select(b => b.Id)
            .ToHashSet();
        planned
            .Decisions.Boxes.Count(b => b.Room == "garage" && b.Gangs.Any(g => g.Lights.Any(lights.Contains)))
            .ShouldBe(2, "one at the house door, one at the outside door");
        planned
            .Decisions.Boxes.Count(b => b.Kind == BoxKind.Light && b.Outside)
            .ShouldBe(2, "outside the personnel door and outside the mud room; the vehicle door needs none");
        Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "box.switchReach" || f.RuleId == "box.outsideDoor");
    }

    [Fact]
    public void An_attic_with_an_air_handler_has_a_light_a_switch_and_a_receptacle()
    {
        var job = Sample.House(
            Sample.Rect("hall", RoomKind.Hallway, 0, 0, 12, 5),
            Sample.Rect("attic", RoomKind.Attic, 0, 0, 20, 12, "up")
        ) with
        {
            Storeys =
            [
                new Storey { Id = "first", Name = "First" },
                new Storey
                {
                    Id = "up",
                    Name = "Attic",
                    Floor = Length.Feet(9),
                },
            ],
            Openings = [Sample.Door("hall", 2, 1)],
            Appliances =
            [
                new Appliance
                {
                    Id = "ah",
                    Type = "air-handler",
                    Room = "attic",
                    Spot = new Spot
                    {
                        At = Sample.P(4, 4),
                        Width = Length.Feet(3),
                        Depth = Length.Feet(2),
                    },
                },
            ],
        };
        var planned = Planner.PlanAll(job);
        var light = planned.Decisions.Boxes.First(b => b.Kind == BoxKind.Light && b.Room == "attic");
        planned.Decisions.Boxes.ShouldContain(b => b.Room == "hall" && b.Gangs.Any(g => g.Lights.Contains(light.Id)));
        planned.Decisions.Boxes.ShouldContain(b => b.Kind == BoxKind.Receptacle && b.Room == "attic");
        Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "box.equipmentLight" || f.RuleId == "box.hvac");
        BoxProposal.Propose(job with { Appliances = [] }).Decisions.Boxes.ShouldNotContain(b => b.Room == "attic");
    }
}
