using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

public class PlannerTests
{
    private static readonly Job Planned = Planner.PlanAll(Sample.Flat());

    [Fact]
    public void The_same_job_gives_the_same_plan()
    {
        var again = Planner.PlanAll(Sample.Flat());
        again
            .Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (c.Number, b.Box)))
            .ShouldBe(Planned.Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (c.Number, b.Box))));
        again.Decisions.Spaces.Select(s => (s.Circuit, s.Space)).ShouldBe(Planned.Decisions.Spaces.Select(s => (s.Circuit, s.Space)));
    }

    [Fact]
    public void Required_circuits_are_there_and_serve_nothing_else()
    {
        var a = Analyzer.Analyze(Planned);
        a.Circuits.Count(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance).ShouldBeGreaterThanOrEqualTo(2);
        foreach (var purpose in new[] { CircuitPurpose.Laundry, CircuitPurpose.Bathroom, CircuitPurpose.Garage })
            a.Circuits.Single(c => c.Circuit.Purpose == purpose).Breaker.ShouldBe(20);
        foreach (var c in a.Circuits)
            c.Boxes.ShouldAllBe(b => BoxPurpose.WhyNot(a.Job, a.Edition, b, c.Circuit.Purpose, c.Boxes) == null);
    }

    [Fact]
    public void A_moved_box_stays_where_the_person_put_it()
    {
        var box = Planned.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Receptacles).Boxes[0].Box;
        var moved = new AssignBox(box, null).Apply(Planned).Job.ShouldNotBeNull();
        var number = moved.Decisions.Circuits.Single(c => c.Holds(box)).Number;
        CircuitPlanning.Afresh(moved).Decisions.Circuits.Single(c => c.Holds(box)).Number.ShouldBe(number);
    }

    [Fact]
    public void Adding_a_receptacle_moves_no_other_box()
    {
        var before = Planned
            .Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, c.Number)))
            .ToDictionary(x => x.Box, x => x.Number);
        var more = new AddBox(BoxKind.Receptacle, "bedroom", 0, Sample.L("1'0"), null).Apply(Planned).Job.ShouldNotBeNull();
        var after = Planner
            .PlanCircuits(more)
            .Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, c.Number)))
            .ToDictionary(x => x.Box, x => x.Number);
        after.Count.ShouldBe(before.Count + 1);
        foreach (var (box, number) in before)
            after[box].ShouldBe(number);
    }

    [Fact]
    public void A_foreign_box_on_a_bathroom_circuit_is_a_must_finding()
    {
        var bath = Planned.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Bathroom).Number;
        var box = Planned.Decisions.Boxes.First(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle).Id;
        var moved = new AssignBox(box, bath).Apply(Planned).Job.ShouldNotBeNull();
        Analyzer
            .Analyze(moved)
            .Findings.ShouldContain(f =>
                f.RuleId == "circuit.bathroom" && f.Severity == Severity.Must && f.Subjects.Contains(Subject.Parse($"box:{box}"))
            );
    }

    [Fact]
    public void Legs_differ_by_the_least_on_random_panels()
    {
        var random = new Random(3);
        for (var n = 0; n < 200; n++)
        {
            var loads = Enumerable.Range(0, random.Next(1, 13)).Select(_ => random.Next(1, 40) * 60).ToArray();
            var (roomA, roomB) = (random.Next(loads.Length / 2, 14), random.Next((loads.Length + 1) / 2, 14));
            if (roomA + roomB < loads.Length)
                continue;
            var lead = random.Next(-1000, 1000);
            var onA = LegBalance.Split(loads, roomA, roomB, lead);
            onA.Count(x => x).ShouldBeLessThanOrEqualTo(roomA);
            onA.Count(x => !x).ShouldBeLessThanOrEqualTo(roomB);
            var best = Enumerable
                .Range(0, 1 << loads.Length)
                .Where(m => int.PopCount(m) <= roomA && loads.Length - int.PopCount(m) <= roomB)
                .Min(m => Math.Abs(lead + loads.Select((l, i) => (m >> i & 1) == 1 ? l : -l).Sum()));
            Math.Abs(lead + loads.Select((l, i) => onA[i] ? l : -l).Sum()).ShouldBe(best);
        }
    }

    [Fact]
    public void A_persons_breaker_keeps_its_space_and_the_other_one_changes_places()
    {
        var one = Analyzer.Analyze(Planned).Circuits.First(c => c.Poles == 1).Number;
        var moved = new MoveBreaker(one, 29).Apply(Planned).Job.ShouldNotBeNull();
        moved
            .Decisions.Spaces.Single(s => s.Circuit == one)
            .ShouldSatisfyAllConditions(s => s.Space.ShouldBe(29), s => s.By.ShouldBe(Origin.Person));
        Planner.PlanSpaces(moved, afresh: true).Decisions.Spaces.Single(s => s.Circuit == one).Space.ShouldBe(29);
        new MoveBreaker(one, 31).Apply(Planned).Problem.ShouldContain("spaces 1 to 30");
    }

    [Fact]
    public void Everything_needed_is_protected_and_a_first_receptacle_covers_what_it_feeds()
    {
        var a = Analyzer.Analyze(Planned);
        a.Findings.ShouldNotContain(f => f.RuleId == "protect.missing");
        var bath = a.Circuits.Single(c => c.Circuit.Purpose == CircuitPurpose.Bathroom);
        bath.Protection.Devices.Single()
            .ShouldSatisfyAllConditions(
                d => d.Kind.ShouldBe(DeviceKind.GroundFaultReceptacle),
                d => d.Covers.ShouldContain(bath.Boxes[0].Id)
            );
        a.Circuits.Single(c => c.Boxes.Any(b => b.Appliance == "range"))
            .Protection.Devices.Single()
            .Kind.ShouldBe(DeviceKind.GroundFaultBreaker);
        a.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance)
            .Protection.Devices.Single()
            .Kind.ShouldBe(DeviceKind.DualFunctionBreaker);
        a.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .Protection.Devices.Single()
            .Kind.ShouldBe(DeviceKind.ArcFaultBreaker);
    }

    [Fact]
    public void A_device_at_B_covers_B_C_and_D_and_not_A()
    {
        var run = new CableRun([
            new(null, "A", default, default),
            new("A", "B", default, default),
            new("B", "C", default, default),
            new("C", "D", default, default),
        ]);
        run.Through("B").Order().ShouldBe(["B", "C", "D"]);
    }

    [Theory]
    [InlineData("2026-08-31", false)]
    [InlineData("2026-09-01", true)]
    [InlineData(null, true)]
    public void Outdoor_heat_pumps_need_ground_fault_protection_once_the_exception_ends(string? permit, bool needed)
    {
        var job = Sample.Flat() with { PermitDate = permit is null ? null : DateOnly.Parse(permit) };
        job = job with
        {
            Appliances = job.Appliances.Add(
                new Appliance
                {
                    Id = "hp",
                    Type = "heat-pump",
                    Room = "porch",
                    Spot = new Spot
                    {
                        Wall = 1,
                        From = Sample.L("1'"),
                        Width = Sample.L("2'"),
                        Depth = Sample.L("2'"),
                    },
                }
            ),
        };
        Analyzer
            .Analyze(Planner.PlanAll(job))
            .Circuits.Single(c => c.Boxes.Any(b => b.Appliance == "hp"))
            .Protection.GroundFault.ShouldBe(needed);
    }

    [Fact]
    public void A_circuit_that_lost_its_last_box_is_still_analysed()
    {
        var box = Planned.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Receptacles).Boxes[0].Box;
        var alone = new AssignBox(box, null).Apply(Planned).Job.ShouldNotBeNull();
        var number = alone.Decisions.Circuits.Single(c => c.Holds(box)).Number;
        var empty = new RemoveBox(box).Apply(alone).Job.ShouldNotBeNull();
        Analyzer.Analyze(empty).CircuitByNumber(number).ShouldNotBeNull().Boxes.ShouldBeEmpty();
    }

    [Fact]
    public void Labels_are_all_different() => Analyzer.Analyze(Planned).Circuits.Select(c => c.Label).ShouldBeUnique();

    [Fact]
    public void Each_shown_number_has_a_derivation()
    {
        var a = Analyzer.Analyze(Planned);
        foreach (var c in a.Circuits)
        {
            foreach (var what in new[] { "load", "wire", "drop", "run", "protection" })
                a.Why($"circuit.{c.Number}.{what}").ShouldNotBeNull();
        }

        foreach (var key in new[] { "service", "service.standard", "service.optional", "cable", "spaces", "legs", "area" })
            a.Why(key).ShouldNotBeNull();
        a.Why("room.bedroom.area").ShouldNotBeNull().Result.ShouldBe("156.0 sq ft");
        a.Why("room.nowhere.area").ShouldBeNull();
        a.Why("nonsense").ShouldBeNull();
    }

    [Fact]
    public void A_bigger_nameplate_gets_a_bigger_breaker_and_wire()
    {
        var plate = new Nameplate { VoltAmperes = 9800, Volts = 240 };
        var cooktop = Sample.Flat() with { };
        cooktop = cooktop with
        {
            Appliances = cooktop.Appliances.Replace(
                cooktop.Appliances[1],
                cooktop.Appliances[1] with
                {
                    Type = "cooktop",
                    Room = "laundry",
                    Nameplate = plate with { VoltAmperes = 7200 },
                }
            ),
        };
        var small = Analyzer.Analyze(Planner.PlanAll(cooktop)).Circuits.Single(c => c.Boxes.Any(b => b.Appliance == "dryer"));
        var big = Analyzer
            .Analyze(new SetNameplate("dryer", plate, "").Apply(Planner.PlanAll(cooktop)).Job!)
            .Circuits.Single(c => c.Boxes.Any(b => b.Appliance == "dryer"));
        (small.Breaker, big.Breaker).ShouldBe((30, 45));
    }
}
