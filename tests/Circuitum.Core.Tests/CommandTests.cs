using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Edits made by a person: what they change, and how they refuse.</summary>
public class CommandTests
{
    private static readonly Job Planned = Planner.PlanAll(Sample.Flat());

    private static Job Done(JobCommand command, Job? on = null)
    {
        var result = command.Apply(on ?? Planned);
        result.Problem.ShouldBe("");
        return result.Job.ShouldNotBeNull();
    }

    private static string Refused(JobCommand command, Job? on = null)
    {
        var result = command.Apply(on ?? Planned);
        result.Job.ShouldBeNull();
        result.Problem.ShouldEndWith(".");
        return result.Problem;
    }

    [Fact]
    public void A_click_inside_a_room_adds_a_receptacle_on_its_nearest_wall()
    {
        var box = Done(new AddBoxHere(BoxKind.Receptacle, "first", Sample.P(20, 20.8))).Decisions.Boxes[^1];
        (box.Room, box.Wall, box.By).ShouldBe(("bedroom", 2, Origin.Person));
        box.Along.ShouldBe(Length.Inches(117));
    }

    [Fact]
    public void A_click_adds_a_light_where_it_is_made()
    {
        var box = Done(new AddBoxHere(BoxKind.Light, "first", new Point(Length.Inches(250.3), Length.Inches(180)))).Decisions.Boxes[^1];
        (box.Wall, box.At).ShouldBe((null, new Point(Length.Inches(250), Length.Inches(180))));
        box.Height.ShouldBe(Length.Feet(8));
    }

    [Fact]
    public void A_click_in_the_open_or_on_an_empty_storey_is_refused()
    {
        Refused(new AddBoxHere(BoxKind.Light, "first", Sample.P(60, 60))).ShouldContain("no room at that place");
        Refused(new AddBoxHere(BoxKind.Light, "attic", Sample.P(1, 1))).ShouldContain("no room on this storey");
    }

    [Fact]
    public void An_added_switch_takes_the_rooms_light_as_one_more_location()
    {
        var light = Planned.Decisions.Boxes.First(b => b.Room == "bedroom" && b.Kind == BoxKind.Light).Id;
        var before = Planned.Decisions.Boxes.Count(b => b.Gangs.Any(g => g.Lights.Contains(light)));
        var added = Done(new AddBox(BoxKind.Switch, "bedroom", 1, Length.Feet(2), null)).Decisions.Boxes[^1];
        added.Gangs.Single().ShouldSatisfyAllConditions(g => g.Lights.ShouldContain(light), g => g.Locations.ShouldBe(before + 1));
        added.Height.ShouldBe(Planned.Preferences.SwitchCentre);
    }

    [Fact]
    public void A_receptacle_over_a_counter_stands_at_counter_height()
    {
        Done(new AddBox(BoxKind.Receptacle, "kitchen", 0, Length.Feet(1), null))
            .Decisions.Boxes[^1]
            .Height.ShouldBe(Planned.Preferences.CounterCentre);
        Done(new AddBox(BoxKind.Receptacle, "bedroom", 0, Length.Feet(1), null))
            .Decisions.Boxes[^1]
            .Height.ShouldBe(Planned.Preferences.ReceptacleBottom + Length.Inches(2));
    }

    [Fact]
    public void Removing_a_circuit_frees_its_boxes_and_its_space()
    {
        var first = Planned.Decisions.Circuits[0];
        var left = Done(new RemoveCircuit(first.Number));
        left.Decisions.Circuits.ShouldNotContain(c => c.Number == first.Number);
        left.Decisions.Spaces.ShouldNotContain(s => s.Circuit == first.Number);
        left.Decisions.Boxes.Length.ShouldBe(Planned.Decisions.Boxes.Length);
        Refused(new RemoveCircuit(99)).ShouldContain("no circuit 99");
    }

    [Fact]
    public void Removing_a_room_takes_what_stands_in_it_and_what_hangs_on_that()
    {
        var left = Done(new RemoveRoom("garage"));
        left.Panels.ShouldBeEmpty();
        left.Decisions.Spaces.ShouldBeEmpty();
        left.Decisions.Boxes.ShouldNotContain(b => b.Room == "garage");
        left.Decisions.Circuits.ShouldAllBe(c => c.Boxes.All(b => left.Decisions.Boxes.Any(x => x.Id == b.Box)));
        left.Openings.ShouldNotContain(o => o.Room == "garage" || o.To == "garage");
    }

    [Fact]
    public void A_room_is_put_beside_another_a_walls_thickness_away()
    {
        var room = Done(
            new AddRoom("Den", RoomKind.Den, "first", Length.Feet(10), Length.Feet(9), "bedroom", Side.East, Length.Feet(8))
        ).Rooms[^1];
        room.Outline[0].ShouldBe(new Point(Length.Feet(29.75) + Planned.Frame.Partition, Length.Feet(9.375)));
        Refused(new AddRoom("Den", RoomKind.Den, "first", Length.Feet(10), Length.Feet(9), "bath", Side.South, Length.Feet(8)))
            .ShouldContain("would lie over");
        Refused(new AddRoom("", RoomKind.Den, "first", Length.Feet(10), Length.Feet(9), "bedroom", Side.East, Length.Feet(8)))
            .ShouldContain("Give the room a name");
    }

    [Fact]
    public void Two_rooms_of_one_name_get_two_ids()
    {
        var once = Done(new AddRoom("Den", RoomKind.Den, "first", Length.Feet(10), Length.Feet(9), "bedroom", Side.East, Length.Feet(8)));
        Done(new AddRoom("Den", RoomKind.Den, "first", Length.Feet(10), Length.Feet(9), "den", Side.East, Length.Feet(8)), once)
            .Rooms[^1]
            .Id.ShouldBe("den-2");
    }

    [Theory]
    [InlineData("hinged")]
    [InlineData("window")]
    [InlineData("garage-door")]
    [InlineData("counter")]
    [InlineData("shower")]
    [InlineData("water-heater")]
    public void Things_are_put_on_a_wall_and_taken_off_again(string what)
    {
        var put = Done(new PutOnWall(what, "bedroom", 0, Length.Feet(8), Length.Feet(2), Opening.Outside, End.Start));
        string Thing() =>
            what switch
            {
                "counter" => $"counter:{put.Counters[^1].Id}",
                "shower" => $"fixture:{put.Fixtures[^1].Id}",
                "water-heater" => $"appliance:{put.Appliances[^1].Id}",
                _ => $"opening:{put.Openings[^1].Id}",
            };
        var gone = Done(new RemoveThing(Subject.Parse(Thing())), put);
        (gone.Openings.Length, gone.Counters.Length, gone.Fixtures.Length, gone.Appliances.Length).ShouldBe(
            (Planned.Openings.Length, Planned.Counters.Length, Planned.Fixtures.Length, Planned.Appliances.Length)
        );
    }

    [Fact]
    public void What_does_not_fit_is_refused_with_its_numbers()
    {
        Refused(new PutOnWall("window", "bedroom", 0, Length.Feet(12), Length.Feet(3), Opening.Outside, End.Start))
            .ShouldContain("runs off its wall");
        Refused(new PutOnWall("window", "bedroom", 9, Length.Feet(1), Length.Feet(3), Opening.Outside, End.Start))
            .ShouldContain("there is no wall 9");
        Refused(new PutOnWall("helicopter", "bedroom", 0, Length.Feet(1), Length.Feet(3), Opening.Outside, End.Start))
            .ShouldContain("not something");
        Refused(new PutOnWall("7", "bedroom", 0, Length.Feet(1), Length.Feet(3), Opening.Outside, End.Start))
            .ShouldContain("not something");
        Refused(new RemoveThing(Subject.Parse("opening:none"))).ShouldContain("not there");
    }

    [Fact]
    public void Edits_of_what_is_gone_are_refused()
    {
        Refused(new MoveBox("none", 0, Length.Zero, null));
        Refused(new RemoveBox("none"));
        Refused(new AcceptBox("none"));
        Refused(new AssignBox("none", 1));
        Refused(new AssignBox(Planned.Decisions.Boxes[0].Id, 99));
        Refused(new EditCircuit(99, "", null, null));
        Refused(new EditRoom("none", "x", RoomKind.Den, Length.Feet(8)));
        Refused(new SetNameplate("none", new Nameplate(), ""));
        Refused(new AddBox(BoxKind.Light, "none", null, Length.Zero, null));
        Refused(new AddBox(BoxKind.Appliance, "bedroom", 0, Length.Zero, null));
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(70_000)]
    public void A_nameplate_out_of_range_is_refused(double va) =>
        Refused(new SetNameplate("range", new Nameplate { VoltAmperes = va }, "")).ShouldContain("between 1 and 60,000 VA");

    [Fact]
    public void A_two_pole_breaker_needs_two_spaces_of_its_column()
    {
        var two = Analyzer.Analyze(Planned).Circuits.First(c => c.Poles == 2).Number;
        Refused(new MoveBreaker(two, 29)).ShouldContain("the one below it");
        var moved = Done(new MoveBreaker(two, 25));
        Analyzer.Analyze(moved).Schedule.Where(r => r.Circuit?.Number == two).Select(r => r.Space).ShouldBe([25, 27]);
        var one = Analyzer.Analyze(moved).Circuits.First(c => c.Poles == 1).Number;
        Refused(new MoveBreaker(one, 27), moved).ShouldContain("was put there by a person");
    }

    [Fact]
    public void A_label_and_a_breaker_of_a_person_stay_and_can_be_given_back()
    {
        var number = Planned.Decisions.Circuits[0].Number;
        var own = Done(new EditCircuit(number, " Range, east wall ", 60, null));
        Analyzer
            .Analyze(own)
            .CircuitByNumber(number)
            .ShouldNotBeNull()
            .ShouldSatisfyAllConditions(c => c.Label.ShouldBe("Range, east wall"), c => c.Breaker.ShouldBe(60));
        Analyzer
            .Analyze(Done(new EditCircuit(number, "", null, null), own))
            .CircuitByNumber(number)!
            .Label.ShouldBe(Analyzer.Analyze(Planned).CircuitByNumber(number)!.Label);
    }
}
