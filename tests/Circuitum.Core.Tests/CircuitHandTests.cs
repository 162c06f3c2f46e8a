using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>Circuits by hand: moving boxes and rooms, splitting, renumbering, parts of a plan, and what a move would do.</summary>
public class CircuitHandTests
{
    private static readonly Job Planned = CheckTests.PlannedWhole;

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    private static CircuitAnalysis Of(CircuitPurpose purpose) =>
        A.Circuits.Where(c => c.Circuit.Purpose == purpose).MaxBy(c => c.Boxes.Length)!;

    [Fact]
    public void A_lot_of_boxes_moves_together_and_stays_where_a_person_put_it()
    {
        var from = Of(CircuitPurpose.Receptacles);
        var lot = from.Boxes.Take(2).Select(b => b.Id).ToList();
        var moved = new AssignBoxes([.. lot], null).Apply(Planned).Job!;
        var made = moved.Decisions.Circuits.Single(c => c.Holds(lot[0]));
        made.Boxes.Select(b => b.Box).ShouldBe(lot, ignoreOrder: true);
        made.By.ShouldBe(Origin.Person);
        Planner.PlanAfresh(moved).Decisions.Circuits.Single(c => c.Holds(lot[0])).Boxes.Select(b => b.Box).ShouldContain(lot[1]);
        moved.Decisions.Spaces.ShouldContain(s => s.Circuit == made.Number);
    }

    [Fact]
    public void A_room_gives_a_circuit_what_suits_it()
    {
        var lights = Of(CircuitPurpose.Lighting).Number;
        var kinds = Planned.Decisions.Boxes.ToDictionary(b => b.Id, b => b.Kind);
        AssignRoom
            .Boxes(Planned, "bedroom", lights)
            .ShouldAllBe(b => kinds[b] == BoxKind.Light || kinds[b] == BoxKind.Switch || kinds[b] == BoxKind.Appliance);
        AssignRoom.Boxes(Planned, "bedroom", null).ShouldAllBe(b => kinds[b] == BoxKind.Receptacle);
        var alone = new AssignRoom("bedroom", null).Apply(Planned).Job!;
        alone
            .Decisions.Circuits.Single(c => c.Holds("bedroom.r1"))
            .Boxes.Length.ShouldBe(AssignRoom.Boxes(Planned, "bedroom", null).Length);
        new AssignRoom("bedroom", Of(CircuitPurpose.Bathroom).Number)
            .Apply(Planned)
            .Problem.ShouldContain("Nothing in bedroom belongs on circuit");
        new AssignRoom("cellar", null).Apply(Planned).Problem.ShouldContain("not there any more");
    }

    [Fact]
    public void A_lock_holds_against_a_hand_too()
    {
        var from = Of(CircuitPurpose.Receptacles);
        var locked = new LockCircuit(from.Number, true).Apply(Planned).Job!;
        new AssignBoxes([from.Boxes[0].Id], null).Apply(locked).Problem.ShouldBe($"Circuit {from.Number} is locked. Unlock it first.");
        new AssignBoxes([Of(CircuitPurpose.Bathroom).Boxes[0].Id], from.Number).Apply(locked).Problem.ShouldContain("is locked");
        new SplitCircuit(from.Number, null).Apply(locked).Problem.ShouldContain("is locked");
        new AssignBoxes([], null).Apply(Planned).Problem.ShouldContain("Choose the boxes");
        new AssignBoxes(["ghost"], null).Apply(Planned).Problem.ShouldContain("not there any more");
    }

    [Fact]
    public void A_split_cuts_one_piece_of_cable_and_the_parts_are_alike()
    {
        var whole = A.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Lighting).MaxBy(c => c.Boxes.Length)!;
        var split = Analyzer.Analyze(new SplitCircuit(whole.Number, null).Apply(Planned).Job!);
        var made = split.Circuits.Single(c => A.CircuitByNumber(c.Number) is null);
        (made.Boxes.Length + split.CircuitByNumber(whole.Number)!.Boxes.Length).ShouldBe(whole.Boxes.Length);
        made.Circuit.Purpose.ShouldBe(whole.Circuit.Purpose);
        made.Boxes.Length.ShouldBeInRange(1, whole.Boxes.Length - 1);
        var at = whole.Run.Segments.Last().To;
        Analyzer
            .Analyze(new SplitCircuit(whole.Number, at).Apply(Planned).Job!)
            .CircuitOf(at)!
            .Boxes.Length.ShouldBe(whole.Run.Through(at).Count);
        new SplitCircuit(whole.Number, whole.Run.First).Apply(Planned).Problem.ShouldContain("is the first box");
        new SplitCircuit(whole.Number, "ghost").Apply(Planned).Problem.ShouldContain("is not on circuit");
        new SplitCircuit(A.Circuits.First(c => c.Boxes.Length == 1).Number, null).Apply(Planned).Problem.ShouldContain("nothing to split");
    }

    [Fact]
    public void Renumbering_follows_the_panel_and_changes_nothing_else()
    {
        new RenumberCircuits().Apply(Planned).Problem.ShouldContain("numbers of their spaces already");

        // Two breakers change places; the numbers are on tags and stay until somebody asks.
        var ones = A.Circuits.Where(c => c.Poles == 1).Select(c => c.Number).ToList();
        SpaceDecision Swapped(SpaceDecision s) =>
            s.Circuit == ones[0] ? s with { Circuit = ones[^1] }
            : s.Circuit == ones[^1] ? s with { Circuit = ones[0] }
            : s;
        var swapped = Planned with { Decisions = Planned.Decisions with { Spaces = [.. Planned.Decisions.Spaces.Select(Swapped)] } };
        foreach (var by in new[] { NumberBy.Space, NumberBy.Order })
        {
            var job = new RenumberCircuits().Apply(swapped with { Preferences = swapped.Preferences with { CircuitNumbers = by } }).Job!;
            var spaces = job.Decisions.Spaces.OrderBy(s => s.Space).ToList();
            if (by == NumberBy.Space)
                spaces.ShouldAllBe(s => s.Circuit == s.Space);
            else
                spaces.Select(s => s.Circuit).ShouldBe(Enumerable.Range(1, spaces.Count));
            foreach (var box in Planned.Decisions.Boxes)
            {
                var (old, now) = (
                    swapped.Decisions.Circuits.Single(c => c.Holds(box.Id)),
                    job.Decisions.Circuits.Single(c => c.Holds(box.Id))
                );
                now.Boxes.Select(b => b.Box).ShouldBe(old.Boxes.Select(b => b.Box));
                job.Decisions.Spaces.Single(s => s.Circuit == now.Number)
                    .Space.ShouldBe(swapped.Decisions.Spaces.Single(s => s.Circuit == old.Number).Space);
            }
        }
    }

    [Fact]
    public void Before_the_hand_lets_go_each_circuit_is_shown_as_it_then_is()
    {
        var box = Of(CircuitPurpose.Receptacles).Boxes[0].Id;
        var shown = CircuitPreview.Everywhere(A, new HashSet<string> { box });
        shown.Select(s => s.Number).ShouldBe(A.Circuits.Select(c => c.Number));
        foreach (var state in shown.Where(s => s.Number != A.CircuitOf(box)!.Number))
        {
            var then = Analyzer.Analyze(new AssignBoxes([box], state.Number).Apply(Planned).Job!);
            var real = then.CircuitByNumber(state.Number)!;
            (state.Boxes, state.Load, state.Breaker, state.Cable).ShouldBe(
                (real.Boxes.Length, real.Load.Connected.Value, real.Breaker, $"{real.Cable}")
            );
            state.Feet.ShouldBe(real.Run.Cut.InFeet, 0.01);
            state
                .Findings.Select(NoLabel)
                .ShouldBe(
                    then.Findings.Where(f =>
                            f.Severity != Severity.Note
                            && f.Subjects.Contains(Subject.Parse($"circuit:{state.Number}"))
                            && !f.RuleId.StartsWith("panel.", StringComparison.Ordinal)
                        )
                        .Select(f => NoLabel(f.Sentence)),
                    ignoreOrder: true
                );
        }
    }

    // The label is written anew when the move is made; while the hand hovers it is the old one.
    private static string NoLabel(string sentence) =>
        sentence.IndexOf(" (", StringComparison.Ordinal) is var at and > 0 ? sentence[..at] : sentence;

    [Fact]
    public void The_preview_of_one_move_names_both_circuits()
    {
        var box = Of(CircuitPurpose.Receptacles).Boxes[0].Id;
        var to = Of(CircuitPurpose.Bathroom).Number;
        var preview = CircuitPreview.Of(A, new AssignBoxes([box], to).Apply(Planned).Job!);
        preview.Now.Select(s => s.Number).ShouldBe(new[] { A.CircuitOf(box)!.Number, to }.Order());
        preview.Then.Single(s => s.Number == to).Findings.ShouldContain(f => f.Contains(box) && f.Contains("may not be on circuit"));
    }

    [Fact]
    public void A_receptacle_on_a_circuit_for_240_V_is_a_must_finding()
    {
        var range = A.Circuits.First(c => c.Load.Volts == 240).Number;
        Analyzer
            .Analyze(new AssignBoxes(["bedroom.r1"], range).Apply(Planned).Job!)
            .Findings.ShouldContain(f =>
                f.RuleId == "circuit.volts" && f.Severity == Severity.Must && f.Subjects.Contains(Subject.Parse("box:bedroom.r1"))
            );
    }

    [Fact]
    public void A_circuit_of_another_plan_is_taken_alone()
    {
        const string Aim = "fewest breakers";

        // Every receptacle on a circuit of its own: any plan differs from that.
        var small = A
            .Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .SelectMany(c => c.Boxes.Skip(1))
            .Aggregate(Planned, (j, b) => new AssignBoxes([b.Id], null).Apply(j).Job!);
        small = small with
        {
            Decisions = small.Decisions with
            {
                Circuits =
                [
                    .. small.Decisions.Circuits.Select(c =>
                        c with
                        {
                            By = Origin.Planner,
                            Boxes = [.. c.Boxes.Select(b => b with { By = Origin.Planner })],
                        }
                    ),
                ],
            },
        };
        var plan = PlanAims.Plan(small, PlanWeights.FewestBreakers);
        var part = plan.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 1);
        var taken = new TakePart(Aim, part.Number).Apply(small).Job!;
        taken.Decisions.Circuits.ShouldContain(c => c.Boxes.Select(b => b.Box).ToHashSet().IsSupersetOf(part.Boxes.Select(b => b.Box)));
        taken.Decisions.Boxes.ShouldAllBe(b => taken.Decisions.Circuits.Any(c => c.Holds(b.Id)));
        new TakePart("most magic", 1).Apply(Planned).Problem.ShouldBe("There is no such plan.");
        new TakePart(Aim, 999).Apply(Planned).Problem.ShouldBe("That plan has no circuit 999.");
    }

    [Fact]
    public void Planning_afresh_says_what_it_would_save()
    {
        // A circuit each: far too many, so afresh saves.
        var wasteful = A
            .Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .SelectMany(c => c.Boxes.Skip(1))
            .Aggregate(Planned, (j, b) => new AssignBoxes([b.Id], null).Apply(j).Job!);
        wasteful = wasteful with
        {
            Decisions = wasteful.Decisions with
            {
                Circuits =
                [
                    .. wasteful.Decisions.Circuits.Select(c =>
                        c with
                        {
                            By = Origin.Planner,
                            Boxes = [.. c.Boxes.Select(b => b with { By = Origin.Planner })],
                        }
                    ),
                ],
            },
        };
        var saving = PlanChoices.Saving(Analyzer.Analyze(wasteful));
        saving.Result.ShouldEndWith(" less");

        // Each box that moves is named once, with the circuit that it leaves and the one where it comes to.
        var moved = PlanChoices.Of(wasteful)[1].Moved;
        var told = saving.Steps.Where(s => s.What.StartsWith("From ", StringComparison.Ordinal)).ToList();
        told.ShouldAllBe(s => s.Result.StartsWith("to ", StringComparison.Ordinal));
        told.SelectMany(s => s.Because.TrimEnd('.').Split(", ")).Order().ShouldBe(moved.Order());
        PlanChoices.Saving(Analyzer.Analyze(Planner.PlanAfresh(Planned))).Result.ShouldBe("saves nothing");
    }

    [Fact]
    public void What_is_fed_from_the_line_side_loses_its_protection_and_is_found()
    {
        var bath = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Garage && c.Boxes.Length > 1);
        var beyond = bath.Run.Segments.First(h => h.From == bath.Protection.Devices.Single().Box).To;
        var a = Analyzer.Analyze(new FeedFromLine(beyond, true).Apply(Planned).Job!);
        a.CircuitOf(beyond)!
            .Protection.Devices.ShouldNotContain(d => d.Box == bath.Protection.Devices.Single().Box && d.Covers.Contains(beyond));
        Analyzer
            .Analyze(new FeedFromLine(beyond, false).Apply(a.Job).Job!)
            .CircuitOf(beyond)!
            .Protection.ShouldBeEquivalentTo(bath.Protection);
    }
}
