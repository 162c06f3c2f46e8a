using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>The order in which a panel is made up, and how many terminals it takes.</summary>
public class MakeUpTests
{
    private static readonly Job One = Planner.PlanSpaces(
        CheckTests.PlannedWhole with
        {
            Panels = [CheckTests.PlannedWhole.Panels[0] with { Room = "laundry", Wall = 2, Along = Length.Feet(6) }],
        }
    );

    private static readonly JobAnalysis A = Analyzer.Analyze(One);

    private static readonly JobAnalysis Two = Analyzer.Analyze(
        Planner.PlanSpaces(new PutOnWall("sub-panel", "bedroom", 2, Length.Feet(9), default).Apply(One).Job!, afresh: true)
    );

    [Fact]
    public void Two_pole_breakers_come_first_and_each_kind_falls()
    {
        var m = MakeUp.Of(A, A.Panels[0]);
        m.Breakers.Select(b => b.Order).ShouldBe(Enumerable.Range(1, A.Circuits.Length));
        m.Breakers.Select(b => b.Row.Circuit!.Number).Order().ShouldBe(A.Circuits.Select(c => c.Number).Order());
        foreach (var (before, after) in m.Breakers.Zip(m.Breakers.Skip(1)))
            (before.Poles > after.Poles || (before.Poles == after.Poles && before.Amperes >= after.Amperes)).ShouldBeTrue(
                $"turn {after.Order}"
            );
    }

    [Fact]
    public void Every_cable_has_its_ground_and_every_neutral_its_terminal()
    {
        var m = MakeUp.Of(A, A.Panels[0]);
        m.GroundWires.ShouldBe(A.Circuits.Count(c => !c.Carried));
        m.Grounds.Select(g => MakeUp.Cmil(g.Size)).ShouldBe(m.Grounds.Select(g => MakeUp.Cmil(g.Size)).OrderDescending());

        // A one-pole circuit lands a neutral or a breaker's tail; of two poles what takes 120 V as well does, a fault breaker always.
        var neutral = A.Circuits.Count(c => c.Poles == 1 || c.Cable.Conductors == 3 || c.Protection.Devices.Any(d => d.Box is null));
        m.NeutralTerminals.ShouldBe(neutral);
        m.Breakers.Where(b => b.Remark).ShouldAllBe(b => b.Poles == 2 && b.Wire.EndsWith("-2"));
        m.Breakers.Where(b => b.NeutralOnBreaker).ShouldAllBe(b => b.Tail && b.Mark != "");
        m.Bonded.ShouldBeTrue();
    }

    [Fact]
    public void A_shared_neutral_takes_one_terminal_and_one_ground_two_neutrals_take_two()
    {
        foreach (var (kind, neutrals) in new[] { (PairKind.SharedNeutral, 1), (PairKind.TwoNeutrals, 2) })
        {
            var plain = One with { Preferences = One.Preferences with { ArcFault = ArcFaultPlace.FirstOutlet } };
            var open = Analyzer.Analyze(plain).Circuits.Where(c => c.Poles == 1 && c.Protection.BreakerMark == "").ToList();
            var pair = (from a in open from b in open where a.Number < b.Number select (a, b))
                .Select(x => new PairCircuits(x.a.Number, x.b.Number, kind).Apply(plain).Job)
                .First(j => j is not null)!;
            var (before, after) = (Analyzer.Analyze(plain), Analyzer.Analyze(pair));
            var (was, now) = (MakeUp.Of(before, before.Panels[0]), MakeUp.Of(after, after.Panels[0]));
            now.GroundWires.ShouldBe(was.GroundWires - 1);
            var (first, second) = (
                after.CircuitByNumber(pair.Decisions.Pairs[0].First)!,
                after.CircuitByNumber(pair.Decisions.Pairs[0].Second)!
            );
            now.Neutrals.SelectMany(n => n.From)
                .Count(f => f == $"{first.Number}" || f == $"{second.Number}")
                .ShouldBe(neutrals, kind.ToString());
        }
    }

    [Fact]
    public void A_sub_panel_lands_its_feeder_too_and_is_not_bonded()
    {
        var (main, sub) = (MakeUp.Of(Two, Two.Panels[0]), MakeUp.Of(Two, Two.Panels[1]));
        sub.Bonded.ShouldBeFalse();
        sub.Grounds.SelectMany(g => g.From).ShouldContain("its feeder");
        sub.Neutrals[0].ShouldBe(sub.Neutrals.Single(n => n.From.Contains("its feeder")));
        main.Breakers.ShouldContain(b => b.Name == "Feeder to bedroom panel" && b.Poles == 2);
        main.Grounds.SelectMany(g => g.From).ShouldContain("bedroom panel");
        main.GroundWires.ShouldBe(Two.Circuits.Count(c => c.Panel == "main" && !c.Carried) + 1);
    }
}
