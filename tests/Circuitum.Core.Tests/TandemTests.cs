using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Tests;

/// <summary>Two breakers in one space, where the panel's label allows it, and breakers of another family.</summary>
public class TandemTests
{
    private static readonly Job Job = CheckTests.PlannedWhole;

    // A one-pole circuit whose breaker protects against nothing, so that a breaker of half the height can serve it.
    private static int Plain(JobAnalysis a) => a.Circuits.First(c => FitsHalf(c)).Number;

    private static bool FitsHalf(CircuitAnalysis c) =>
        c.Poles == 1 && c.Protection.Devices.All(d => d.Box is not null) && c.Pair is null && c.Breaker <= 30;

    private static Job Tandems(Job job, params int[] spaces) =>
        new EditPanel(job.Panels[0].Id, new() { TandemSpaces = [.. spaces] }).Apply(job).Job!;

    // Receptacles and first outlets protect, so that breakers are plain.
    private static readonly Job Plainer = Planner.PlanSpaces(
        Job with
        {
            Preferences = Job.Preferences with { ArcFault = ArcFaultPlace.FirstOutlet, GroundFault = ProtectionPlace.FirstReceptacle },
        },
        afresh: true
    );

    [Fact]
    public void Halves_are_divided_with_the_least_gap_as_every_division_shows()
    {
        var random = new Random(7);
        var shared = 0;
        for (var n = 0; n < 300; n++)
        {
            var loads = Enumerable
                .Range(0, random.Next(1, 10))
                .Select(_ => (Va: random.Next(1, 40) * 60 + random.Next(2), Half: random.Next(3) > 0))
                .ToList();
            LegRoom Leg()
            {
                var full = random.Next(0, 4);
                return new(full, random.Next(0, 3), random.Next(0, full + 1));
            }

            var (a, b, lead) = (Leg(), Leg(), random.Next(-500, 500));
            var extra = Math.Max(0, loads.Count - a.Full - b.Full);
            int? least = null;
            foreach (var mask in Enumerable.Range(0, 1 << loads.Count))
            {
                foreach (var onA in Enumerable.Range(0, extra + 1))
                {
                    bool Fits(LegRoom leg, int halves, List<(int Va, bool Half)> on) =>
                        halves <= leg.Joined + leg.Doubled
                        && on.Count <= leg.Full + halves
                        && on.Count(l => l.Half) >= Math.Min(halves, leg.Joined) + (2 * Math.Max(0, halves - leg.Joined));
                    var (left, right) = (
                        loads.Where((_, i) => (mask >> i & 1) == 1).ToList(),
                        loads.Where((_, i) => (mask >> i & 1) == 0).ToList()
                    );
                    if (!Fits(a, onA, left) || !Fits(b, extra - onA, right))
                        continue;
                    var gap = Math.Abs(lead + left.Sum(l => l.Va) - right.Sum(l => l.Va));
                    if (least is null || gap < least)
                        least = gap;
                }
            }

            var split = TandemBalance.Split(loads, a, b, lead);
            (split is null).ShouldBe(least is null, $"case {n}");
            if (split is not { } found)
                continue;
            shared += extra > 0 ? 1 : 0;
            (found.ExtraA + found.ExtraB).ShouldBe(extra);
            Math.Abs(lead + loads.Select((l, i) => found.OnA[i] ? l.Va : -l.Va).Sum())
                .ShouldBeLessThanOrEqualTo(Math.Max(least!.Value, 1), $"case {n}");
        }

        shared.ShouldBeGreaterThan(40);
    }

    [Fact]
    public void Whole_spaces_come_first_and_no_more_is_shared_than_has_to_be()
    {
        var panel = new Panel
        {
            Id = "p",
            Spaces = 12,
            TandemSpaces = [.. Enumerable.Range(7, 6)],
        };
        List<BreakerNeed> Needs(int ones, int protective) =>
            [
                new(100, 2, 30, 5000),
                .. Enumerable.Range(1, ones).Select(i => new BreakerNeed(i, 1, 20, 300 + (i * 70), Protective: i <= protective)),
            ];
        SpacePlan.Fill(panel, [], Needs(10, 0), PanelOrder.ByNumber).ShouldAllBe(s => s.Half == TandemHalf.Whole);
        var placed = SpacePlan.Fill(panel, [], Needs(13, 4), PanelOrder.ByNumber);
        placed.Length.ShouldBe(14);
        placed.Count(s => s.Half != TandemHalf.Whole).ShouldBe(6);
        placed.Where(s => s.Half != TandemHalf.Whole).ShouldAllBe(s => panel.TakesTandem(s.Space) && s.Circuit > 4 && s.Circuit < 100);
        placed
            .Where(s => s.Half != TandemHalf.Whole)
            .GroupBy(s => s.Space)
            .ShouldAllBe(g => g.Count() == 2 && g.Select(s => s.Half).Distinct().Count() == 2);

        // Nineteen fit when all of them may be halves: one two-pole, four whole ones, six spaces shared. One more does not.
        SpacePlan.Fill(panel, [], Needs(16, 0), PanelOrder.ByNumber).Length.ShouldBe(17);
        SpacePlan.Fill(panel, [], Needs(17, 0), PanelOrder.ByNumber).Length.ShouldBe(17);
        SpacePlan.Fill(panel, [], Needs(16, 16), PanelOrder.ByNumber).Length.ShouldBe(11);
        SpacePlan.Fill(panel with { TandemSpaces = [] }, [], Needs(16, 0), PanelOrder.ByNumber).Length.ShouldBe(11);

        // A full panel gets one more: the planner's own makes room in its space, nobody leaves his.
        var full = SpacePlan.Fill(panel, [], Needs(10, 0), PanelOrder.ByNumber);
        var more = SpacePlan.Fill(panel, full, Needs(11, 0), PanelOrder.ByNumber);
        foreach (var was in full)
            more.Single(s => s.Circuit == was.Circuit).Space.ShouldBe(was.Space);
        var beside = more.Single(s => s.Circuit == 11);
        beside.Half.ShouldNotBe(TandemHalf.Whole);

        // A person's breaker keeps its whole space.
        var held = full.Select(s => s with { By = Origin.Person }).ToList();
        SpacePlan.Fill(panel, held, Needs(11, 0), PanelOrder.ByNumber).Length.ShouldBe(11);
    }

    [Fact]
    public void A_breaker_goes_into_half_a_space_by_hand_and_its_neighbour_makes_room()
    {
        var a = Analyzer.Analyze(Plainer);
        var (one, other) = (a.Circuits.Where(FitsHalf).ToList()[0], a.Circuits.Where(FitsHalf).ToList()[1]);
        var space = a.RowOf(other)!.Space;
        new MoveBreaker(one.Number, space, Half: TandemHalf.Lower).Apply(Plainer).Problem.ShouldContain($"Space {space} of");
        var job = new MoveBreaker(one.Number, space, Half: TandemHalf.Lower).Apply(Tandems(Plainer, space)).Job!;
        JobRules.Check(job).ShouldBeEmpty();
        var after = Analyzer.Analyze(job);
        (after.RowOf(after.CircuitByNumber(one.Number)!)!.Place, after.RowOf(after.CircuitByNumber(other.Number)!)!.Place).ShouldBe(
            ($"{space}B", $"{space}A")
        );
        after.Panels[0].SpacesUsed.ShouldBe(a.Panels[0].SpacesUsed - 1);
        after.Findings.ShouldNotContain(f => f.RuleId == "panel.tandem" || f.RuleId == "panel.spaces");
        after.Lines.Total.Value.ShouldBe(a.Lines.Total.Value, 0.01);

        // Out of it again into a whole space; the half beside it stays where it is.
        var free = a.Schedule.Last(r => r.Free).Space;
        var back = Analyzer.Analyze(new MoveBreaker(one.Number, free).Apply(job).Job!);
        back.RowOf(back.CircuitByNumber(one.Number)!)!.Place.ShouldBe($"{free}");
        back.Schedule.Count(r => r.Space == space).ShouldBe(2);

        // A two-pole breaker on a shared space sends both elsewhere.
        var two = after.Circuits.First(c => c.Poles == 2);
        var over = Analyzer.Analyze(
            new MoveBreaker(two.Number, space).Apply(job).Job is { } moved
                ? moved
                : new MoveBreaker(two.Number, space - 2).Apply(job).Job ?? job
        );
        over.Panels[0].Schedule.Where(r => r.Circuit is not null && !r.SecondPole).Select(r => r.Circuit!.Number).ShouldBeUnique();

        new MoveBreaker(two.Number, space, Half: TandemHalf.Upper).Apply(job).Problem.ShouldContain("needs a whole space");
    }

    [Fact]
    public void What_may_not_share_a_space_is_found_and_the_fix_takes_it_out()
    {
        var number = Plain(Analyzer.Analyze(Plainer));
        var space = Plainer.Decisions.Spaces.Single(s => s.Circuit == number).Space;
        Job Bent(Job job, int circuit, TandemHalf half) =>
            job with
            {
                Decisions = job.Decisions with
                {
                    Spaces = [.. job.Decisions.Spaces.Select(s => s.Circuit == circuit ? s with { Half = half, By = Origin.Person } : s)],
                },
            };
        var found = Analyzer.Analyze(Bent(Plainer, number, TandemHalf.Upper)).Findings.Single(f => f.RuleId == "panel.tandem");
        found.Sentence.ShouldContain($"half of space {space}, which does not take a tandem");
        found.Fix!.Edit.ShouldBeOfType<MoveBreaker>().Circuit.ShouldBe(number);
        Analyzer
            .Analyze(found.Fix.Edit.Apply(Bent(Plainer, number, TandemHalf.Upper)).Job!)
            .Findings.ShouldNotContain(f => f.RuleId == "panel.tandem");

        // With protection at the breaker.
        var a = Analyzer.Analyze(Job);
        var guarded = a.Circuits.First(c => c.Poles == 1 && c.Protection.Devices.Any(d => d.Box is null));
        var at = Job.Decisions.Spaces.Single(s => s.Circuit == guarded.Number).Space;
        Analyzer
            .Analyze(Bent(Tandems(Job, at), guarded.Number, TandemHalf.Upper))
            .Findings.Single(f => f.RuleId == "panel.tandem")
            .Sentence.ShouldContain("protection at its breaker");
    }

    [Fact]
    public void A_breaker_of_another_family_is_found_unless_the_panel_names_it()
    {
        var number = Plain(Analyzer.Analyze(Plainer));
        var named = new EditPanel("main", new() { BreakerFamily = "Family A" }).Apply(Plainer).Job!;
        var mixed = new SetBreakerFamily(number, " Family B ").Apply(named).Job!;
        var found = Analyzer.Analyze(mixed).Findings.Single(f => f.RuleId == "panel.mixed");
        found.Sentence.ShouldBe($"The breaker of circuit {number} is of Family B; the panel takes Family A.");
        Analyzer
            .Analyze(new EditPanel("main", new() { AlsoTakes = ["family b"] }).Apply(mixed).Job!)
            .Findings.ShouldNotContain(f => f.RuleId == "panel.mixed");
        Planner.PlanSpaces(mixed, afresh: true).Decisions.Spaces.Single(s => s.Circuit == number).Family.ShouldBe("Family B");
        Analyzer.Analyze(new SetBreakerFamily(number, "").Apply(mixed).Job!).Findings.ShouldNotContain(f => f.RuleId == "panel.mixed");
        new SetBreakerFamily(77, "x").Apply(named).Problem.ShouldContain("no space");
        new SetBreakerFamily(number, new string('x', 121)).Apply(named).Problem.ShouldContain("the most is 120");
        new EditPanel("main", new() { TandemSpaces = [99] }).Apply(named).Problem.ShouldContain("Spaces lie between");
    }

    [Theory]
    [InlineData("13-20, 24", "13-20, 24", 9)]
    [InlineData(" 5 6;7 ", "5-7", 3)]
    [InlineData("9,10", "9, 10", 2)]
    [InlineData("", "", 0)]
    public void Spaces_are_read_and_written(string typed, string written, int count)
    {
        SpaceList.TryRead(typed, out var spaces, out _).ShouldBeTrue();
        (SpaceList.Write(spaces), spaces.Length).ShouldBe((written, count));
    }

    [Theory]
    [InlineData("20-13")]
    [InlineData("0")]
    [InlineData("1-2-3")]
    [InlineData("five")]
    [InlineData("85")]
    [InlineData("1-999999999999")]
    public void What_is_not_a_space_gets_a_sentence(string typed)
    {
        SpaceList.TryRead(typed, out var spaces, out var problem).ShouldBeFalse();
        spaces.ShouldBeEmpty();
        problem.ShouldContain("such as 13-20");
    }

    [Fact]
    public void A_place_is_a_space_or_half_of_one()
    {
        SpacePlan.TryRead(" 13b ", out var half).ShouldBeTrue();
        half.ShouldBe((13, TandemHalf.Lower));
        SpacePlan.Write(13, TandemHalf.Upper).ShouldBe("13A");
        SpacePlan.TryRead("B", out _).ShouldBeFalse();
        SpacePlan.TryRead("", out _).ShouldBeFalse();
    }
}
