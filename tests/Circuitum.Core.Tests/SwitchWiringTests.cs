using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Legs, loops and travelers: which cable goes from which switch to which light.</summary>
public class SwitchWiringTests
{
    private static readonly string[] Line = ["l1", "s1", "s2"];

    private static Box Light(string id, double x, string room = "a") =>
        new()
        {
            Id = id,
            Kind = BoxKind.Light,
            Room = room,
            At = Sample.P(x, 5),
            Height = Length.Feet(8),
        };

    private static Box Switch(string id, double along, params SwitchGang[] gangs) =>
        new()
        {
            Id = id,
            Kind = BoxKind.Switch,
            Room = "a",
            Wall = 0,
            Along = Length.Feet(along),
            Height = Length.Inches(46),
            Gangs = [.. gangs],
        };

    private static SwitchGang To(int places, params string[] lights) => new() { Lights = [.. lights], Locations = places };

    // One long room with the panel at its left end.
    private static Job With(params Box[] boxes) =>
        Sample.House(Sample.Rect("a", RoomKind.Living, 0, 0, 40, 10)) with
        {
            Frame = new() { Under = Under.Slab },
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main panel",
                    Room = "a",
                    Wall = 3,
                    Along = Length.Feet(5),
                    Spaces = 30,
                    MainBreaker = 150,
                },
            ],
            Decisions = new()
            {
                Boxes = [.. boxes],
                Circuits =
                [
                    new Circuit
                    {
                        Number = 1,
                        Purpose = CircuitPurpose.Lighting,
                        Boxes = [.. boxes.Select(b => new CircuitBox { Box = b.Id })],
                    },
                ],
            },
        };

    private static CableRun Plan(Job job, SwitchLoops loops = SwitchLoops.SwitchFirst, string? first = null) =>
        new CableRouter(HouseShape.Of(job)).Plan([.. job.Decisions.Boxes.Select(b => b.Id)], first, loops);

    private static string Words(CableRun run) => string.Join("; ", run.Cables.Select(h => $"{h.From ?? "panel"}-{h.To} {h.Use}"));

    [Fact]
    public void One_switch_takes_the_power_and_feeds_its_lights_one_after_the_other() =>
        Words(Plan(With(Switch("s1", 20, To(1, "l1", "l2", "l3")), Light("l1", 10), Light("l2", 15), Light("l3", 22))))
            .ShouldBe("panel-s1 Power; s1-l3 SwitchLeg; l3-l2 SwitchLeg; l2-l1 SwitchLeg");

    [Fact]
    public void Power_to_the_light_first_goes_down_to_the_switch_in_three_wires()
    {
        var run = Plan(With(Switch("s1", 20, To(1, "l1", "l2")), Light("l1", 18), Light("l2", 8)), SwitchLoops.LightFirst);
        Words(run).ShouldBe("panel-l1 Power; l1-s1 SwitchLoop; l1-l2 SwitchLeg");
        run.Segments[1].Conductors.ShouldBe(3);
    }

    [Fact]
    public void Three_way_switches_take_power_at_one_end_and_the_leg_leaves_from_the_other() =>
        Words(Plan(With(Switch("s1", 5, To(2, "l1")), Switch("s2", 35, To(2, "l1")), Light("l1", 30))))
            .ShouldBe("panel-s1 Power; s1-s2 Travelers; s2-l1 SwitchLeg");

    [Fact]
    public void With_the_light_near_the_first_switch_power_goes_to_the_second() =>
        Words(Plan(With(Switch("s1", 5, To(2, "l1")), Switch("s2", 35, To(2, "l1")), Light("l1", 8))))
            .ShouldBe("panel-s2 Power; s2-s1 Travelers; s1-l1 SwitchLeg");

    [Fact]
    public void A_four_way_stands_between() =>
        Words(Plan(With(Switch("s1", 5, To(3, "l1")), Switch("s2", 20, To(3, "l1")), Switch("s3", 35, To(3, "l1")), Light("l1", 30))))
            .ShouldBe("panel-s1 Power; s1-s2 Travelers; s2-s3 Travelers; s3-l1 SwitchLeg");

    [Fact]
    public void Light_first_the_travelers_go_on_from_the_nearer_switch()
    {
        var run = Plan(With(Switch("s1", 5, To(2, "l1")), Switch("s2", 35, To(2, "l1")), Light("l1", 30)), SwitchLoops.LightFirst);
        Words(run).ShouldBe("panel-l1 Power; l1-s2 SwitchLoop; s2-s1 Travelers");
    }

    [Fact]
    public void A_three_way_beside_a_single_pole_has_power_already_and_so_takes_it_there()
    {
        // The box s2 also switches l2 alone: it needs power, so the three-way light gets its power there too.
        var run = Plan(With(Switch("s1", 5, To(2, "l1")), Switch("s2", 35, To(2, "l1"), To(1, "l2")), Light("l1", 30), Light("l2", 38)));
        Words(run).ShouldBe("panel-s2 Power; s2-s1 Travelers; s1-l1 SwitchLeg; s2-l2 SwitchLeg");
    }

    [Fact]
    public void Between_two_boxes_that_both_need_power_it_goes_with_the_travelers_in_four_wires()
    {
        var run = Plan(
            With(
                Switch("s1", 5, To(2, "l1"), To(1, "l3")),
                Switch("s2", 35, To(2, "l1"), To(1, "l2")),
                Light("l1", 30),
                Light("l2", 38),
                Light("l3", 4)
            )
        );
        Words(run).ShouldBe("panel-s1 Power; s1-s2 Travelers; s2-l2 SwitchLeg; s2-l1 SwitchLeg; s1-l3 SwitchLeg");
        run.Segments.Single(h => h.Use == CableUse.Travelers).Conductors.ShouldBe(4);
        run.Beside.ShouldBeEmpty();
        run.Segments.Select(h => h.To).ShouldBeUnique();
        run.Cut.ShouldBe(run.Segments.Concat(run.Beside).Aggregate(Length.Zero, (s, h) => s + h.Cut));
    }

    [Fact]
    public void A_fan_and_its_light_on_two_switches_of_one_box_take_one_cable_of_three_wires() =>
        Words(Plan(With(Switch("s1", 20, To(1, "f1"), To(1, "f1")), Light("f1", 18)))).ShouldBe("panel-s1 Power; s1-f1 TwoSwitchLegs");

    [Fact]
    public void Two_groups_with_one_light_in_common_join_their_legs()
    {
        var run = Plan(With(Switch("s1", 20, To(1, "l1", "f1"), To(1, "f1")), Light("l1", 25), Light("f1", 18)));
        run.Cables.Count(h => h.To == "f1").ShouldBe(1);
        run.Segments.Single(h => h.To == "f1").Use.ShouldBe(CableUse.TwoSwitchLegs);
    }

    [Fact]
    public void Where_a_person_wants_a_light_first_power_comes_to_it() =>
        Words(Plan(With(Switch("s1", 20, To(1, "l1")), Light("l1", 18)), first: "l1")).ShouldBe("panel-l1 Power; l1-s1 SwitchLoop");

    [Fact]
    public void A_switch_whose_light_is_on_no_circuit_of_its_own_still_gets_power()
    {
        var job = With(Switch("s1", 20, To(1, "l1")), Light("l1", 18));
        new CableRouter(HouseShape.Of(job)).Plan(["s1"]).Segments.ShouldHaveSingleItem().Use.ShouldBe(CableUse.Power);
    }

    [Fact]
    public void The_cables_fill_the_boxes()
    {
        var a = Analyzer.Analyze(With(Switch("s1", 5, To(2, "l1")), Switch("s2", 35, To(2, "l1")), Light("l1", 30)));

        // First switch: 14-2 in, 14-3 on: 5 x 2.00, two grounds 2.00, device 4.00. Second: 14-3 in, 14-2 on: the same.
        foreach (var s in Line[1..])
        {
            var spec = a.Specs[s];
            spec.Cables.Select(c => $"{c.Cable}").Order().ShouldBe(["14-2", "14-3"]);
            spec.Fill!.Inches3.ShouldBe(16, 0.001);
            spec.FillDerivation!.Steps.Count(x => x.What.Contains("travelers", StringComparison.Ordinal)).ShouldBe(1);
        }

        a.Cable.ByType.Select(t => t.Cable).ShouldBe(["14-2", "14-3"]);
        a.Cable.ByType.Sum(t => t.Cut.InFeet).ShouldBe(a.Circuits[0].Run.Cut.InFeet, 0.01);
    }

    [Theory]
    [InlineData(SwitchLoops.SwitchFirst)]
    [InlineData(SwitchLoops.LightFirst)]
    public void In_the_demo_house_every_box_is_fed_once_and_every_light_reaches_all_its_switches(SwitchLoops loops)
    {
        var job = CheckTests.PlannedWhole;
        job = job with { Preferences = job.Preferences with { SwitchLoops = loops } };
        var groups = SwitchGroup.Of(job);
        groups.Length.ShouldBeGreaterThan(10);
        foreach (var c in Analyzer.Analyze(job).Circuits)
        {
            c.Run.Segments.Select(h => h.To).Order().ShouldBe(c.Circuit.Boxes.Select(b => b.Box).Order());
            var seen = new HashSet<string>();
            foreach (var segment in c.Run.Segments)
            {
                if (segment.From is not null)
                    seen.ShouldContain(segment.From);
                seen.Add(segment.To);
            }

            // All cables that carry switched conductors, as a graph: lights and switches of a group hang together in it.
            var own = c.Circuit.Boxes.Select(b => b.Box).ToHashSet();
            var wired = c.Run.Cables.Where(h => h.From is not null && (h.Use != CableUse.Power || h.More > 0)).ToList();
            foreach (var g in groups.Where(g => g.Lights.Any(own.Contains) && g.Switches.Any(own.Contains)))
            {
                var reach = new HashSet<string> { g.Switches.First(own.Contains) };
                while (wired.Any(h => reach.Contains(h.From!) != reach.Contains(h.To)))
                {
                    foreach (var h in wired.Where(h => reach.Contains(h.From!) || reach.Contains(h.To)))
                        (_, _) = (reach.Add(h.From!), reach.Add(h.To));
                }

                g.Lights.Concat(g.Switches).Where(own.Contains).ShouldBeSubsetOf(reach);
            }
        }
    }
}
