using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Tests;

/// <summary>Houses under the Canadian edition, from proposal to findings.</summary>
public partial class CanadaTests
{
    private static readonly CodeEdition Canada = CodeLibrary.Edition("ca-2021");

    private static readonly Job Flat = OtherRules.Under(Roomy(Sample.WithKitchen()), Canada.Id);

    private static Job Roomy(Job job) => job with { Panels = [.. job.Panels.Select(p => p with { Spaces = 40 })] };

    private static IEnumerable<string> Found(Job job) => Analyzer.Analyze(job).Findings.Select(f => f.RuleId);

    private static Box Receptacle(string id, string room, int wall, double feet, double inches = 16) =>
        new()
        {
            Id = id,
            Kind = BoxKind.Receptacle,
            Room = room,
            Wall = wall,
            Along = Length.Feet(feet),
            Height = Length.Inches(inches),
        };

    private static Job With(Job job, IEnumerable<Box> boxes, params (CircuitPurpose Purpose, string[] Boxes)[] circuits) =>
        job with
        {
            CodeEdition = Canada.Id,
            Decisions = new()
            {
                Boxes = [.. boxes],
                Circuits =
                [
                    .. circuits.Select(
                        (c, n) =>
                            new Circuit
                            {
                                Number = n + 1,
                                Purpose = c.Purpose,
                                Boxes = [.. c.Boxes.Select(b => new CircuitBox { Box = b })],
                            }
                    ),
                ],
            },
        };

    [Fact]
    public void A_flat_is_planned_without_must_findings_and_as_a_Canadian_would()
    {
        var a = Analyzer.Analyze(Flat);
        a.Findings.Where(f => f.Severity == Severity.Must).Select(f => f.Sentence).ShouldBeEmpty();
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance).ShouldAllBe(c => c.Breaker == 20 && c.Boxes.Length <= 2);
        a.Circuits.Where(c => c.Circuit.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.Lighting or CircuitPurpose.Laundry)
            .ShouldAllBe(c => c.Breaker == 15 && c.Wire!.Size == WireSize.Awg(14));
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Lighting && c.Boxes.All(b => b.Kind != BoxKind.Receptacle))
            .ShouldAllBe(c => !c.Protection.ArcFault);
        a.Circuits.Single(c => c.Boxes.Any(b => b.Appliance == "refrigerator")).Boxes.ShouldHaveSingleItem();
        a.Specs.Where(s => s.Value.RatingA is 15 or 20).ShouldAllBe(s => s.Value.RatingA == a.CircuitOf(s.Key)!.Breaker);
    }

    [Fact]
    public void No_section_of_the_other_family_is_told_to_a_Canadian()
    {
        var a = Analyzer.Analyze(Flat);
        var cites = a
            .Circuits.SelectMany(c => new[] { c.WireDerivation, c.ProtectionDerivation, c.DropDerivation, c.Load.Derivation })
            .Append(a.Service.Derivation)
            .Append(ServiceSheet.Of(a).Neutral)
            .Append(ServiceSheet.Of(a).Conductors)
            .SelectMany(All)
            .Where(d => d.Citation.Length > 0)
            .Select(d => d.Citation == "none" ? $"none: {d.What} {d.Because} {d.Formula}" : d.Citation);
        cites.Where(c => c.Contains("none")).ShouldBeEmpty();
        cites.Intersect(CodeLibrary.Newest.Rules.Values.Select(r => r.Cite)).Except(["practice", "plan"]).ShouldBeEmpty();

        static IEnumerable<Explain.Derivation> All(Explain.Derivation d) => d.Steps.SelectMany(All).Prepend(d);
    }

    [Theory]
    [InlineData(12, null, false)]
    [InlineData(13, null, true)]
    [InlineData(14, 12.0, false)]
    [InlineData(14, 120.0, true)]
    public void A_circuit_has_twelve_outlets_or_more_where_all_loads_are_known(int count, double? each, bool isFound)
    {
        var house = Sample.House(Sample.Rect("shop", RoomKind.Recreation, 0, 0, 60, 20));
        var boxes = Enumerable
            .Range(1, count)
            .Select(n => Receptacle($"shop.r{n}", "shop", 0, n * 3.5) with { VoltAmperes = each })
            .ToList();
        Found(With(house, boxes, (CircuitPurpose.Receptacles, [.. boxes.Select(b => b.Id)])))
            .Contains("circuit.mostOutlets")
            .ShouldBe(isFound);
    }

    [Fact]
    public void Five_receptacles_of_a_counter_are_on_three_circuits_and_neighbours_on_different_ones()
    {
        var house = Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 30, 12)) with { Counters = [Counter(0, 0, 29)] };
        var boxes = Enumerable.Range(0, 5).Select(n => Receptacle($"kitchen.r{n + 1}", "kitchen", 0, 3 + (n * 5.5), 44)).ToList();
        var job = Planner.PlanCircuits(With(house, boxes));
        var on = boxes.Select(b => Analyzer.Analyze(job).CircuitOf(b.Id)!.Number).ToList();
        on.Distinct().Count().ShouldBe(3);
        on.GroupBy(n => n).ShouldAllBe(g => g.Count() <= 2);
        on.Zip(on.Skip(1)).ShouldAllBe(p => p.First != p.Second);
        var wrong = Found(With(house, boxes, (CircuitPurpose.SmallAppliance, ["kitchen.r1", "kitchen.r2", "kitchen.r3"]))).ToList();
        wrong.ShouldContain("circuit.counterBeside");
        wrong.ShouldContain("circuit.smallAppliance");
    }

    private static Fixture Wet(FixtureKind kind, string room, double from, double width, double depth) =>
        new()
        {
            Id = kind.ToString().ToLowerInvariant(),
            Kind = kind,
            Room = room,
            Spot = new Spot
            {
                Wall = 0,
                From = Length.Feet(from),
                Width = Length.Feet(width),
                Depth = Length.Feet(depth),
            },
        };

    private static Counter Counter(int wall, double from, double width) =>
        new()
        {
            Id = $"c{wall}",
            Room = "kitchen",
            Spot = new Spot
            {
                Wall = wall,
                From = Length.Feet(from),
                Width = Length.Feet(width),
                Depth = Length.Feet(2),
            },
        };

    // Straight and round a corner: by the way of a cord, not by the crow.
    [Theory]
    [InlineData(9, 1)]
    [InlineData(26, 1)]
    [InlineData(30, 2)]
    [InlineData(50, 2)]
    [InlineData(60, 3)]
    public void Every_point_of_a_hall_is_within_a_cords_reach(double feet, int count)
    {
        var hall = Sample.House(Sample.Rect("hall", RoomKind.Hallway, 0, 0, feet, 4)) with { CodeEdition = Canada.Id };
        var planned = BoxProposal.Propose(hall);
        planned.Decisions.Boxes.Count(b => b is { Kind: BoxKind.Receptacle, Outside: false }).ShouldBe(count);
        Found(planned).ShouldNotContain("box.hallway");
        Found(hall).ShouldContain("box.hallway");
    }

    // What somebody calls a hall may be as large as a job allows.
    [Fact]
    public void A_hall_as_large_as_a_hangar_is_looked_at_in_bounded_time()
    {
        var hall = Sample.House(Sample.Rect("hall", RoomKind.Hallway, 0, 0, 290, 290)) with { CodeEdition = Canada.Id };
        BoxProposal.Propose(hall).Decisions.Boxes.Count(b => b is { Kind: BoxKind.Receptacle, Outside: false }).ShouldBeInRange(1, 12);
    }

    [Fact]
    public void A_cord_goes_round_the_corner_of_a_hall()
    {
        var bent = new Room
        {
            Id = "hall",
            Name = "Hall",
            Kind = RoomKind.Hallway,
            Storey = "first",
            Outline = [Sample.P(0, 0), Sample.P(14, 0), Sample.P(14, 14), Sample.P(10, 14), Sample.P(10, 4), Sample.P(0, 4)],
        };
        var far = new HallReach(new Geometry.RoomShape(bent)).Farthest([Sample.P(0, 2)])!.Value;
        far.Inches.ShouldBeGreaterThan(Sample.P(0, 2).InchesTo(far.At) + 10);
    }

    // A rule that is not in force takes no finding from the one that is.
    [Theory]
    [InlineData("us-2023", "circuit.bathroom")]
    [InlineData("ca-2021", "circuit.outdoor")]
    public void A_bathroom_receptacle_on_the_outdoor_circuit_is_found_by_the_rule_that_holds(string edition, string rule)
    {
        var house = Sample.House(Sample.Rect("bath", RoomKind.Bathroom, 0, 0, 10, 8), Sample.Rect("yard", RoomKind.Outdoors, 0, 8, 10, 8));
        var boxes = new[] { Receptacle("bath.r1", "bath", 0, 3), Receptacle("yard.r1", "yard", 0, 3) };
        var job = With(house, boxes, (CircuitPurpose.Outdoor, ["bath.r1", "yard.r1"])) with { CodeEdition = edition };
        Analyzer.Analyze(job).Findings.ShouldContain(f => f.RuleId == rule && f.Sentence.Contains("bath.r1"));
    }

    // A basement is a storey, finished or not.
    [Theory]
    [InlineData("us-2023")]
    [InlineData("ca-2021")]
    public void A_cellar_has_an_alarm_of_its_own(string edition)
    {
        var house = Sample.House(
            Sample.Rect("living", RoomKind.Living, 0, 0, 20, 14),
            Sample.Rect("cellar", RoomKind.UnfinishedBasement, 0, 0, 20, 14, "cellar")
        ) with
        {
            CodeEdition = edition,
            Storeys =
            [
                new() { Id = "first", Name = "First floor" },
                new()
                {
                    Id = "cellar",
                    Name = "Cellar",
                    Floor = Length.Feet(-9),
                },
            ],
        };
        Found(house).Count(f => f == "box.alarm").ShouldBe(2);
        var planned = BoxProposal.Propose(house);
        planned.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).Select(b => b.Room).Order().ShouldBe(["cellar", "living"]);
        Found(planned).ShouldNotContain("box.alarm");
    }

    [Theory]
    [InlineData(60, 30, 6)]
    [InlineData(20, 16, 1)]
    [InlineData(41, 16, 3)]
    public void A_basement_has_a_light_for_each_thirty_square_metres(double width, double depth, int lights)
    {
        var job = BoxProposal.Propose(
            Sample.House(Sample.Rect("cellar", RoomKind.UnfinishedBasement, 0, 0, width, depth)) with
            {
                CodeEdition = Canada.Id,
            }
        );
        job.Decisions.Boxes.Count(b => b.Kind == BoxKind.Light).ShouldBeGreaterThanOrEqualTo(lights);
        Found(job).ShouldNotContain("box.basementLight");
    }

    [Theory]
    [InlineData(100, 24, false)]
    [InlineData(100, 20, true)]
    [InlineData(200, 40, false)]
    [InlineData(200, 30, true)]
    public void A_panel_has_ways_for_its_rating(int amperes, int ways, bool isFound)
    {
        var job = Flat with { Panels = [Flat.Panels[0] with { MainBreaker = amperes, Spaces = ways }] };
        Found(job).Contains("panel.ways").ShouldBe(isFound);
    }

    private static readonly ImmutableSortedDictionary<string, string> Written = ImmutableSortedDictionary<string, string>.Empty;

    [Fact]
    public void What_was_decided_by_other_rules_is_planned_anew_in_a_copy_and_never_relabelled()
    {
        var job = CheckTests.PlannedWhole;
        var edit = new EditJob(job.Name, "", null, Canada.Id, job.Units, job.Frame.Front, job.Frame.Under, false, Written);
        edit.Apply(job).Problem.ShouldContain("Make a copy");
        edit.Apply(Sample.Whole()).Job.ShouldNotBeNull().CodeEdition.ShouldBe(Canada.Id);
        var copy = OtherRules.Under(job, Canada.Id);
        copy.Name.ShouldBe($"{job.Name}, Canada, 2021 edition");
        copy.Rooms.ShouldBe(job.Rooms);
        copy.Decisions.Boxes.ShouldAllBe(b => b.By == Origin.Planner);
        copy.Panels[0].Top.ShouldBe(Canada.HighestPanelTop);
    }
}
