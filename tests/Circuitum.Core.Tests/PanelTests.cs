using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using static Circuitum.Core.Tests.Sample;

namespace Circuitum.Core.Tests;

/// <summary>Several panels: feeders, which panel a circuit is in, moving between them, and what is found.</summary>
public class PanelTests
{
    // The flat with its panel in the laundry, where the house hangs together.
    private static readonly Job One = Planner.PlanSpaces(
        CheckTests.PlannedWhole with
        {
            Panels = [CheckTests.PlannedWhole.Panels[0] with { Room = "laundry", Wall = 2, Along = Length.Feet(6) }],
        }
    );

    // A sub-panel in the bedroom, and all breakers laid out afresh.
    private static readonly Job Two = Planner.PlanSpaces(
        new PutOnWall("sub-panel", "bedroom", 2, Length.Feet(9), default).Apply(One).Job!,
        afresh: true
    );

    private static readonly JobAnalysis A = Analyzer.Analyze(Two);

    private static PanelAnalysis Sub(JobAnalysis a) => a.Panels[1];

    [Fact]
    public void A_new_sub_panel_takes_a_feeder_and_leaves_every_breaker_where_it_is()
    {
        var added = new PutOnWall("sub-panel", "bedroom", 2, Length.Feet(9), default).Apply(One).Job!;
        JobRules.Check(added).ShouldBeEmpty();
        added.Decisions.Spaces.Where(s => s.Feeds is null).ShouldBe(One.Decisions.Spaces);
        var feeder = Analyzer.Analyze(added).Panels[0].Schedule.Where(r => r.Feeder is not null).ToList();
        feeder.Count.ShouldBe(2);
        (feeder[1].Space - feeder[0].Space).ShouldBe(2);
        Analyzer.Analyze(added).Panels[1].SpacesUsed.ShouldBe(0);
        Consequences
            .Of(Analyzer.Analyze(One), Analyzer.Analyze(added))
            .ShouldContain(c => c.What.Contains("bedroom panel: a feeder of 60 A") && c.Again);
        new PutOnWall("sub-panel", "bedroom", 2, Length.Feet(9), default)
            .Apply(One with { Panels = [], Decisions = One.Decisions with { Spaces = [] } })
            .Problem.ShouldContain("at the service");
    }

    [Fact]
    public void Laid_out_afresh_each_circuit_is_in_the_nearest_panel_and_large_appliances_in_the_main_one()
    {
        A.Circuits.ShouldContain(c => c.Panel == "sub");
        foreach (var c in A.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Appliance && c.Poles == 2))
            c.Panel.ShouldBe("main");
        var runs = new Routing.CableRouter(A.House);
        var feeding = new Circuits.FeedingPanels(A.House, runs);
        foreach (var c in A.Circuits.Where(c => c.Poles == 1))
        {
            // In the nearest one, what its load asks of the feeder counted with it.
            double Near(string panel) => feeding.Feet(A.PanelById(panel)!.Panel, [.. c.Boxes.Select(b => b.Id)], c.Load.Connected.Value);
            Near(c.Panel!).ShouldBeLessThanOrEqualTo(Near(c.Panel == "sub" ? "main" : "sub"), $"circuit {c.Number}");
            A.RouteOf(c.Run.Segments[0])
                .Pieces[0]
                .From.ShouldBe(
                    A.House[Two.Panels.First(p => p.Id == c.Panel).Room]
                        .On(Two.Panels.First(p => p.Id == c.Panel).Wall, Two.Panels.First(p => p.Id == c.Panel).Along)
                );
        }

        A.Cable.ByType.Sum(t => t.Cut.InFeet).ShouldBeLessThan(Analyzer.Analyze(One).Cable.ByType.Sum(t => t.Cut.InFeet));
        var nearest = Analyzer.Analyze(
            Planner.PlanSpaces(
                Two with
                {
                    Preferences = Two.Preferences with { LargeAppliances = LargeAppliances.NearestPanel },
                },
                afresh: true
            )
        );
        nearest.Circuits.Count(c => c.Panel == "sub").ShouldBeGreaterThanOrEqualTo(A.Circuits.Count(c => c.Panel == "sub"));

        // Every breaker has one place, and no two share one.
        foreach (var at in A.Panels)
            at.Schedule.Where(r => r.Circuit is not null && !r.SecondPole).Select(r => r.Circuit!.Number).ShouldBeUnique();
        A.Panels.SelectMany(p => p.Schedule)
            .Where(r => r.Circuit is not null && !r.SecondPole)
            .Select(r => r.Circuit!.Number)
            .Order()
            .ShouldBe(A.Circuits.Select(c => c.Number).Order());
    }

    [Fact]
    public void A_feeder_is_sized_by_what_hangs_on_it()
    {
        var feeder = Sub(A).Feeder!;
        var on = A.Circuits.Where(c => c.Panel == "sub").ToList();

        // Told anew: the rooms' share at 3 VA, 1500 for each kitchen and laundry circuit, first 3000 in full and the rest at 35 percent.
        var ids = on.SelectMany(c => c.Boxes).Select(b => b.Id).ToHashSet();
        var area = Two
            .Decisions.Boxes.Where(b =>
                b.Kind is BoxKind.Light or BoxKind.Receptacle
                && Two.RoomById(b.Room)!.Kind is not (RoomKind.Garage or RoomKind.Porch or RoomKind.Deck)
            )
            .GroupBy(b => b.Room)
            .Sum(g => A.House[g.Key].AreaSqFt * g.Count(b => ids.Contains(b.Id)) / g.Count());
        var general =
            (Math.Round(area) * 3) + (1500 * on.Count(c => c.Circuit.Purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry));
        var demand = Math.Min(3000, general) + (Math.Max(0, general - 3000) * 0.35);
        feeder.Load.Derivation.Steps[0].Result.ShouldBe($"{demand:#,0} VA");
        feeder.Breaker.ShouldBe(60);
        // 6 AWG reads 55 A in the 60 C column; the next size up protects it as long as the load is less.
        feeder.Made.ShouldBe("6-3 cable");
        feeder.Ground.ShouldBe(WireSize.Parse("10"));
        feeder.Cut.ShouldBe(feeder.Route.Length + (Two.Preferences.PanelMakeUp * 2));
        A.Why("feeder.sub")!.Steps.ShouldContain(s => s.What == "Equipment ground");
        var conduit = Sub(
            Analyzer.Analyze(new EditPanel("sub", new() { FeederMethod = FeederMethod.Conduit, FeederBreaker = 100 }).Apply(Two).Job!)
        ).Feeder!;
        (conduit.Wire!.Size, conduit.Conduit!.Size!.Size).ShouldBe((WireSize.Parse("3"), "1"));
        var aluminum = Sub(
            Analyzer.Analyze(new EditPanel("sub", new() { AluminumFeeder = true, FeederBreaker = 100 }).Apply(Two).Job!)
        ).Feeder!;
        aluminum.Wire!.Size.ShouldBe(WireSize.Parse("1"));
    }

    [Theory]
    [InlineData(15, "is over its feeder's breaker")]
    [InlineData(125, "is made for 100 A")]
    [InlineData(125, "No cable for the feeder")]
    [InlineData(200, "the feeder of bedroom panel has a breaker of 200 A, Main panel itself only 150 A")]
    public void What_is_wrong_with_a_feeder_is_found(int breaker, string sentence)
    {
        var job = new EditPanel("sub", new() { FeederBreaker = breaker }).Apply(Two).Job!;

        // Everything that can go there, so that 15 A is too little.
        if (breaker == 15)
            job = job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = [.. job.Decisions.Circuits],
                    Spaces = [.. job.Decisions.Spaces.Where(s => s.Circuit == 0)],
                },
                Preferences = job.Preferences with { LargeAppliances = LargeAppliances.NearestPanel },
                Panels = job.Panels.SetItem(1, job.Panels[1] with { Room = "kitchen", Wall = 1, Along = Length.Feet(9) }),
            };
        Analyzer
            .Analyze(job)
            .Findings.ShouldContain(f => f.RuleId == "feeder.size" && f.Sentence.Contains(sentence, StringComparison.OrdinalIgnoreCase));
    }

    [Fact]
    public void A_circuit_moves_to_another_panel_and_back()
    {
        var c = A.Circuits.First(c => c.Panel == "sub" && c.Pair is null);
        var moved = new MoveToPanel(c.Number, "main").Apply(Two).Job!;
        var a = Analyzer.Analyze(moved);
        a.CircuitByNumber(c.Number)!.Panel.ShouldBe("main");
        a.RowOf(a.CircuitByNumber(c.Number)!)!.By.ShouldBe(Origin.Person);
        a.CircuitByNumber(c.Number)!.Run.HomeRun.ShouldNotBe(c.Run.HomeRun);
        Analyzer.Analyze(Planner.PlanSpaces(moved, afresh: true)).CircuitByNumber(c.Number)!.Panel.ShouldBe("main");
        Analyzer.Analyze(new MoveToPanel(c.Number, "sub").Apply(moved).Job!).CircuitByNumber(c.Number)!.Panel.ShouldBe("sub");
        new MoveToPanel(c.Number, "main").Apply(moved).Problem.ShouldContain("already");
        new MoveToPanel(c.Number, "attic").Apply(moved).Problem.ShouldContain("not there any more");
        new MoveToPanel(77, "main").Apply(moved).Problem.ShouldContain("no circuit 77");
    }

    [Fact]
    public void The_feeder_s_breaker_moves_and_stays()
    {
        var moved = new MoveBreaker(0, 26, null, "sub").Apply(Two).Job!;
        var a = Analyzer.Analyze(moved);
        a.Panels[0].Schedule.Where(r => r.Feeder is not null).Select(r => r.Space).ShouldBe([26, 28]);
        var other = a.Circuits.First(c => c.Panel == "main" && c.Poles == 1);
        new MoveBreaker(other.Number, 26).Apply(moved).Problem.ShouldContain("feeder of bedroom panel is in space 26");
        Planner.PlanSpaces(moved, afresh: true).Decisions.Spaces.Single(s => s.Feeds == "sub").Space.ShouldBe(26);
        new MoveBreaker(0, 5, "sub", "sub").Apply(Two).Problem.ShouldContain("in the panel that feeds");
    }

    [Fact]
    public void A_sub_panel_goes_away_and_its_circuits_go_back()
    {
        var gone = new RemoveSubPanel("sub").Apply(Two).Job!;
        JobRules.Check(gone).ShouldBeEmpty();
        var a = Analyzer.Analyze(gone);
        a.Circuits.ShouldAllBe(c => c.Panel == "main" && a.RowOf(c) != null);
        gone.Decisions.Spaces.ShouldAllBe(s => s.Feeds == null && s.Panel == "main");
        new RemoveSubPanel("main").Apply(Two).Problem.ShouldContain("Only a sub-panel");
    }

    [Fact]
    public void Fewer_spaces_leave_circuits_without_one_and_say_so()
    {
        var small = new EditPanel("main", new() { Spaces = 6 }).Apply(Two).Job!;
        Analyzer
            .Analyze(small)
            .Findings.ShouldContain(f => f.RuleId == "panel.spaces" && f.Sentence.Contains("Without a space in Main panel"));
        new EditPanel("main", new() { Spaces = 13 }).Apply(Two).Problem.ShouldContain("even number");
        new EditPanel("sub", new() { FedFrom = "sub" }).Apply(Two).Problem.ShouldContain("which panel feeds it");
    }

    [Fact]
    public void A_panel_in_a_building_of_its_own_is_fed_in_conduit_and_told_of_its_electrode()
    {
        var shed = Two with
        {
            Rooms = Two.Rooms.Add(Rect("shed", RoomKind.AccessoryBuilding, 60, 0, 10, 10)),
            Panels = Two.Panels.SetItem(1, Two.Panels[1] with { Room = "shed", Wall = 0, Along = Length.Feet(5) }),
        };
        var a = Analyzer.Analyze(shed);
        var feeder = Sub(a).Feeder!;
        (feeder.ToBuilding, feeder.Conduit is not null).ShouldBe((true, true));
        feeder.Route.Pieces.ShouldContain(p => p.Kind == Routing.WayKind.Outside);
        a.Findings.ShouldContain(f => f.RuleId == "feeder.building" && f.Sentence.Contains("grounding electrode"));
    }

    [Fact]
    public void Legs_are_balanced_in_each_panel()
    {
        foreach (var at in A.Panels)
        {
            var ones = at
                .Schedule.Where(r => r.Circuit is { Poles: 1 })
                .Select(r => (int)Math.Round(r.Circuit!.Load.Connected.Value))
                .ToList();
            var least = Enumerable
                .Range(0, 1 << ones.Count)
                .Where(m => Math.Abs((2 * System.Numerics.BitOperations.PopCount((uint)m)) - ones.Count) <= 2)
                .Min(m => Math.Abs(ones.Select((va, i) => (m >> i & 1) == 1 ? va : -va).Sum()));
            at.Lines.Gap.Value.ShouldBeLessThanOrEqualTo(least + 1.5, at.Panel.Name);
        }
    }
}
