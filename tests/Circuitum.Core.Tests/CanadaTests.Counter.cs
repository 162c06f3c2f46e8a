using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Simulation;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

// Split receptacles over kitchen counters, and switches near a tub.
public partial class CanadaTests
{
    private static Job Split(Job job) => job with { Preferences = job.Preferences with { CounterReceptacles = CounterReceptacles.Split } };

    private static Job Counters(int count, bool sink = false)
    {
        var house = Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 30, 12)) with
        {
            Counters = [Counter(0, 0, 29)],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Panel",
                    Room = "kitchen",
                    Wall = 2,
                    Along = Length.Feet(20),
                    Top = Length.Inches(66),
                    Spaces = 24,
                    MainBreaker = 100,
                },
            ],
        };
        if (sink)
            house = house with { Fixtures = [Wet(FixtureKind.Sink, "kitchen", 4, 2, 2)] };
        var boxes = Enumerable.Range(0, count).Select(n => Receptacle($"kitchen.r{n + 1}", "kitchen", 0, 3 + (n * 5.5), 44));
        return With(house, boxes);
    }

    [Fact]
    public void Split_receptacles_have_three_wires_both_poles_and_protection_at_the_breaker()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(Split(Roomy(Counters(5, sink: true)))));
        var counter = a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance).ToList();
        counter.Count.ShouldBe(3);
        foreach (var c in counter)
        {
            (c.Breaker, c.Poles, c.Load.Split).ShouldBe((15, 2, true));
            c.Cable.ShouldBe(new CableType(WireSize.Awg(14), 3));
            c.Run.Cables.ShouldAllBe(h => c.CableOf(h).Conductors == 3);
            c.Protection.ArcFault.ShouldBeFalse();
            c.Boxes.ShouldAllBe(b => c.Protection.In(b.Id) == null);
            c.Boxes.ShouldAllBe(b => a.Specs[b.Id].RatingA == 15 && a.Specs[b.Id].Device.StartsWith("split receptacle"));
            a.Panels.Single().Schedule.Count(r => r.Circuit?.Number == c.Number).ShouldBe(2);

            // The neutral does not hang on a device, nor does the second line pass one by: each is joined where cables meet.
            foreach (var b in c.Boxes.Where(b => c.Run.Cables.Count(h => h.To == b.Id || h.From == b.Id) == 2))
                BoxSplices.Joints(a, b).Select(j => j.What).ShouldBe(["hot", "second hot", "neutral", "ground"], true, b.Id);
        }

        var near = counter.Where(c => c.Protection.GroundFault).ToList();
        near.ShouldNotBeEmpty();
        near.ShouldAllBe(c => c.Protection.Devices.Single().Box == null);
        counter.Count.ShouldBeGreaterThan(near.Count);
        a.Findings.Where(f => f.Subjects.Any(s => counter.Any(c => s == Subject.Circuit(c.Number))) && f.Severity == Severity.Must)
            .Select(f => f.Sentence)
            .ShouldBeEmpty();
        var material = HouseMaterial.Of(a);
        material.Pieces.Where(p => p.Item.Key.StartsWith("receptacle.15.split")).Sum(p => p.Amount).ShouldBe(5);
    }

    [Fact]
    public void Each_half_of_a_split_receptacle_has_a_line_of_its_own()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(Split(Roomy(Counters(3)))));
        foreach (var c in a.Circuits.Where(c => c.Load.Split))
        {
            var wiring = HouseWirings.Of(a, c.Number);
            var run = Simulator.Run(wiring, Setting.None);
            foreach (var box in c.Boxes)
            {
                var halves = wiring.Outlets.Where(o => o.Box == box.Id).ToList();
                halves.Count.ShouldBe(2);
                run.Between(halves[0].Hot, halves[0].Back).ShouldBe(120, 1);
                run.Between(halves[1].Hot, halves[1].Back).ShouldBe(120, 1);
                run.Between(halves[0].Hot, halves[1].Hot).ShouldBe(240, 2);
            }
        }
    }

    [Theory]
    [InlineData(15, false, true)]
    [InlineData(20, false, false)]
    [InlineData(15, true, false)]
    public void A_counter_circuit_of_fifteen_amperes_takes_split_receptacles(int breaker, bool split, bool isFound)
    {
        var job = With(Counters(2), Counters(2).Decisions.Boxes, (CircuitPurpose.SmallAppliance, ["kitchen.r1", "kitchen.r2"]));
        job = job with { Decisions = job.Decisions with { Circuits = [job.Decisions.Circuits[0] with { Breaker = breaker }] } };
        Analyzer
            .Analyze(split ? Split(job) : job)
            .Findings.Any(f => f.RuleId == "circuit.smallAppliance" && f.Sentence.Contains("two wires"))
            .ShouldBe(isFound);
    }

    [Fact]
    public void A_split_circuit_on_twenty_amperes_is_too_large_for_its_receptacles()
    {
        var job = Split(With(Counters(2), Counters(2).Decisions.Boxes, (CircuitPurpose.SmallAppliance, ["kitchen.r1", "kitchen.r2"])));
        job = job with { Decisions = job.Decisions with { Circuits = [job.Decisions.Circuits[0] with { Breaker = 20 }] } };
        Analyzer.Analyze(job).Findings.ShouldContain(f => f.Severity == Severity.Must && f.Sentence.Contains("20 A"));
    }

    // Up to 12 kW a range counts 8 kW on its circuit, then 40 percent of the rest beside: 33.3 and 36.7 A.
    [Theory]
    [InlineData(12000, 8000, 40, "8")]
    [InlineData(14000, 8800, 40, "8")]
    [InlineData(18000, 10400, 45, "8")]
    [InlineData(7500, 7500, 40, "8")]
    public void A_range_has_its_demand_on_its_circuit(int plate, int demand, int breaker, string size)
    {
        var house = Roomy(Sample.WithKitchen());
        var range = house.Appliances.First(x => x.Type == "range");
        house = house with
        {
            Appliances = house.Appliances.Replace(
                range,
                range with
                {
                    Nameplate = new()
                    {
                        Volts = 240,
                        VoltAmperes = plate,
                        Confirmed = true,
                    },
                }
            ),
        };
        var a = Analyzer.Analyze(OtherRules.Under(house, Canada.Id));
        var c = a.Circuits.Single(c => c.Boxes.Any(b => b.Appliance == range.Id));
        c.Load.Actual.Value.ShouldBe(demand / 240.0, 0.01);
        (c.Breaker, $"{c.Wire!.Size}").ShouldBe((breaker, size));
        c.Load.Derivation.Citation.ShouldBe("8-300");
    }

    [Fact]
    public void Where_the_drop_is_law_the_whole_circuit_grows_before_its_home_run_grows_thick()
    {
        var sizes = CodeLibrary.Conductors.Sheathed;
        foreach (var seed in Enumerable.Range(0, 12))
        {
            var a = Analyzer.Analyze(OtherRules.Under(GeneratedHouse.Make(seed) with { Decisions = new() }, Canada.Id));
            foreach (var c in a.Circuits.Where(c => c.Wire is not null && c.DropPercent <= 3 && c.Run.Segments.Length > 1))
                (sizes.IndexOf(c.Cable.Size) - sizes.IndexOf(c.BranchCable.Size)).ShouldBeLessThanOrEqualTo(
                    1,
                    $"{seed}: circuit {c.Number}"
                );
        }
    }

    [Fact]
    public void Alarms_hang_with_lights_whatever_is_preferred()
    {
        var alone = Flat with
        {
            Preferences = Flat.Preferences with { Division = Flat.Preferences.Division with { Alarms = AlarmsWith.Alone } },
        };
        var a = Analyzer.Analyze(Planner.PlanAll(alone with { Decisions = new() }));
        a.Circuits.Where(c => c.Boxes.Any(b => b.Kind == BoxKind.SmokeAlarm)).ShouldAllBe(c => c.Boxes.Any(b => b.Kind == BoxKind.Light));
        a.Findings.ShouldNotContain(f => f.RuleId == "circuit.alarms");
        var alarm = a.Job.Decisions.Boxes.First(b => b.Kind == BoxKind.SmokeAlarm);
        Found(With(Flat, [alarm], (CircuitPurpose.Mixed, [alarm.Id]))).ShouldContain("circuit.alarms");
        Analyzer.Analyze(With(Flat, [alarm], (CircuitPurpose.Mixed, [alarm.Id]))).Circuits[0].Label.ShouldStartWith("Smoke alarms");
    }

    [Theory]
    [InlineData(499, true, false)]
    [InlineData(501, false, true)]
    [InlineData(999, false, true)]
    [InlineData(1001, false, false)]
    public void A_switch_stands_a_metre_from_a_tub_or_half_of_it_protected(int millimetres, bool isFound, bool isProtected)
    {
        var house = Sample.House(Sample.Rect("bath", RoomKind.Bathroom, 0, 0, 12, 8)) with
        {
            Fixtures = [Wet(FixtureKind.Tub, "bath", 0, 3, 5)],
        };
        var light = new Box
        {
            Id = "bath.l1",
            Kind = BoxKind.Light,
            Room = "bath",
            At = Sample.P(8, 4),
            Height = Length.Feet(8),
        };
        var at = new Box
        {
            Id = "bath.s1",
            Kind = BoxKind.Switch,
            Room = "bath",
            Wall = 0,
            Along = Length.Feet(3) + Length.Millimetres(millimetres),
            Height = Length.Inches(48),
            Gangs = [new SwitchGang { Lights = ["bath.l1"], Locations = 1 }],
        };
        var a = Analyzer.Analyze(With(house, [light, at], (CircuitPurpose.Lighting, ["bath.l1", "bath.s1"])));
        a.Findings.Any(f => f.RuleId == "box.wet").ShouldBe(isFound);
        a.NeedsOf("bath.s1").Any(n => n.Kind == Protection.ProtectionKind.GroundFault).ShouldBe(isProtected || isFound);
        if (isProtected)
            a.CircuitOf("bath.s1")!.Protection.GroundFault.ShouldBeTrue();
    }
}
