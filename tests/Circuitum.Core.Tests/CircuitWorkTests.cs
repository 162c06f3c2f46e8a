using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>What goes dark, why a box is where it is, plans with other aims, and circuits by hand.</summary>
public class CircuitWorkTests
{
    private static readonly Job Planned = Planner.PlanAll(Sample.Whole(), PlanEffort.Full);

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    [Fact]
    public void Without_a_breaker_all_its_boxes_are_dead_and_rooms_without_light_are_named()
    {
        foreach (var circuit in A.Circuits)
        {
            var outage = Outage.Of(A, $"circuit:{circuit.Number}").ShouldNotBeNull();
            outage.Dead.Order().ShouldBe(circuit.Boxes.Select(b => b.Id).Order());
            foreach (var room in Planned.Rooms)
            {
                var lights = Planned.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == room.Id && !b.Outside).ToList();
                outage.NoLight.Contains(room).ShouldBe(lights.Count > 0 && lights.All(l => circuit.Circuit.Holds(l.Id)), room.Id);
            }
        }

        Outage.Of(A, "circuit:99").ShouldBeNull();
        Outage.Of(A, "room:hall").ShouldBeNull();
    }

    [Fact]
    public void Without_a_cable_only_what_is_fed_by_it_is_dead()
    {
        var circuit = A.Circuits.First(c => c.Run.Segments.Length > 3);
        foreach (var segment in circuit.Run.Segments)
        {
            var dead = Outage.Of(A, $"cable:{segment.To}")!.Dead;
            dead.ShouldBe(circuit.Run.Through(segment.To));
            dead.ShouldContain(segment.To);
            if (segment.From is { } from)
                dead.ShouldNotContain(from);
        }
    }

    [Fact]
    public void A_failing_receptacle_takes_others_along_only_when_it_is_fed_through_or_protects_them()
    {
        var circuit = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Run.Segments.Length > 3);
        var middle = circuit.Run.Segments.First(h => circuit.Run.Segments.Any(n => n.From == h.To)).To;
        Outage.Of(A, $"box:{middle}")!.Dead.ShouldBe([middle]);
        var through = Analyzer.Analyze(Planned with { Preferences = Planned.Preferences with { Connections = Connections.FeedThrough } });
        Outage.Of(through, $"box:{middle}")!.Dead.ShouldBe(through.CircuitOf(middle)!.Run.Through(middle));
        var bath = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Bathroom);
        var device = bath.Protection.Devices.Single();
        Outage.Of(A, $"box:{device.Box}")!.Dead.ShouldBe(device.Covers, ignoreOrder: true);
    }

    [Fact]
    public void A_room_with_everything_on_one_breaker_loses_all_power()
    {
        var gathered = Planned.Gather("bedroom");
        var a = Analyzer.Analyze(gathered);
        var number = a.CircuitOf(gathered.Decisions.Boxes.First(b => b.Room == "bedroom").Id)!.Number;
        Outage.Of(a, $"circuit:{number}")!.NoPower.Select(r => r.Id).ShouldContain("bedroom");
    }

    [Fact]
    public void A_box_stands_where_nothing_else_is_cheaper_and_says_what_else_would_cost()
    {
        foreach (
            var box in Planned.Decisions.Boxes.Where(b =>
                b.Kind == BoxKind.Receptacle && A.CircuitOf(b.Id)!.Circuit.Purpose == CircuitPurpose.Receptacles
            )
        )
        {
            var why = A.Why($"box.{box.Id}.circuit").ShouldNotBeNull(box.Id);
            why.What.ShouldBe($"Why circuit {A.CircuitOf(box.Id)!.Number}");
            why.Steps.ShouldContain(s => s.What == "On a circuit of its own");
            foreach (var step in why.Steps)
                (step.Result.StartsWith('+') || step.Result == "no").ShouldBeTrue($"{box.Id}: {step.What} {step.Result}");
        }

        A.Why($"box.{Planned.Decisions.Boxes.Single(b => b.Appliance == "range").Id}.circuit")
            .ShouldBeNull("an appliance of its own is not divided by cost");
        var plan = A.Why("plan").ShouldNotBeNull();
        plan.Steps.Length.ShouldBe(2);
        plan.Steps.ShouldAllBe(s => s.Because == "No division that keeps rooms whole and zones together is cheaper.");
    }

    [Fact]
    public void Plans_with_other_aims_do_what_they_say_and_break_no_rule()
    {
        var choices = PlanChoices.Of(Planned).ToDictionary(c => c.Name);
        choices.Keys.ShouldBe(["as it stands", "own weights", "fewest breakers", "least wire", "least darkness"]);
        choices["fewest breakers"].Breakers.ShouldBeLessThanOrEqualTo(choices.Values.Min(c => c.Breakers));
        choices["least darkness"].RoomsMixed.ShouldBeLessThanOrEqualTo(choices["fewest breakers"].RoomsMixed);
        choices["as it stands"].Moved.ShouldBeEmpty();
        foreach (var choice in choices.Values)
            choice.Analysis.Findings.ShouldNotContain(f => f.Severity == Severity.Must, choice.Name);
        var taken = new TakePlan("fewest breakers").Apply(Planned).Job.ShouldNotBeNull();
        taken.Decisions.Circuits.Length.ShouldBe(choices["fewest breakers"].Breakers);
        taken.Preferences.ShouldBe(Planned.Preferences);
        new TakePlan("cheapest").Apply(Planned).Problem.ShouldNotBeEmpty();
    }

    [Fact]
    public void Circuits_are_merged_locked_and_unlocked_by_hand()
    {
        var general = Planned.Decisions.Circuits.Where(c => c.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.Lighting).ToList();
        var (into, from) = (general[0], general[1]);
        var merged = new MergeCircuits(from.Number, into.Number).Apply(Planned).Job.ShouldNotBeNull();
        merged.Decisions.Circuits.ShouldNotContain(c => c.Number == from.Number);
        merged.Decisions.Spaces.ShouldNotContain(s => s.Circuit == from.Number);
        merged.Decisions.Circuits.Single(c => c.Number == into.Number).Boxes.Length.ShouldBe(into.Boxes.Length + from.Boxes.Length);
        merged.Decisions.Boxes.Length.ShouldBe(Planned.Decisions.Boxes.Length);
        var locked = new LockCircuit(into.Number, true).Apply(Planned).Job.ShouldNotBeNull();
        new MergeCircuits(from.Number, into.Number).Apply(locked).Problem.ShouldContain("locked");
        new MergeCircuits(into.Number, into.Number).Apply(Planned).Problem.ShouldNotBeEmpty();
        new LockCircuit(99, true).Apply(Planned).Problem.ShouldContain("99");
        var again = new PlanCircuits(true).Apply(locked).Job.ShouldNotBeNull();
        again
            .Decisions.Circuits.Single(c => c.Number == into.Number)
            .Boxes.Select(b => b.Box)
            .Order()
            .ShouldBe(into.Boxes.Select(b => b.Box).Order());
        new LockCircuit(into.Number, false).Apply(locked).Job!.Decisions.Circuits.ShouldAllBe(c => !c.Locked);
    }

    // A cooking top taken at 7.2 kW (30 A) turns out to be 9.8 kW: 40.8 A, 8 AWG sheathed carries 40 A, so 6 AWG on 45 A.
    [Fact]
    public void A_larger_cooking_top_tells_what_it_brings()
    {
        Job With(double va) =>
            Planner.PlanAll(
                Sample.Whole() with
                {
                    Appliances = Sample
                        .Whole()
                        .Appliances.Add(
                            new Appliance
                            {
                                Id = "top",
                                Type = "cooktop",
                                Room = "kitchen",
                                Spot = new Spot
                                {
                                    Wall = 2,
                                    From = Sample.L("6'"),
                                    Width = Sample.L("30 in"),
                                    Depth = Sample.L("22 in"),
                                },
                                Nameplate = new Nameplate { VoltAmperes = va, Confirmed = true },
                            }
                        ),
                }
            );
        var before = Analyzer.Analyze(With(7200));
        var after = Analyzer.Analyze(
            new SetNameplate("top", new Nameplate { VoltAmperes = 9800, Confirmed = true }, "").Apply(With(7200)).Job.ShouldNotBeNull()
        );
        var list = Consequences.Of(before, after);
        var circuit = after.CircuitOf(after.Job.Decisions.Boxes.Single(b => b.Appliance == "top").Id)!;
        var own = list.Where(c => c.Subject == Subject.Circuit(circuit.Number)).ToList();
        own.ShouldContain(c => c.What.Contains("home run 10-2 to 6-2", StringComparison.Ordinal) && c.Again);
        own.ShouldContain(c => c.What.Contains("breaker 30 A two-pole to 45 A two-pole", StringComparison.Ordinal) && c.Again);
        own.ShouldContain(c => c.What.Contains("load", StringComparison.Ordinal) && !c.Again);
        list.ShouldContain(c => c.What.StartsWith("Service load", StringComparison.Ordinal));
        list.Where(c => c.Subject is not null).ShouldAllBe(c => c.Subject == Subject.Circuit(circuit.Number));
        Consequences.Of(after, after).ShouldBeEmpty();
    }
}
