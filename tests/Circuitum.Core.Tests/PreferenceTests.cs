using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

/// <summary>Preferences as fields, for a job and for single circuits, and what each school does.</summary>
public class PreferenceTests
{
    [Fact]
    public void Lengths_to_begin_with_go_over_to_metres_and_back_and_a_chosen_one_stays()
    {
        var first = new Preferences { CounterCentre = Length.Inches(43) };
        var metric = PreferenceFields.In(first, LengthUnits.Metric);
        metric.StapleFromBox.ShouldBe(Length.Millimetres(200));
        metric.StapleEvery.ShouldBe(Length.Millimetres(1200));
        metric.SwitchCentre.ShouldBe(Length.Millimetres(1200));
        metric.ReceptacleBottom.ShouldBe(Length.Millimetres(350));
        metric.CounterCentre.ShouldBe(Length.Inches(43));
        PreferenceFields.In(metric, LengthUnits.FeetInches).ShouldBe(first);
        foreach (var field in PreferenceFields.All.Where(f => f.Length is not null))
            field.In(LengthUnits.Metric).Write(first, field.In(LengthUnits.Metric).Read(metric)).Problem.ShouldBeEmpty(field.Key);
    }

    [Theory]
    [InlineData("stapleFromBox", "200", "200 mm")]
    [InlineData("stapleFromBox", "0.2", "200 mm")]
    [InlineData("panelMakeUp", "1.8", "1.8 m")]
    [InlineData("weight.cableFoot", "492", "492")]
    [InlineData("weight.zoneSqFt", "50", "50")]
    public void A_metric_house_types_and_reads_metric_preferences(string key, string typed, string read)
    {
        var field = PreferenceFields.Find(key)!.In(LengthUnits.Metric);
        var (written, problem) = field.Write(new(), typed);
        problem.ShouldBeEmpty();
        field.Read(written!).ShouldBe(read);
        field.Title.ShouldNotContain("foot");
    }

    [Fact]
    public void A_metric_refusal_tells_its_bounds_in_metres()
    {
        var field = PreferenceFields.Find("stapleFromBox")!.In(LengthUnits.Metric);
        field.Write(new(), "3600").Problem.ShouldBe("First staple from a box: 3.6 m is outside 102 mm to 305 mm.");
        PreferenceFields.Find("weight.cableFoot")!.In(LengthUnits.Metric).Write(new(), "x").Problem.ShouldContain("metre");
    }

    private static readonly Job Whole = Sample.Whole();

    private static JobAnalysis Plan(Func<Preferences, Preferences> with) =>
        Analyzer.Analyze(Planner.PlanAll(Whole with { Preferences = with(new()) }));

    [Fact]
    public void Each_field_reads_what_it_writes_and_refuses_nonsense_with_its_name()
    {
        PreferenceFields.All.Select(f => f.Key).ShouldBeUnique();
        foreach (var field in PreferenceFields.All)
        {
            field.Why.ShouldEndWith(".");
            foreach (var (value, _) in field.Options)
                field.Read(field.Write(new(), value).Preferences!).ShouldBe(value, field.Key);
            field.Write(new(), field.Read(new())).Preferences.ShouldNotBeNull(field.Key);
            field.Write(new(), "\u0007 nonsense that is too long for a mark").Problem.ShouldStartWith(field.Title);
            field.Say(new()).ShouldNotBeEmpty();
        }
    }

    [Fact]
    public void Every_preference_of_the_document_is_a_field()
    {
        var fields = typeof(Preferences)
            .GetProperties()
            .Concat(typeof(DivisionSchools).GetProperties())
            .Where(p => p.Name is not ("Extra" or "Weights" or "Division"))
            .Select(p => char.ToLowerInvariant(p.Name[0]) + p.Name[1..])
            .Concat(
                typeof(PlanWeights)
                    .GetProperties()
                    .Where(p => p is { Name: not "Extra", CanWrite: true } && !p.GetMethod!.IsStatic)
                    .Select(p => $"weight.{char.ToLowerInvariant(p.Name[0])}{p.Name[1..]}")
            );
        fields.Order(StringComparer.Ordinal).ShouldBe(PreferenceFields.All.Select(f => f.Key).Order(StringComparer.Ordinal));
    }

    private static JobAnalysis WithOwn(CircuitPurpose purpose, string key, string value)
    {
        var job = CheckTests.PlannedWhole;
        return Analyzer.Analyze(
            job.Circuits(
                c => c.Purpose == purpose,
                c => c with { Preferences = ImmutableSortedDictionary<string, string>.Empty.Add(key, value) }
            )
        );
    }

    [Fact]
    public void A_single_circuit_has_its_own_wire_termination_protection_and_ambient()
    {
        WithOwn(CircuitPurpose.Lighting, "generalWire", "twelve-throughout")
            .Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Lighting)
            .ShouldAllBe(c => c.Breaker == 20 && c.Wire!.Size == WireSize.Parse("12"));
        var metal = WithOwn(CircuitPurpose.Receptacles, "bothKinds", "breaker-and-receptacle");
        metal.Circuits.Count(c => c.Circuit.Preferences is not null).ShouldBeGreaterThan(0);
        WithOwn(CircuitPurpose.Bathroom, "groundFault", "breaker")
            .Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Bathroom)
            .Protection.Mark.ShouldBe("GFCI");
        WithOwn(CircuitPurpose.Receptacles, "ambientC", "60")
            .Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .Wire!.Ampacity.Value.ShouldBe(20, 0.1);
        WithOwn(CircuitPurpose.Receptacles, "cablesTogether", "5")
            .Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
            .Wire!.Size.ShouldBe(WireSize.Parse("10"));
    }

    [Theory]
    [InlineData("panelOrder", "by-room", "is no preference of a single circuit")]
    [InlineData("dragons", "1", "is no preference of a single circuit")]
    [InlineData("ambientC", "900", "type a whole number from 10 to 80")]
    public void A_circuits_own_preferences_are_checked(string key, string value, string sentence)
    {
        var job = CheckTests.PlannedWhole.Circuits(
            c => c.Number == 1,
            c => c with { Preferences = ImmutableSortedDictionary<string, string>.Empty.Add(key, value) }
        );
        JobRules.Check(job).ShouldHaveSingleItem().Sentence.ShouldContain(sentence);
    }

    [Fact]
    public void Arc_fault_in_the_first_outlet_needs_a_metal_home_run()
    {
        Mark(p => p with { ArcFault = ArcFaultPlace.FirstOutlet }).ShouldBe("AFCI");
        Mark(p => p with { ArcFault = ArcFaultPlace.FirstOutlet, HomeRunMethod = HomeRunMethod.Metal }).ShouldBe("AFCI receptacle");
        string Mark(Func<Preferences, Preferences> with) => Plan(with).CircuitOf("bedroom.r1")!.Protection.Mark;
    }

    [Fact]
    public void Both_kinds_in_one_breaker_or_in_two_devices()
    {
        Kinds(p => p).ShouldBe([DeviceKind.DualFunctionBreaker]);
        Kinds(p => p with { BothKinds = BothKinds.BreakerAndReceptacle })
            .ShouldBe([DeviceKind.ArcFaultBreaker, DeviceKind.GroundFaultReceptacle]);
        IEnumerable<DeviceKind> Kinds(Func<Preferences, Preferences> with) =>
            Plan(with)
                .Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance && c.Boxes.Length > 1)
                .Protection.Devices.Select(d => d.Kind);
    }

    [Theory]
    [InlineData(PanelOrder.ByRoom)]
    [InlineData(PanelOrder.ProtectionTogether)]
    [InlineData(PanelOrder.ByNumber)]
    [InlineData(PanelOrder.LargestFirst)]
    public void Any_panel_order_places_every_breaker_and_balances_alike(PanelOrder order)
    {
        var a = Plan(p => p with { PanelOrder = order });
        a.Findings.ShouldNotContain(f => f.RuleId == "panel.spaces");
        a.Lines.Gap.Value.ShouldBeLessThanOrEqualTo(Plan(p => p).Lines.Gap.Value + 200);
    }

    [Fact]
    public void Protective_breakers_stand_together()
    {
        var rows = Plan(p => p with { PanelOrder = PanelOrder.ProtectionTogether })
            .Schedule.Where(r => r.Circuit is { Poles: 1 })
            .GroupBy(r => CodeLibrary.Newest.Supply.LineOf(r.Space));
        foreach (var leg in rows)
        {
            var marks = leg.OrderBy(r => r.Space).Select(r => r.Circuit!.Protection.Devices.Any(d => d.Box is null)).ToList();
            marks.ShouldBe(marks.OrderByDescending(m => m));
        }
    }

    [Fact]
    public void Spare_spaces_go_by_count_when_there_is_one()
    {
        Plan(p => p with { SpareSpaces = 0, SparePercent = 80 }).Findings.ShouldNotContain(f => f.RuleId == "panel.spare");
        Plan(p => p with { SpareSpaces = 29, SparePercent = 0 })
            .Findings.ShouldContain(f => f.RuleId == "panel.spare" && f.Sentence.Contains("the job wants 29"));
    }

    [Fact]
    public void Boxes_are_marked_by_the_size_of_their_breaker_when_the_job_wants_it()
    {
        var a = Plan(p => p with { Mark15 = "blue", MarkLarger = "red" });
        foreach (var (id, spec) in a.Specs.Where(s => a.CircuitOf(s.Key) is not null))
            spec.Mark.ShouldEndWith(a.CircuitOf(id)!.Breaker <= 15 ? " blue" : " red");
    }

    [Fact]
    public void A_heavy_user_keeps_off_circuits_that_other_rooms_share()
    {
        Wish Heavy(string id, double x, double y) =>
            new()
            {
                Id = id,
                Kind = WishKind.Heavy,
                Room = "bedroom",
                At = Sample.P(x, y),
            };
        var a = Analyzer.Analyze(
            Planner.PlanAll(Whole with { Wishes = [Heavy("a", 17, 12), Heavy("b", 29.5, 19)] }, Circuits.PlanEffort.Full)
        );
        var heavy = a.Job.Decisions.Boxes.Where(b => b.VoltAmperes == 1500).ToList();
        heavy.Count.ShouldBe(2);
        a.CircuitOf(heavy[0].Id).ShouldNotBe(a.CircuitOf(heavy[1].Id));
        Loads.BoxLoad.Of(a.Job, heavy[0]).Kind.ShouldBe(Loads.LoadKind.PlugIn);
    }

    [Fact]
    public void A_freezer_behind_a_shared_device_is_found_and_the_fix_gives_it_a_circuit()
    {
        var job = Whole with
        {
            Appliances = Whole.Appliances.Add(
                new Appliance
                {
                    Id = "ice",
                    Type = "freezer",
                    Room = "garage",
                    Spot = new Spot
                    {
                        Wall = 1,
                        From = Length.Feet(2),
                        Width = Length.Feet(3),
                        Depth = Length.Feet(2),
                    },
                    Nameplate = new Nameplate { Confirmed = true },
                }
            ),
        };
        var planned = Planner.PlanAll(job);
        Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "protect.shared");
        var shared = planned.Share("ice", "garage");
        var found = Analyzer.Analyze(shared).Findings.Single(f => f.RuleId == "protect.shared");
        found.Fix!.Edit.ShouldBeOfType<Commands.AssignBox>();
        Analyzer
            .Analyze(new Commands.AssignBox(planned.Decisions.Boxes.Single(b => b.Appliance == "ice").Id, null).Apply(shared).Job!)
            .Findings.ShouldNotContain(f => f.RuleId == "protect.shared");
    }
}
