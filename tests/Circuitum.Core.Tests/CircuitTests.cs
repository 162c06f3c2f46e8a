using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>What may share a breaker, and what the job's preferences change.</summary>
public class CircuitTests
{
    private static readonly CodeEdition Us2023 = CodeLibrary.Edition("us-2023");

    private static JobAnalysis Plan(Func<Preferences, Preferences> prefer) =>
        Analyzer.Analyze(Planner.PlanAll(Sample.Whole() with { Preferences = prefer(new Preferences()) }));

    [Theory]
    [InlineData("kitchen", BoxKind.Receptacle, CircuitPurpose.SmallAppliance)]
    [InlineData("kitchen", BoxKind.Light, CircuitPurpose.Lighting)]
    [InlineData("bath", BoxKind.Receptacle, CircuitPurpose.Bathroom)]
    [InlineData("bath", BoxKind.Light, CircuitPurpose.Lighting)]
    [InlineData("laundry", BoxKind.Receptacle, CircuitPurpose.Laundry)]
    [InlineData("garage", BoxKind.Receptacle, CircuitPurpose.Garage)]
    [InlineData("porch", BoxKind.Receptacle, CircuitPurpose.Outdoor)]
    [InlineData("bedroom", BoxKind.Receptacle, CircuitPurpose.Receptacles)]
    [InlineData("bedroom", BoxKind.SmokeAlarm, CircuitPurpose.Lighting)]
    [InlineData("hall", BoxKind.Switch, CircuitPurpose.Lighting)]
    public void The_purpose_of_a_box(string room, BoxKind kind, CircuitPurpose purpose) =>
        BoxPurpose
            .Of(
                Sample.Flat(),
                Us2023,
                new Box
                {
                    Id = "b",
                    Kind = kind,
                    Room = room,
                }
            )
            .ShouldBe(purpose);

    [Theory]
    [InlineData("bedroom", CircuitPurpose.SmallAppliance, "circuit.smallAppliance")]
    [InlineData("bedroom", CircuitPurpose.Laundry, "circuit.laundry")]
    [InlineData("bedroom", CircuitPurpose.Bathroom, "circuit.bathroom")]
    [InlineData("bedroom", CircuitPurpose.Garage, "circuit.garage")]
    [InlineData("kitchen", CircuitPurpose.Receptacles, "circuit.smallAppliance")]
    [InlineData("bath", CircuitPurpose.Receptacles, "circuit.bathroom")]
    [InlineData("laundry", CircuitPurpose.Lighting, "circuit.laundry")]
    [InlineData("garage", CircuitPurpose.Receptacles, "circuit.garage")]
    [InlineData("porch", CircuitPurpose.Garage, null)]
    [InlineData("porch", CircuitPurpose.Receptacles, null)]
    [InlineData("porch", CircuitPurpose.Bathroom, "circuit.bathroom")]
    [InlineData("bedroom", CircuitPurpose.Lighting, null)]
    [InlineData("bedroom", CircuitPurpose.Mixed, null)]
    public void What_may_join_what(string room, CircuitPurpose circuit, string? rule)
    {
        var why = BoxPurpose.WhyNot(
            Sample.Flat(),
            Us2023,
            new Box
            {
                Id = "b",
                Kind = BoxKind.Receptacle,
                Room = room,
            },
            circuit,
            []
        );
        if (rule is null)
            why.ShouldBeNull();
        else
            why.ShouldNotBeNull().ShouldContain(Us2023.Cite(rule));
    }

    [Fact]
    public void Lights_and_receptacles_share_where_the_job_mixes_them()
    {
        var a = Plan(p => p with { LightsAndReceptacles = LightsAndReceptacles.Mixed });
        a.Circuits.ShouldContain(c =>
            c.Circuit.Purpose == CircuitPurpose.Mixed
            && c.Boxes.Any(b => b.Kind == BoxKind.Light)
            && c.Boxes.Any(b => b.Kind == BoxKind.Receptacle)
        );
        Plan(p => p)
            .Circuits.ShouldAllBe(c => !(c.Boxes.Any(b => b.Kind == BoxKind.Light) && c.Boxes.Any(b => b.Kind == BoxKind.Receptacle)));
    }

    [Theory]
    [InlineData(GeneralWire.TwelveThroughout, "12", "12")]
    [InlineData(GeneralWire.TwelveForReceptacles, "14", "12")]
    [InlineData(GeneralWire.FourteenThroughout, "14", "14")]
    public void General_wire_follows_the_preference(GeneralWire wire, string lights, string receptacles)
    {
        var a = Plan(p => p with { GeneralWire = wire });
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Lighting).ShouldAllBe(c => c.Wire!.Size.ToString() == lights);
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles).ShouldAllBe(c => c.Wire!.Size.ToString() == receptacles);
        a.Circuits.Where(c =>
                c.Circuit.Purpose
                    is CircuitPurpose.SmallAppliance
                        or CircuitPurpose.Bathroom
                        or CircuitPurpose.Laundry
                        or CircuitPurpose.Garage
            )
            .ShouldAllBe(c => c.Breaker == 20 && c.Wire!.Size == WireSize.Parse("12"));
    }

    [Fact]
    public void Fewer_receptacles_on_a_circuit_make_more_circuits()
    {
        var (few, many) = (Plan(p => p with { ReceptaclesPer20 = 3 }), Plan(p => p));
        int Count(JobAnalysis a) => a.Circuits.Count(c => c.Circuit.Purpose == CircuitPurpose.Receptacles);
        Count(few).ShouldBeGreaterThan(Count(many));
        few.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .ShouldAllBe(c => c.Boxes.Count(b => b.Kind == BoxKind.Receptacle) <= 3);
    }

    [Fact]
    public void The_device_follows_the_jobs_preference_and_a_person_overrules_it()
    {
        bool InReceptacle(JobAnalysis a, CircuitPurpose purpose) =>
            a.Circuits.First(c => c.Circuit.Purpose == purpose).Protection.Devices.Any(d => d.Box is not null);
        InReceptacle(Plan(p => p with { GroundFault = ProtectionPlace.FirstReceptacle }), CircuitPurpose.Bathroom).ShouldBeTrue();
        var breaker = Plan(p => p with { GroundFault = ProtectionPlace.Breaker });
        InReceptacle(breaker, CircuitPurpose.Bathroom).ShouldBeFalse();
        var own = breaker.Job.Circuits(
            c => c.Purpose == CircuitPurpose.Bathroom,
            c => c with { Protection = ProtectionPlace.FirstReceptacle }
        );
        InReceptacle(Analyzer.Analyze(own), CircuitPurpose.Bathroom).ShouldBeTrue();
    }

    [Theory]
    [InlineData(true, 1)]
    [InlineData(false, 2)]
    public void A_refrigerator_alone_or_with_the_kitchen(bool alone, int least)
    {
        var circuit = Plan(p => p with { RefrigeratorAlone = alone }).Circuits.Single(c => c.Boxes.Any(b => b.Appliance == "refrigerator"));
        if (alone)
            circuit.Boxes.Length.ShouldBe(1);
        else
            circuit.Boxes.Length.ShouldBeGreaterThanOrEqualTo(least);
    }

    [Theory]
    [InlineData(PanelOrder.LargestFirst)]
    [InlineData(PanelOrder.ByNumber)]
    public void Every_order_of_the_panel_places_every_breaker_once(PanelOrder order)
    {
        var a = Plan(p => p with { PanelOrder = order });
        foreach (var c in a.Circuits)
            a.Schedule.Count(r => r.Circuit == c).ShouldBe(c.Poles);
        a.Schedule.Where(r => r.SecondPole).ShouldAllBe(r => a.Schedule[r.Space - 3].Circuit == r.Circuit);
        a.Lines.Gap.Value.ShouldBeLessThan(0.1 * a.Lines[0].Value);
    }

    [Fact]
    public void A_larger_home_run_where_the_job_always_wants_it()
    {
        var a = Plan(p => p with { HomeRunUpsize = HomeRunUpsize.Always });
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .ShouldAllBe(c => $"{c.Cable}" == "10-2" && $"{c.BranchCable}" == "12-2");
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Appliance && c.Boxes.Length == 1)
            .ShouldAllBe(c => c.Cable == c.BranchCable);
        var off = Plan(p => p with { HomeRunUpsize = HomeRunUpsize.Off });
        off.Circuits.ShouldAllBe(c => c.Cable == c.BranchCable);
    }

    [Fact]
    public void Nothing_that_must_be_alone_shares()
    {
        var a = Plan(p => p);
        foreach (var c in a.Circuits.Where(c => c.Boxes.Any(b => b.Appliance is "range" or "dryer" or "furnace")))
            c.Boxes.Length.ShouldBe(1);
    }
}
