using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using static Circuitum.Core.Tests.Sample;

namespace Circuitum.Core.Tests;

/// <summary>How feeders run: in the ground, in conduit with its bends, and what changes when one carries the whole dwelling.</summary>
public class FeederTests
{
    private static readonly Job One = Planner.PlanSpaces(
        CheckTests.PlannedWhole with
        {
            Panels = [CheckTests.PlannedWhole.Panels[0] with { Room = "laundry", Wall = 2, Along = Length.Feet(6) }],
        }
    );

    private static readonly Job Two = Planner.PlanSpaces(
        new PutOnWall("sub-panel", "bedroom", 2, Length.Feet(9), default).Apply(One).Job!,
        afresh: true
    );

    private static readonly Job Shed = Two with
    {
        Rooms = Two.Rooms.Add(Rect("shed", RoomKind.AccessoryBuilding, 60, 0, 10, 10)),
        Panels = Two.Panels.SetItem(1, Two.Panels[1] with { Room = "shed", Wall = 0, Along = Length.Feet(5) }),
    };

    private static Feeder Of(Job job) => Analyzer.Analyze(job).Panels[1].Feeder!;

    private static Job Say(Job job, Func<OutsideRun, OutsideRun> change) =>
        new SetOutsideRun(change(Routing.Burial.Said(job, "sub") ?? new OutsideRun { To = "sub" })).Apply(job).Job!;

    [Theory]
    [InlineData(OutsideMethod.PvcConduit, 18, true)]
    [InlineData(OutsideMethod.RigidConduit, 6, true)]
    [InlineData(OutsideMethod.DirectBurial, 24, false)]
    public void In_the_ground_a_feeder_lies_as_deep_as_its_method_asks(OutsideMethod method, double inches, bool conduit)
    {
        var job = Say(Shed, o => o with { Method = method });
        JobRules.Check(job).ShouldBeEmpty();
        var f = Of(job);
        (f.Run.Outside, f.Run.Buried, f.Run.DepthWanted, f.Run.Depth).ShouldBe(
            (method, true, Length.Inches(inches), Length.Inches(inches))
        );
        (f.Conduit is not null, f.Run.Bends is not null).ShouldBe((conduit, conduit));
        Analyzer.Analyze(job).Findings.ShouldNotContain(x => x.RuleId.StartsWith("wire.depth") || x.RuleId == "wire.outside");
        f.Derivation.Steps.ShouldContain(s => s.What == "Depth in the ground");
        if (!conduit)
            f.Made.ShouldContain("for the ground");

        // The way goes down on one side and up on the other, so it is at least twice the depth longer than flat.
        var flat = f
            .Route.Pieces.Where(p => p.Kind == Routing.WayKind.Outside)
            .Aggregate(Length.Zero, (sum, p) => sum + p.From.RectilinearTo(p.To));
        f.Run.OutsideLength.ShouldBeGreaterThanOrEqualTo(flat);

        var shallow = Analyzer
            .Analyze(Say(job, o => o with { Depth = Length.Inches(inches - 1) }))
            .Findings.Single(x => x.RuleId == "wire.depth" && x.Subjects.Contains(Subject.Parse("panel:sub")));
        shallow.Sentence.ShouldContain(
            $"lies {LengthText.Show(Length.Inches(inches - 1))} deep; {LengthText.Show(Length.Inches(inches))} is the least"
        );
        if (method == OutsideMethod.RigidConduit)
            Of(Say(job, o => o with { Driveway = true })).Run.DepthWanted.ShouldBe(Length.Inches(18));
    }

    [Fact]
    public void Indoor_cable_outside_is_found_and_the_fix_makes_it_conduit()
    {
        var found = Analyzer
            .Analyze(Say(Shed, o => o with { Method = OutsideMethod.IndoorCable }))
            .Findings.Single(f => f.RuleId == "wire.outside");
        found.Sentence.ShouldContain("feeder of bedroom panel");
        found.Fix!.Edit.ShouldBe(new SetOutsideMethod("sub", OutsideMethod.PvcConduit));
        new RemoveSubPanel("sub").Apply(Say(Shed, o => o with { Depth = Length.Feet(3) })).Job!.Decisions.Outside.ShouldBeEmpty();
    }

    [Fact]
    public void A_conduit_s_bends_are_counted_on_its_way_or_as_a_person_says_them()
    {
        var job = new EditPanel("sub", new() { FeederMethod = FeederMethod.Conduit }).Apply(Two).Job!;
        var f = Of(job);

        // Told anew: corners of the way, a step of each piece along one axis after another.
        var axes = f
            .Route.Pieces.SelectMany(p =>
                new[] { (p.From.X - p.To.X).Abs(), (p.From.Y - p.To.Y).Abs(), (p.FromZ - p.ToZ).Abs() }
                    .Select((d, i) => (d, i))
                    .Where(x => x.d > Length.Inches(6))
                    .Select(x => x.i)
            )
            .ToList();
        var corners = axes.Zip(axes.Skip(1)).Count(x => x.First != x.Second);
        corners.ShouldBeGreaterThan(0);
        f.Run.Bends!.Stretches.Sum().ShouldBe(90 * corners);
        var many = Say(job, o => o with { Bends = [90, 90, 90, 90, 45] });
        Analyzer
            .Analyze(many)
            .Findings.Single(x => x.RuleId == "wire.bends")
            .Sentence.ShouldContain("bends 405 degrees between pull points; 360 is the most. 1 more pull point will do");
        Analyzer
            .Analyze(Say(job, o => o with { Bends = [90, 90, 0, 90, 90, 45] }))
            .Findings.ShouldNotContain(x => x.RuleId == "wire.bends");
        new SetOutsideRun(new() { To = "sub", Depth = Length.Feet(2) }).Apply(Two).Problem.ShouldContain("is cable inside the house");
    }

    [Fact]
    public void A_feeder_that_carries_the_whole_dwelling_takes_the_optional_method_and_the_dwelling_s_sizes()
    {
        var all = Two with
        {
            Panels = [Two.Panels[0] with { Spaces = 4 }, Two.Panels[1] with { Spaces = 42, MainBreaker = 200 }],
            Decisions = Two.Decisions with
            {
                Spaces =
                [
                    .. Two
                        .Decisions.Circuits.Select((c, i) => (c, i))
                        .Select(x => new SpaceDecision
                        {
                            Panel = "sub",
                            Circuit = x.c.Number,
                            Space = x.i + 1,
                            By = Origin.Person,
                        }),
                ],
            },
        };
        var a = Analyzer.Analyze(all with { Preferences = all.Preferences with { ServiceMethod = ServiceMethod.Optional } });
        a.Circuits.ShouldAllBe(c => c.Panel == "sub");
        var f = a.Panels[1].Feeder!;
        (f.Whole, f.Load.Method, f.Load.Total).ShouldBe((true, ServiceMethod.Optional, a.ServiceLoads[1].Total));
        f.Neutral.Result.ShouldBe(ServiceSheet.Of(a).Neutral.Result);
        f.Derivation.Steps.ShouldContain(s => s.What == "Service load, standard method");
        f.Breaker.ShouldBeGreaterThanOrEqualTo(100);
        Of(all with { Preferences = all.Preferences with { ServiceMethod = ServiceMethod.Standard } })
            .Load.Total.ShouldBe(a.ServiceLoads[0].Total);

        // 100 A: 2 AWG aluminum for the whole dwelling, 1 AWG for a part of it.
        var large = new EditPanel("sub", new() { AluminumFeeder = true, FeederBreaker = 100 }).Apply(all).Job!;
        Of(large).Wire!.Size.ShouldBe(WireSize.Parse("2"));
        var one = large.Decisions.Circuits.First(c => Analyzer.Analyze(large).CircuitByNumber(c.Number)!.Poles == 1).Number;
        Of(
            large with
            {
                Decisions = large.Decisions with
                {
                    Spaces = [.. large.Decisions.Spaces.Select(s => s.Circuit == one ? s with { Panel = "main", Space = 4 } : s)],
                },
            }
        )
            .Wire!.Size.ShouldBe(WireSize.Parse("1"));
        Of(Two).Derivation.Steps.Single(s => s.What == "Optional method").Because.ShouldContain("whole dwelling");
    }

    [Theory]
    [InlineData("us-2023", 2, true)]
    [InlineData("us-2020", 6, false)]
    [InlineData("us-2020", 7, true)]
    [InlineData("us-2017", 6, false)]
    public void A_building_without_a_main_is_switched_off_by_as_many_breakers_as_the_edition_allows(
        string edition,
        int breakers,
        bool found
    )
    {
        var ones = Analyzer
            .Analyze(Two)
            .Circuits.Where(c => c.Poles == 1)
            .Take(breakers)
            .Select(
                (c, i) =>
                    new SpaceDecision
                    {
                        Panel = "sub",
                        Circuit = c.Number,
                        Space = i + 1,
                        By = Origin.Person,
                    }
            )
            .ToList();
        var job = Shed with
        {
            CodeEdition = edition,
            Panels = Shed.Panels.SetItem(1, Shed.Panels[1] with { MainLugs = true }),
            Decisions = Shed.Decisions with { Spaces = [.. ones] },
        };
        Analyzer.Analyze(job).Findings.Any(f => f.RuleId == "feeder.disconnect").ShouldBe(found);
        Analyzer
            .Analyze(job with { Panels = job.Panels.SetItem(1, job.Panels[1] with { MainLugs = false }) })
            .Findings.ShouldNotContain(f => f.RuleId == "feeder.disconnect");
    }
}
