using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

// Stairs, equipment, attics and hardware.
public partial class RulePlaceTests
{
    private static Job Stairs(params (string Storey, double Floor, bool Drawn)[] storeys) =>
        new()
        {
            Name = "Stairs",
            Storeys =
            [
                .. storeys.Select(s => new Storey
                {
                    Id = s.Storey,
                    Name = s.Storey,
                    Floor = Length.Feet(s.Floor),
                }),
            ],
            Rooms =
            [
                .. storeys.SelectMany(s =>
                    new[] { Sample.Rect($"hall-{s.Storey}", RoomKind.Hallway, 0, 0, 8, 14) with { Storey = s.Storey } }.Concat(
                        s.Drawn ? [Sample.Rect($"stairs-{s.Storey}", RoomKind.Stairs, 8.375, 0, 4, 12) with { Storey = s.Storey }] : []
                    )
                ),
            ],
            Openings =
            [
                .. storeys
                    .Where(s => s.Drawn)
                    .Select(s =>
                        Sample.Door($"hall-{s.Storey}", 1, 4, 3, $"stairs-{s.Storey}", OpeningKind.Cased) with
                        {
                            Id = $"o{s.Storey}",
                        }
                    ),
            ],
        };

    [Fact]
    public void Each_flight_has_its_light_and_a_switch_at_both_ends_where_flights_stand_over_each_other()
    {
        var a = Plan(Stairs(("cellar", -9, true), ("first", 0, true), ("second", 9, true)));
        StairRules.Flights(a.House).Length.ShouldBe(2);
        foreach (var flight in StairRules.Flights(a.House))
        {
            var light = a.Job.Decisions.Boxes.Single(b => b.Kind == BoxKind.Light && b.Room == flight.Upper.Room.Id);
            a.Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(light.Id)))
                .Select(b => a.House[b.Room].Room.Storey)
                .Distinct()
                .Order()
                .ShouldBe(flight.Ends.Select(e => e.Room.Storey).Order());
        }

        a.Findings.ShouldNotContain(f => f.RuleId == "box.stairs" || f.RuleId == "box.light");
    }

    [Theory]
    [InlineData(7, 2)]
    [InlineData(5, 1)]
    public void A_flight_with_one_drawn_end_is_switched_at_both_levels_from_six_risers_on(int risers, int levels)
    {
        var job = Stairs(("cellar", -9, false), ("first", 0, true));
        job = job with { Rooms = [.. job.Rooms.Select(r => r.Kind == RoomKind.Stairs ? r with { Risers = risers } : r)] };
        var a = Plan(job);
        var light = a.Job.Decisions.Boxes.Single(b => b.Kind == BoxKind.Light && a.House[b.Room].Room.Kind == RoomKind.Stairs);
        a.Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(light.Id)))
            .Select(b => a.House[b.Room].Room.Storey)
            .Distinct()
            .Count()
            .ShouldBe(levels);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.stairs");
        if (levels == 2)
            Analyzer
                .Analyze(
                    a.Job.Without(b =>
                        b.Kind == BoxKind.Switch
                        && b.Room == "hall-cellar"
                        && b.Gangs.Any(g => g.Lights.Contains(light.Id))
                        && b.Gangs.Length == 1
                    )
                )
                .Findings.ShouldContain(f => f.RuleId == "box.stairs");
    }

    [Theory]
    [InlineData("heat-pump", "box.disconnect")]
    [InlineData("air-conditioner", "box.disconnect")]
    [InlineData("air-handler", "box.disconnect")]
    [InlineData("water-heater", "box.disconnect")]
    [InlineData("well-pump", "box.disconnect")]
    [InlineData("furnace", "box.disconnect")]
    [InlineData("disposer", "box.control")]
    [InlineData("bath-heater", "box.control")]
    public void Equipment_has_its_disconnect_or_its_switch(string type, string rule)
    {
        var job = Sample.Whole();
        job = job with
        {
            Appliances = job.Appliances.Add(
                Sample.Thing(
                    "extra",
                    type,
                    type is "disposer" ? "kitchen"
                        : type is "bath-heater" ? "bath"
                        : "laundry",
                    0,
                    type is "disposer" ? 5.3 : 1
                )
            ),
        };
        var planned = Planner.PlanAll(job);
        var a = Analyzer.Analyze(planned);
        var box = planned.Decisions.Boxes.Single(b => b.Serves == "extra");
        var outlet = planned.Decisions.Boxes.Single(b => b.Appliance == "extra");
        var c = a.CircuitOf(box.Id)!;
        c.ShouldBe(a.CircuitOf(outlet.Id));
        c.Run.Segments.Single(h => h.To == outlet.Id).From.ShouldBe(box.Id);
        a.Specs[box.Id].Device.ShouldContain(ApplianceFacts.Of(job, job.ApplianceById("extra")!).Name);
        BoxSchedule.Of(a).SelectMany(g => g.Lines).ShouldContain(l => l.Box.Id == box.Id);
        a.Findings.ShouldNotContain(f => f.RuleId == rule);
        Analyzer
            .Analyze(planned.Without(b => b.Serves == "extra"))
            .Findings.ShouldContain(f => f.RuleId == rule && f.Subjects.Contains(Subject.Parse("appliance:extra")));
    }

    [Fact]
    public void Hardwired_loads_without_a_disconnect_have_a_box_or_fitting()
    {
        var a = Plan(Sample.Whole() with { Appliances = Sample.Whole().Appliances.Add(Sample.Thing("top", "cooktop", "kitchen", 3, 0.5)) });
        a.Specs[a.Job.Decisions.Boxes.Single(b => b.Appliance == "top").Id].Entry.ShouldNotBeNull();
    }

    [Theory]
    [InlineData(LightStyle.Pendant, true)]
    [InlineData(LightStyle.Recessed, false)]
    public void No_pendant_hangs_in_a_clothes_closet(LightStyle style, bool found) =>
        Analyzer
            .Analyze(Planner.PlanAll(Sample.Whole()).WithCloset(Sample.P(64, 2), style))
            .Findings.Any(f => f.RuleId == "box.pendant")
            .ShouldBe(found);

    [Theory]
    [InlineData(AccessKind.FoldingLadder, true)]
    [InlineData(AccessKind.Scuttle, false)]
    public void An_attic_behind_a_folding_ladder_has_a_switched_light(AccessKind access, bool lit)
    {
        var job = Sample.Whole();
        var a = Plan(
            job with
            {
                Storeys = job.Storeys.Add(
                    new Storey
                    {
                        Id = "top",
                        Name = "Attic",
                        Floor = Length.Feet(9),
                    }
                ),
                Rooms = job.Rooms.Add(Sample.Rect("attic", RoomKind.Attic, 0, 0, 12, 10) with { Storey = "top", Access = access }),
            }
        );
        a.Job.Decisions.Boxes.Any(b => b.Room == "attic" && b.Kind == BoxKind.Light).ShouldBe(lit);
        if (lit)
            a.Findings.ShouldNotContain(f => f.RuleId == "box.equipmentLight");
    }

    [Theory]
    [InlineData(8, 48, false)]
    [InlineData(10, 48, true)]
    [InlineData(8, 60, true)]
    public void Staples_stand_as_near_as_the_boxes_ask(int fromBox, int every, bool found) =>
        Analyzer
            .Analyze(
                CheckTests.PlannedWhole with
                {
                    Preferences = CheckTests.PlannedWhole.Preferences with
                    {
                        StapleFromBox = Length.Inches(fromBox),
                        StapleEvery = Length.Inches(every),
                    },
                }
            )
            .Findings.Any(f => f.RuleId == "wire.staple")
            .ShouldBe(found);

    [Fact]
    public void A_steel_stud_takes_a_box_with_a_bracket_and_bushings_in_its_holes()
    {
        var job = Sample.Whole();
        var steel = job with
        {
            Walls =
            [
                .. Enumerable
                    .Range(0, 4)
                    .Select(n => new WallFact
                    {
                        Room = "bedroom",
                        Wall = n,
                        Build = WallBuild.MetalStud,
                    }),
            ],
        };
        var a = Plan(steel);
        var receptacles = a.Job.Decisions.Boxes.Where(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle).ToList();
        receptacles.ShouldAllBe(b => a.Specs[b.Id].Entry!.Bracket);
        Plan(job).Specs.Values.Where(s => s.Entry is not null).ShouldAllBe(s => !s.Entry!.Bracket);
        DrillList.Of(a).Bushings.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void Nobody_is_told_to_buy_a_box_that_is_just_full_or_a_lone_metal_one() =>
        HouseSet
            .All.Take(60)
            .SelectMany(h =>
                h.House.Specs.Where(s =>
                        s.Value is { Entry: { } entry, Fill: { } fill }
                        && fill.Inches3 > (entry.Volume * 0.999)
                        && CodeLibrary.Boxes.Values.Any(b =>
                            b.Use == entry.Use
                            && b.Gangs == entry.Gangs
                            && b.Metal == entry.Metal
                            && b.Bracket == entry.Bracket
                            && b.Volume > entry.Volume
                        )
                    )
                    .Select(s => $"house {h.Seed}: {s.Key} {s.Value.Fill!.Inches3} in {s.Value.Entry!.Name}")
            )
            .Take(10)
            .ShouldBeEmpty();
}
