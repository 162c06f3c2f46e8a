using Circuitum.Core.Analysis;
using Circuitum.Core.Bench;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Tests;

/// <summary>Every outlet that draws is in the load of its panel, its feeder and the service, or a line says why not.</summary>
public class RuleServiceTests
{
    public static TheoryData<string> Editions => [.. CodeLibrary.IdsOf("us")];

    private static double Of(string answer, params (string, string)[] told) =>
        Convert.ToDouble(BenchDesk.Ask(BenchDesk.Find(answer)!, told)["va"], System.Globalization.CultureInfo.InvariantCulture);

    [Theory, MemberData(nameof(Editions))]
    public void A_workshop_of_seven_machines_is_in_its_feeder_and_in_the_service(string edition)
    {
        var without = Analyzer.Analyze(Planner.PlanAll(Sample.Whole() with { CodeEdition = edition }));
        var a = Analyzer.Analyze(Planner.PlanAll(Sample.WithWorkshop() with { CodeEdition = edition }));
        var feeder = a.Panels.Single(p => p.Panel.Id == "shop").Feeder!;
        feeder.Load.Total.Value.ShouldBeGreaterThan(7 * 1500);
        feeder.DropPercent.ShouldBeGreaterThan(0);
        (a.ServiceLoads[0].Total.Value - without.ServiceLoads[0].Total.Value).ShouldBeGreaterThan(7 * 1500);
        (a.ServiceLoads[1].Total.Value - without.ServiceLoads[1].Total.Value).ShouldBeGreaterThan(7 * 1500 * 0.4);
    }

    [Fact]
    public void Three_hundred_houses_name_every_outlet_of_every_panel_once()
    {
        var lost = new List<string>();
        foreach (var (seed, a) in HouseSet.All)
        {
            lost.AddRange(Missing(a, a.ServiceCase, a.Job.Decisions.Boxes).Select(b => $"house {seed}, service: {b}"));
            foreach (var at in a.Panels.Where(p => p.Feeder is { Whole: false }))
                lost.AddRange(
                    Missing(a, at.Feeder!.Case, a.Circuits.Where(c => c.Panel == at.Panel.Id).SelectMany(c => c.Boxes))
                        .Select(b => $"house {seed}, {at.Panel.Name}: {b}")
                );
        }

        HouseSet.All.Length.ShouldBe(300);
        HouseSet.All.Count(h => h.House.Panels.Any(p => p.Feeder is { Whole: false, Case.Items.Length: > 0 })).ShouldBeGreaterThan(100);
        lost.Take(10).ShouldBeEmpty();
    }

    // By the sheet's own words: which boxes stand in a line, and whether those lines add up to what the boxes draw.
    private static IEnumerable<string> Missing(JobAnalysis a, ServiceCase c, IEnumerable<Box> boxes)
    {
        var named = c
            .Items.SelectMany(i => i.Boxes)
            .Concat(c.Within.SelectMany(w => w.Boxes))
            .GroupBy(b => b)
            .ToDictionary(g => g.Key, g => g.Count());
        foreach (var box in boxes.Where(b => BoxLoad.Of(a.Job, b).Load.Value > 0))
        {
            if (named.GetValueOrDefault(box.Id) != 1)
                yield return $"{box.Id} is named {named.GetValueOrDefault(box.Id)} times";
        }

        foreach (var item in c.Items.Where(i => i.Boxes.Length > 0))
        {
            var sum = item.Boxes.Sum(b => BoxLoad.Of(a.Job, a.Boxes[b]).Load.Value);
            if (Math.Abs(sum - item.Load.Value) > 0.5)
                yield return $"{item.Name} counts {item.Load} for {sum:0} VA";
        }
    }

    [Theory]
    [InlineData("refrigerator", ServiceItemKind.Specific)]
    [InlineData("freezer", ServiceItemKind.Specific)]
    [InlineData("bench-machine", ServiceItemKind.Specific)]
    [InlineData("garage-door", ServiceItemKind.Fixed)]
    [InlineData("dishwasher", ServiceItemKind.Fixed)]
    [InlineData("gas-range", ServiceItemKind.Specific)]
    [InlineData("washer", ServiceItemKind.Specific)]
    public void Only_what_is_fastened_in_place_is_reduced_as_such(string type, ServiceItemKind kind) =>
        LoadCase
            .KindOf(CodeLibrary.Appliances[type], CodeLibrary.Appliances[type].Hardwired || CodeLibrary.Appliances[type].Fastened)
            .ShouldBe(kind);

    [Theory]
    [InlineData("us-2017", 0.75)]
    [InlineData("us-2020", 0.75)]
    [InlineData("us-2023", 0.75)]
    public void A_quarter_horsepower_counts_towards_four(string edition, double factor)
    {
        ServiceItem[] three =
        [
            new("Heater", new(4500), ServiceItemKind.Fixed),
            new("Dishwasher", new(1200), ServiceItemKind.Fixed),
            new("Microwave", new(1500), ServiceItemKind.Fixed),
        ];
        double With(ServiceItem fourth) =>
            ServiceLoad
                .Standard(new() { AreaSqFt = 1000, Items = [.. three, fourth] }, CodeLibrary.Edition(edition))
                .Derivation.Steps.Single(s => s.What == "Appliances fastened in place")
                .Result
                is var r
                ? double.Parse(
                    r.Split(' ')[0],
                    System.Globalization.NumberStyles.AllowThousands,
                    System.Globalization.CultureInfo.InvariantCulture
                )
                : 0;
        With(new("Pump", new(400), ServiceItemKind.Fixed) { Horsepower = 0.25 }).ShouldBe(7600 * factor, 0.5);
        With(new("Pump", new(400), ServiceItemKind.Fixed) { Horsepower = 0.2 }).ShouldBe(edition == "us-2017" ? 7600 * factor : 7600, 0.5);
    }

    [Fact]
    public void The_bench_and_the_job_count_an_appliance_alike()
    {
        foreach (var type in CodeLibrary.Appliances.Values)
        {
            if (type.Cooking && type.Va > 27_000)
                continue;
            var bench = Of(
                "service",
                ("method", "standard"),
                ("area-sqft", "1000"),
                ("load", $"{type.Id}:{type.Va.ToString(System.Globalization.CultureInfo.InvariantCulture)}")
            );
            var facts = ApplianceFacts.Of(new Job(), new Appliance { Type = type.Id });
            var item = new ServiceItem(type.Name, facts.Load, LoadCase.Kind(facts), type.Motor || type.Hp is not null)
            {
                Horsepower = type.Hp,
                RefrigeratorAlone = type.Id == "refrigerator",
            };
            bench.ShouldBe(
                ServiceLoad.Standard(new() { AreaSqFt = 1000, Items = [item] }, CodeLibrary.Edition("us-2023")).Total.Value,
                0.6,
                type.Id
            );
        }
    }

    [Theory]
    [InlineData(84, null, true)]
    [InlineData(80, null, false)]
    [InlineData(84, false, false)]
    [InlineData(80, true, true)]
    public void A_basement_that_can_be_finished_counts_as_floor_area(int ceiling, bool? says, bool counts)
    {
        var cellar = Sample.Rect("cellar", RoomKind.UnfinishedBasement, 60, 0, 20, 20) with
        {
            CeilingHeight = Length.Inches(ceiling),
            Adaptable = says,
        };
        double Area(Job job) => HouseDeriver.Derive(job).AreaSqFt;
        (Area(Sample.Whole() with { Rooms = Sample.Whole().Rooms.Add(cellar) }) - Area(Sample.Whole())).ShouldBe(counts ? 441 : 0, 0.5);
    }

    [Theory]
    [InlineData("us-2017", "310.15(B)(7)")]
    [InlineData("us-2020", "310.12")]
    [InlineData("us-2023", "310.12")]
    public void The_bench_cites_the_service_conductors_of_its_edition(string edition, string cite) =>
        BenchDesk
            .Ask(BenchDesk.Find("service")!, [("edition", edition), ("area-sqft", "2000")])
            .Derivation.Steps.Single(s => s.What == "Service conductors")
            .Citation.ShouldBe(cite);

    [Fact]
    public void The_2020_edition_speaks_of_no_exception_for_heating_and_cooling()
    {
        string Reason(string edition)
        {
            var job = Sample.Whole();
            var pump = Sample.Thing("pump", "heat-pump", "deck", 1, 2);
            var a = Analyzer.Analyze(Planner.PlanAll(job with { CodeEdition = edition, Appliances = job.Appliances.Add(pump) }));
            var box = a.Job.Decisions.Boxes.Single(b => b.Appliance == "pump");
            return a.CircuitOf(box.Id)!.Needs[box.Id].Single(n => n.RuleId == "protect.outdoorOutlet").Reason;
        }

        Reason("us-2020").ShouldNotContain("exception");
        Reason("us-2023").ShouldContain("exception");
    }

    [Theory]
    [InlineData("60", "4")]
    [InlineData("75", "6")]
    public void In_Canada_the_circuits_rating_is_the_lesser_of_breaker_and_wire(string terminals, string size) =>
        BenchDesk
            .Ask(
                BenchDesk.Find("wire")!,
                [("family", "ca-2021"), ("amps", "0"), ("continuous", "48"), ("terminations", terminals), ("method", "conduit")]
            )["size"]
            .ShouldBe(size);

    [Fact]
    public void In_Canada_a_built_in_cooktop_and_oven_are_one_range()
    {
        BenchAnswer Ask(params string[] loads) =>
            BenchDesk.Ask(BenchDesk.Find("service")!, [("edition", "ca-2021"), ("area-m2", "150"), .. loads.Select(l => ("load", l))]);
        Ask("cooktop:7200", "wall-oven:4800").Derivation.Steps.Single(s => s.What == "Range").Result.ShouldBe("6,000 VA");
        Ask("cooktop:7200", "wall-oven:4800").Derivation.Steps.ShouldNotContain(s => s.What.StartsWith("Other"));
        Ask("range:12000", "wall-oven:4800").Derivation.Steps.Single(s => s.What.StartsWith("Other")).Result.ShouldBe("1,200 VA");
    }

    [Theory]
    [InlineData("0", "11", "385", "10")]
    [InlineData("14", "0", "1400", "16")]
    [InlineData("12", "0", "1200", "10")]
    [InlineData("20", "0", "2000", "16")]
    [InlineData("21", "0", "2100", null)]
    public void Lamps_of_a_split_board_go_by_their_watts(string lamps, string led, string watts, string? breaker)
    {
        var answer = BenchDesk.Ask(BenchDesk.Find("lamps")!, [("lamps", lamps), ("led", led)]);
        $"{answer["watts"]}".ShouldBe(watts);
        answer["breaker"]?.ToString().ShouldBe(breaker);
    }

    [Fact]
    public void A_box_that_does_not_fit_is_not_offered_again()
    {
        var answer = BenchDesk.Ask(
            BenchDesk.Find("box")!,
            [("wires", "12:7"), ("grounds", "12:3"), ("devices", "12:1"), ("clamps", "yes"), ("volume", "22.5")]
        );
        answer["passes"].ShouldBe(false);
        answer["smallestBox"]!.ToString()!.ShouldNotContain("22.5");
        BenchDesk.Ask(BenchDesk.Find("box")!, [("wires", "6:3"), ("grounds", "10:1"), ("wide-devices", "6:1")])["smallestBox"]!
            .ToString()!
            .ShouldContain("two-gang");
    }

    [Fact]
    public void Receptacles_in_a_dwelling_have_no_limit_on_the_bench()
    {
        BenchAnswer Ask(string count, string lights) =>
            BenchDesk.Ask(BenchDesk.Find("circuit")!, [("breaker", "20"), ("receptacles", count), ("lights", lights)]);
        Ask("14", "100")["passes"].ShouldBe(true);
        Ask("14", "100").Derivation.Because.ShouldContain("practice");
        Ask("1", "2500")["passes"].ShouldBe(false);
    }
}
