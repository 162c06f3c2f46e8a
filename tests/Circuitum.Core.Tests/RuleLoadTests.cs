using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

/// <summary>Breakers, wires and loads against what hangs on them.</summary>
public partial class RuleLoadTests
{
    private static readonly Job Planned = Planner.PlanAll(Sample.Whole());

    public static TheoryData<string> Editions => [.. CodeLibrary.IdsOf("us")];

    private static CircuitAnalysis CircuitOf(JobAnalysis a, string appliance) =>
        a.CircuitOf(a.Job.Decisions.Boxes.Single(b => b.Appliance == appliance).Id)!;

    // The boxes of a test on one circuit of a purpose.
    private static JobAnalysis Together(Job job, CircuitPurpose purpose, params string[] boxes) => Together(job, purpose, null, boxes);

    private static JobAnalysis Together(Job job, CircuitPurpose purpose, int? breaker, params string[] boxes)
    {
        var (moved, number) = CircuitMoves(job, purpose, boxes);
        var circuits = moved.Decisions.Circuits.Select(c => c.Number == number ? c with { Purpose = purpose, Breaker = breaker } : c);
        return Analyzer.Analyze(moved with { Decisions = moved.Decisions with { Circuits = [.. circuits] } });
    }

    private static (Job Job, int Number) CircuitMoves(Job job, CircuitPurpose purpose, string[] boxes) =>
        Commands.CircuitMoves.Move(job, boxes.ToHashSet(), null, purpose);

    private static string[] Outlets(Job job, params string[] appliances) =>
        [.. job.Decisions.Boxes.Where(b => appliances.Contains(b.Appliance)).Select(b => b.Id)];

    private static Job With(string type, Nameplate plate, string room = "laundry")
    {
        var appliance = new Appliance
        {
            Id = "extra",
            Type = type,
            Room = room,
            Spot = new Spot
            {
                Wall = 0,
                From = Length.Feet(1),
                Width = Length.Feet(2),
                Depth = Length.Feet(2),
            },
            Nameplate = plate,
        };
        var job = Sample.Whole();
        return Planner.PlanAll(job with { Appliances = job.Appliances.Add(appliance) });
    }

    [Theory, MemberData(nameof(Editions))]
    public void Receptacles_never_get_more_than_20_A_from_the_planner(string edition)
    {
        var job = Planner.PlanAll(Sample.WithKitchen() with { CodeEdition = edition });
        var kitchen = Together(job, CircuitPurpose.Appliance, Outlets(job, "dishwasher", "microwave", "refrigerator", "disposer"));
        var c = CircuitOf(kitchen, "dishwasher");
        c.Breaker.ShouldBe(20);
        $"{c.Cable}".ShouldBe("12-2");
        kitchen.Findings.ShouldContain(f =>
            f.RuleId == "circuit.overload" && f.Severity == Severity.Must && f.Subjects.Contains(Subject.Parse($"circuit:{c.Number}"))
        );

        var one = Together(job, CircuitPurpose.Appliance, Outlets(job, "dishwasher"));
        one.Findings.ShouldNotContain(f => f.RuleId == "circuit.overload");
    }

    [Fact]
    public void Fourteen_bedroom_receptacles_keep_their_20_A_and_are_counted_by_practice()
    {
        string[] boxes =
        [
            .. Planned
                .Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Room is "bedroom" or "living" or "hall" && b.Wall is not null)
                .Take(14)
                .Select(b => b.Id),
        ];
        var more = Enumerable
            .Range(0, Math.Max(0, 14 - boxes.Length))
            .Select(n => new Box
            {
                Id = $"more{n}",
                Kind = BoxKind.Receptacle,
                Room = "bedroom",
                Wall = 0,
                Along = Length.Feet(1 + (0.7 * n)),
                Height = Length.Inches(16),
                By = Origin.Person,
            });
        var job = Planned with { Decisions = Planned.Decisions with { Boxes = [.. Planned.Decisions.Boxes, .. more] } };
        var a = Together(job, CircuitPurpose.Receptacles, [.. boxes, .. more.Select(b => b.Id)]);
        var c = a.CircuitOf(boxes.Length > 0 ? boxes[0] : "more0")!;
        c.Boxes.Length.ShouldBe(14);
        c.Breaker.ShouldBe(20);
        a.Findings.ShouldContain(f => f.RuleId == "circuit.count" && f.Subjects.Contains(Subject.Parse($"circuit:{c.Number}")));
        a.Findings.ShouldNotContain(f => f.RuleId == "circuit.overload");
    }

    [Fact]
    public void A_persons_30_A_on_bathroom_receptacles_is_found_and_20_A_is_not()
    {
        var circuit = Planned.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Bathroom);
        Job Say(int breaker) =>
            Planned with
            {
                Decisions = Planned.Decisions with
                {
                    Circuits = Planned.Decisions.Circuits.Replace(circuit, circuit with { Breaker = breaker }),
                },
            };
        Analyzer.Analyze(Say(30)).Findings.ShouldContain(f => f.RuleId == "circuit.receptacleBreaker" && f.Severity == Severity.Must);
        Analyzer.Analyze(Say(30)).CircuitByNumber(circuit.Number)!.Breaker.ShouldBe(30);
        Analyzer.Analyze(Say(20)).Findings.ShouldNotContain(f => f.RuleId == "circuit.receptacleBreaker");
    }

    [Theory]
    [InlineData("well-pump", 240, 2200.0, "14", 15)]
    [InlineData("well-pump", 240, 3000.0, "12", 20)]
    [InlineData("air-compressor", 120, 1600.0, "12", 20)]
    [InlineData("air-compressor", 240, 3000.0, "12", 20)]
    public void A_motors_wire_carries_125_percent(string type, int volts, double va, string wire, int breaker)
    {
        var a = Analyzer.Analyze(
            With(
                type,
                new Nameplate
                {
                    Volts = volts,
                    VoltAmperes = va,
                    Confirmed = true,
                }
            )
        );
        var c = CircuitOf(a, "extra");
        c.Load.Sizing.Value.ShouldBe(va / volts * 1.25, 0.01);
        (c.Wire!.Size, c.Breaker).ShouldBe((WireSize.Parse(wire), breaker));
    }

    [Fact]
    public void A_motors_breaker_is_at_most_250_percent_or_the_next_size()
    {
        var job = With(
            "well-pump",
            new Nameplate
            {
                Volts = 240,
                VoltAmperes = 2200,
                Confirmed = true,
            }
        );
        int number = CircuitOf(Analyzer.Analyze(job), "extra").Number;
        Job Say(int breaker) =>
            job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = [.. job.Decisions.Circuits.Select(c => c.Number == number ? c with { Breaker = breaker } : c)],
                },
            };
        Analyzer.Analyze(Say(25)).Findings.ShouldNotContain(f => f.RuleId == "wire.motor");
        Analyzer.Analyze(Say(30)).Findings.ShouldContain(f => f.RuleId == "wire.motor" && f.Severity == Severity.Must);
    }

    [Theory]
    [InlineData(1, "10")]
    [InlineData(2, "10")]
    [InlineData(4, "10")]
    [InlineData(10, "8")]
    public void An_air_conditioner_among_other_cables_has_a_wire_that_carries_its_minimum_ampacity(int cables, string wire) =>
        Conductor
            .Choose(
                new()
                {
                    NonContinuous = new(20),
                    MinimumCircuitAmpacity = 22.4,
                    MaximumBreaker = 40,
                    Method = WiringMethod.Cable,
                    CurrentCarrying = 2 * cables,
                },
                CodeLibrary.Edition("us-2023")
            )!
            .Size.ShouldBe(WireSize.Parse(wire));

    [Theory]
    [InlineData(60, "cable", "8")]
    [InlineData(70, "cable", "6")]
    [InlineData(80, "cable", "4")]
    [InlineData(81, "cable", null)]
    public void Ambient_factors_of_the_90_C_column_reach_to_80_C(int celsius, string method, string? wire) =>
        Conductor
            .Choose(
                new()
                {
                    NonContinuous = new(35),
                    Method = method == "cable" ? WiringMethod.Cable : WiringMethod.Conduit,
                    AmbientC = celsius,
                },
                CodeLibrary.Edition("us-2023")
            )
            ?.Size.ToString()
            .ShouldBe(wire);

    [Theory]
    [InlineData(40, "12", "12", "12")]
    [InlineData(20, "12", "10", "10")]
    [InlineData(60, "8", "6", "8")]
    [InlineData(60, "6", "6", "10")]
    public void The_equipment_ground_is_no_larger_than_the_wire_and_grows_with_it(int breaker, string least, string used, string ground) =>
        EquipmentGround.For(breaker, WireSize.Parse(least), WireSize.Parse(used), CodeLibrary.Newest).ShouldBe(WireSize.Parse(ground));

    [Fact]
    public void A_cable_whose_ground_is_too_small_says_so()
    {
        EquipmentGround.InCable(60, WireSize.Parse("8"), WireSize.Parse("6"), CodeLibrary.Newest).Enough.ShouldBeFalse();
        EquipmentGround
            .InCable(60, WireSize.Parse("8"), WireSize.Parse("6"), CodeLibrary.Newest)
            .Derivation(CodeLibrary.Edition("us-2023"))
            .Because.ShouldContain("too small");
        EquipmentGround.InCable(60, WireSize.Parse("6"), WireSize.Parse("6"), CodeLibrary.Newest).Enough.ShouldBeTrue();
    }
}
