using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Tests;

/// <summary>Two circuits in the cable of one home run.</summary>
public class PairTests
{
    // A long house, the panel far from its bedrooms.
    private static readonly Job Long = Planner.PlanAll(
        Sample.Whole() with
        {
            Preferences = new()
            {
                ReceptaclesPer20 = 3,
                RoomsPerCircuit = 1,
                TwoCircuitSaving = Length.Feet(5),
            },
        }
    );

    private static readonly JobAnalysis A = Analyzer.Analyze(Long);

    [Fact]
    public void No_way_from_box_to_box_is_shorter_than_along_the_axes_of_the_frame()
    {
        // Pairs that begin too far apart are passed over by this measure.
        foreach (var (seed, a) in HouseSet.All.Take(60))
        {
            var runs = new Routing.CableRouter(a.House);
            var first = a.Circuits.Select(c => c.Run.First).OfType<string>().ToList();
            foreach (var (from, to) in first.SelectMany(f => first.Where(t => t != f).Select(t => (f, t))))
                runs.Between(from, to).ShouldBeGreaterThanOrEqualTo(runs.AtLeast(from, to), $"house {seed}: {from} to {to}");
        }
    }

    private static PairOffer Offer => HomeRunPairing.Offers(A, PairKind.TwoNeutrals)[0];

    private static Job Pair(PairKind kind) => new PairCircuits(Offer.First, Offer.Second, kind).Apply(Long).Job!;

    [Fact]
    public void An_offer_saves_what_it_says_and_is_a_note_with_its_fix()
    {
        var paired = Analyzer.Analyze(Pair(PairKind.TwoNeutrals));
        (A.Circuits.Sum(c => c.Run.Cut.InFeet) - paired.Circuits.Sum(c => c.Run.Cut.InFeet)).ShouldBeGreaterThanOrEqualTo(
            Offer.Saving.InFeet - 1
        );
        A.Findings.ShouldContain(f => f.RuleId == "circuit.pair" && f.Fix!.Edit is PairCircuits);
        paired.Findings.ShouldNotContain(f => f.RuleId == "circuit.pair" && f.Subjects.Contains(Subject.Parse($"circuit:{Offer.First}")));
    }

    [Theory]
    [InlineData(PairKind.SharedNeutral, "12-3")]
    [InlineData(PairKind.TwoNeutrals, "12-2-2")]
    public void The_cable_is_named_and_the_first_box_holds_both(PairKind kind, string cable)
    {
        var a = Analyzer.Analyze(Pair(kind));
        var (first, second) = (a.CircuitByNumber(Offer.First)!, a.CircuitByNumber(Offer.Second)!);
        $"{first.Cable}".ShouldBe(cable);
        second.Run.Segments[0].Via.ShouldBe(first.Run.First);
        second.Carried.ShouldBeTrue();
        a.Specs[first.Run.First!].Fill!.Inches3.ShouldBeGreaterThan(A.Specs[first.Run.First!].Fill!.Inches3);
    }

    [Fact]
    public void Two_neutrals_count_four_conductors()
    {
        var wire = Analyzer.Analyze(Pair(PairKind.TwoNeutrals)).CircuitByNumber(Offer.First)!.WireDerivation;
        wire.Steps.Single(s => s.What == "Ampacity after factors").Formula.ShouldBe("30 x 1 x 0.8");
    }

    [Fact]
    public void Breakers_of_a_shared_neutral_sit_one_under_the_other_on_opposite_legs()
    {
        var job = Pair(PairKind.SharedNeutral);
        var spaces = job.Decisions.Spaces.Where(s => s.Circuit == Offer.First || s.Circuit == Offer.Second).Select(s => s.Space).ToList();
        SpacePlan.CanTie(spaces[0], spaces[1]).ShouldBeTrue();
        CodeLibrary.Newest.Supply.LineOf(spaces[0]).ShouldNotBe(CodeLibrary.Newest.Supply.LineOf(spaces[1]));
        var moved = new MoveBreaker(Offer.First, 26).Apply(job).Job!;
        moved.Decisions.Spaces.Single(s => s.Circuit == Offer.First).Space.ShouldBe(26);
        moved.Decisions.Spaces.Single(s => s.Circuit == Offer.Second).Space.ShouldBe(28);
        var torn = job with
        {
            Decisions = job.Decisions with
            {
                Spaces = [.. job.Decisions.Spaces.Select(s => s.Circuit == Offer.Second ? s with { Space = 30, By = Origin.Person } : s)],
            },
        };
        Analyzer
            .Analyze(torn)
            .Findings.ShouldContain(f => f.RuleId == "circuit.sharedNeutral" && f.Sentence.Contains("not one under the other"));
    }

    [Fact]
    public void A_shared_neutral_with_a_one_pole_protective_breaker_is_a_must_finding() =>
        Analyzer
            .Analyze(Pair(PairKind.SharedNeutral))
            .Findings.ShouldContain(f =>
                f.RuleId == "circuit.sharedNeutral" && f.Severity == Severity.Must && f.Sentence.Contains("two-pole AFCI")
            );

    [Fact]
    public void A_cut_home_run_darkens_both()
    {
        var a = Analyzer.Analyze(Pair(PairKind.TwoNeutrals));
        var (first, second) = (a.CircuitByNumber(Offer.First)!, a.CircuitByNumber(Offer.Second)!);
        Outage.Of(a, $"cable:{first.Run.First}")!.Dead.ShouldBe(first.Boxes.Concat(second.Boxes).Select(b => b.Id), ignoreOrder: true);
    }

    [Fact]
    public void The_planner_pairs_when_the_job_wants_it_and_gives_up_when_it_does_not()
    {
        var wanted = Long with { Preferences = Long.Preferences with { TwoCircuitHomeRuns = TwoCircuitHomeRuns.TwoNeutrals } };
        var planned = Planner.PlanAll(wanted);
        planned.Decisions.Pairs.ShouldNotBeEmpty();
        planned.Decisions.Pairs.ShouldAllBe(p => p.By == Origin.Planner && p.Kind == PairKind.TwoNeutrals);
        Analyzer.Analyze(planned).Findings.Where(f => f.Severity == Severity.Must).Select(f => f.Sentence).ShouldBeEmpty();
        Planner.PlanAll(planned with { Preferences = Long.Preferences }).Decisions.Pairs.ShouldBeEmpty();
        Planner
            .PlanAll(wanted with { Preferences = wanted.Preferences with { TwoCircuitHomeRuns = TwoCircuitHomeRuns.SharedNeutral } })
            .Decisions.Pairs.ShouldAllBe(p => p.Kind == PairKind.SharedNeutral);
    }

    [Fact]
    public void What_cannot_share_is_refused_and_a_lost_circuit_takes_its_pair_along()
    {
        int Of(Func<CircuitAnalysis, bool> which) => A.Circuits.First(which).Number;
        var range = Of(c => c.Load.Volts == 240);
        new PairCircuits(Offer.First, range, PairKind.TwoNeutrals).Apply(Long).Problem.ShouldContain("240 V");
        new PairCircuits(Offer.First, Offer.First, PairKind.TwoNeutrals).Apply(Long).Problem.ShouldContain("another circuit");
        new PairCircuits(Offer.First, Of(c => c.Wire!.Size == WireSize.Parse("14")), PairKind.TwoNeutrals)
            .Apply(Long)
            .Problem.ShouldContain("one cable has one size");
        new PairCircuits(Offer.First, 999, PairKind.TwoNeutrals).Apply(Long).Problem.ShouldBe("There is no circuit 999.");
        var paired = Pair(PairKind.TwoNeutrals);
        new PairCircuits(
            Offer.First,
            Of(c => c.Number != Offer.First && c.Number != Offer.Second && c.Load.Volts == 120),
            PairKind.TwoNeutrals
        )
            .Apply(paired)
            .Problem.ShouldContain("already");
        new RemoveCircuit(Offer.First).Apply(paired).Job!.Decisions.Pairs.ShouldBeEmpty();
        new UnpairCircuits(Offer.Second).Apply(paired).Job!.Decisions.Pairs.ShouldBeEmpty();
        new UnpairCircuits(Offer.Second).Apply(Long).Problem.ShouldContain("for itself");
    }

    // A home run for two loads more wires into a hole; where that asks one of them for larger wire, they do not share.
    [Fact]
    public void Circuits_that_come_to_need_two_sizes_keep_their_cables()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(627)));
        a.Findings.Where(f => f.RuleId == "circuit.sharedNeutral").Select(f => f.Sentence).ShouldBeEmpty();
        foreach (var pair in a.Job.Decisions.Pairs)
            a.CircuitByNumber(pair.First)!.Wire!.Size.ShouldBe(a.CircuitByNumber(pair.Second)!.Wire!.Size);
    }
}
