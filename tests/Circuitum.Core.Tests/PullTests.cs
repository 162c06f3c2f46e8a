using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Home runs in pulling order, ticked off, and kept where they are.</summary>
public class PullTests
{
    private static readonly Job Planned = CheckTests.PlannedWhole;

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    [Fact]
    public void Every_home_run_is_on_the_list_once_the_longest_of_a_group_first()
    {
        var groups = PullList.Of(A);
        groups.SelectMany(g => g.Lines).Select(l => l.Circuit.Number).Order().ShouldBe(A.Circuits.Select(c => c.Number));
        foreach (var group in groups)
            group.Lines.Select(l => l.Cut).ShouldBe(group.Lines.Select(l => l.Cut).OrderDescending());
        var line = groups.SelectMany(g => g.Lines).First();
        line.Label.ShouldStartWith($"HR-{line.Circuit.Number:00} {line.Cable} ");
        line.Way.ShouldContain(" ft");
        PullList.Totals(groups).Sum(t => t.Planned.InFeet).ShouldBe(A.Circuits.Sum(c => c.Run.Segments[0].Cut.InFeet), 0.01);
    }

    [Fact]
    public void A_shared_home_run_is_pulled_once_with_both_labels()
    {
        var offer = HomeRunPairing.Offers(
            Analyzer.Analyze(Planned with { Preferences = new() { TwoCircuitSaving = Length.Zero } }),
            PairKind.TwoNeutrals
        )[0];
        var paired = Analyzer.Analyze(new PairCircuits(offer.First, offer.Second, PairKind.TwoNeutrals).Apply(Planned).Job!);
        var lines = PullList.Of(paired).SelectMany(g => g.Lines).ToList();
        lines.Count.ShouldBe(A.Circuits.Length - 1);
        lines.Single(l => l.Circuit.Number == offer.First).Label.ShouldContain($"HR-{offer.Second:00}");
        new MarkPulled(offer.Second, true, null).Apply(paired.Job).Problem.ShouldContain($"in the cable of circuit {offer.First}");
    }

    [Fact]
    public void A_measure_far_from_the_plan_is_asked_about()
    {
        var circuit = A.Circuits.First(c => c.Run.Segments[0].Cut > Length.Feet(30));
        var planned = circuit.Run.Segments[0].Cut;
        IEnumerable<string> Asked(Length took) =>
            Analyzer
                .Analyze(new MarkPulled(circuit.Number, true, took).Apply(Planned).Job!)
                .Findings.Where(f => f.RuleId == "circuit.measured")
                .Select(f => f.Sentence);
        Asked(planned - Length.Feet(20))
            .Single()
            .ShouldContain($"took {(planned - Length.Feet(20)).InFeet:0} ft off the reel where the plan has {planned.InFeet:0}");
        Asked(planned + Length.Feet(40)).Count().ShouldBe(1);
        Asked(planned + Length.Feet(3)).ShouldBeEmpty();
    }

    [Fact]
    public void A_ticked_run_keeps_its_first_box_and_counts_what_it_took()
    {
        var circuit = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 2);
        var pulled = new MarkPulled(circuit.Number, true, Length.Feet(41)).Apply(Planned).Job!;
        var a = Analyzer.Analyze(pulled);
        a.CircuitByNumber(circuit.Number)!.Pulled!.Measured.ShouldBe(Length.Feet(41));
        PullList.Totals(PullList.Of(a)).Single(t => t.Cable == $"{circuit.Cable}").Measured.ShouldBe(Length.Feet(41));

        // A box nearer the panel joins: the run that is in the frame still ends where it ends.
        var nearer = pulled with
        {
            Decisions = pulled.Decisions with
            {
                Boxes = pulled.Decisions.Boxes.Add(
                    new Box
                    {
                        Id = "near",
                        Kind = BoxKind.Receptacle,
                        Room = "garage",
                        Wall = 3,
                        Along = Length.Feet(9),
                        Height = Length.Inches(48),
                    }
                ),
                Circuits =
                [
                    .. pulled.Decisions.Circuits.Select(c =>
                        c.Number == circuit.Number ? c with { Boxes = c.Boxes.Add(new CircuitBox { Box = "near" }) } : c
                    ),
                ],
            },
        };
        Analyzer.Analyze(nearer).CircuitByNumber(circuit.Number)!.Run.First.ShouldBe(circuit.Run.First);
        Analyzer
            .Analyze(nearer with { Decisions = nearer.Decisions with { Pulled = [] } })
            .CircuitByNumber(circuit.Number)!
            .Run.First.ShouldBe("near");
    }

    [Fact]
    public void A_box_that_a_person_makes_first_is_first_and_the_cable_tells_what_it_costs()
    {
        var circuit = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 3);
        var last = circuit.Run.Segments[^1].To;
        var forced = new ForceFirst(circuit.Number, last).Apply(Planned).Job!;
        var a = Analyzer.Analyze(forced).CircuitByNumber(circuit.Number)!;
        a.Run.First.ShouldBe(last);
        Consequences.Of(A, Analyzer.Analyze(forced)).ShouldContain(c => c.What.StartsWith("Cable to buy", StringComparison.Ordinal));
        Analyzer
            .Analyze(new ForceFirst(circuit.Number, null).Apply(forced).Job!)
            .CircuitByNumber(circuit.Number)!
            .Run.First.ShouldBe(circuit.Run.First);
        new ForceFirst(circuit.Number, "ghost").Apply(Planned).Problem.ShouldContain("is not on circuit");
        new ForceFirst(circuit.Number, last)
            .Apply(new MarkPulled(circuit.Number, true, null).Apply(Planned).Job!)
            .Problem.ShouldContain("is pulled to");
    }

    [Fact]
    public void The_drop_grows_along_the_chain_and_is_worst_where_the_circuit_says()
    {
        foreach (var c in A.Circuits.Where(c => c.Run.Segments.Length > 1))
        {
            foreach (var segment in c.Run.Segments.Where(h => h.From is not null))
                c.DropAt[segment.To].ShouldBeGreaterThanOrEqualTo(c.DropAt[segment.From!]);
            c.DropAt.Values.Max().ShouldBe(c.DropPercent, 0.0001);
        }
    }

    [Fact]
    public void What_is_pulled_and_no_longer_fits_is_found()
    {
        var circuit = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 2);
        var pulled = new MarkPulled(circuit.Number, true, null).Apply(Planned).Job!;
        Analyzer.Analyze(pulled).Findings.ShouldNotContain(f => f.RuleId == "circuit.pulled");
        Analyzer
            .Analyze(new EditCircuit(circuit.Number, null, 30, null).Apply(pulled).Job!)
            .Findings.ShouldContain(f => f.RuleId == "circuit.pulled" && f.Sentence.Contains("it needs 10-2 now"));
        Consequences
            .Of(Analyzer.Analyze(pulled), Analyzer.Analyze(new EditCircuit(circuit.Number, null, 30, null).Apply(pulled).Job!))
            .ShouldContain(c => c.Again && c.What.Contains($"ft of {circuit.Cable} are in the frame already"));
        Consequences
            .Of(A, Analyzer.Analyze(new EditCircuit(circuit.Number, null, 30, null).Apply(Planned).Job!))
            .ShouldContain(c => c.Again && c.What.Contains("not ticked off as pulled"));
        var other = A.Circuits.First(c => c.Number != circuit.Number).Number;
        Analyzer
            .Analyze(new AssignBox(circuit.Run.First!, other).Apply(pulled).Job!)
            .Findings.ShouldContain(f => f.RuleId == "circuit.pulled" && f.Sentence.Contains("not on it any more"));
    }

    // By spaces they are numbered from the start; counted up they get other numbers.
    private static Job Counted(Job job) => job with { Preferences = job.Preferences with { CircuitNumbers = NumberBy.Order } };

    [Fact]
    public void A_record_follows_the_home_run_through_renumbering_splitting_and_merging()
    {
        var circuit = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 2);
        var first = circuit.Run.First!;
        var pulled = new MarkPulled(circuit.Number, true, null).Apply(Planned).Job!;
        int On(Job job) => job.Decisions.Circuits.Single(c => c.Holds(first)).Number;
        var renumbered = new RenumberCircuits().Apply(Counted(pulled)).Job!;
        On(renumbered).ShouldNotBe(circuit.Number);
        renumbered.Decisions.Pulled.ShouldHaveSingleItem().Circuit.ShouldBe(On(renumbered));

        // The first box goes to a circuit of its own, and its home run with it.
        var split = new AssignBox(first, null).Apply(pulled).Job!;
        split.Decisions.Pulled.ShouldHaveSingleItem().Circuit.ShouldBe(On(split));
        var second = circuit.Run.Segments[1].To;
        var apart = new AssignBox(second, null).Apply(pulled).Job!;
        var merged = new MergeCircuits(circuit.Number, apart.Decisions.Circuits.Single(c => c.Holds(second)).Number).Apply(apart).Job!;
        merged.Decisions.Pulled.ShouldHaveSingleItem().Circuit.ShouldBe(On(merged));
    }

    [Fact]
    public void Circuits_are_numbered_by_the_panel_with_a_feeder_in_it()
    {
        var job = Planner.PlanAll(Sample.WithWorkshop());
        job.Decisions.Spaces.ShouldContain(s => s.Feeds == "shop");
        var renumbered = new RenumberCircuits().Apply(Counted(job)).Job!;
        renumbered.Decisions.Spaces.ShouldContain(s => s.Feeds == "shop" && s.Circuit == 0);
        Analyzer.Analyze(renumbered).Findings.ShouldNotContain(f => f.RuleId == "panel.spaces");
    }

    [Fact]
    public void Ticks_are_checked_taken_back_and_go_with_their_circuit()
    {
        var number = A.Circuits[0].Number;
        var pulled = new MarkPulled(number, true, null).Apply(Planned).Job!;
        new MarkPulled(number, false, null).Apply(pulled).Job!.Decisions.Pulled.ShouldBeEmpty();
        new MarkPulled(number, false, null).Apply(Planned).Problem.ShouldContain("not ticked off");
        new MarkPulled(99, true, null).Apply(Planned).Problem.ShouldContain("no home run of circuit 99");
        new MarkPulled(number, true, Length.Feet(9000)).Apply(Planned).Problem.ShouldContain("outside");
        new RemoveCircuit(number).Apply(pulled).Job!.Decisions.Pulled.ShouldBeEmpty();
        JobRules
            .Check(pulled with { Decisions = pulled.Decisions with { Pulled = [new PulledRun { Circuit = 77, To = "ghost" }] } })
            .Select(p => p.Field)
            .ShouldBe(["decisions.pulled[0].circuit", "decisions.pulled[0].to"]);
    }
}
