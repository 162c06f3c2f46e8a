using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Tests;

/// <summary>Neutral, conductors, electrode, and what relieves a service.</summary>
public class ServiceSheetTests
{
    private static readonly CodeEdition Us2023 = CodeLibrary.Edition("us-2023");

    private static ServiceItem Item(double va, ServiceItemKind kind, bool neutral, bool motor = false) =>
        new("x", new(va), kind, motor, neutral);

    [Fact]
    public void The_neutral_carries_what_is_unbalanced()
    {
        // 2100 sq ft: general 5730; dishwasher 1200 and disposer 800 of 120 V; range 8000 and dryer 5000 at 70 percent; disposer's motor
        // 200. The water heater and the cooling have no neutral.
        var c = new ServiceCase
        {
            AreaSqFt = 2100,
            Items =
            [
                Item(12_000, ServiceItemKind.Cooking, true),
                Item(5000, ServiceItemKind.Dryer, true),
                Item(4500, ServiceItemKind.Fixed, false),
                Item(1200, ServiceItemKind.Fixed, true),
                Item(800, ServiceItemKind.Fixed, true, true),
                Item(4800, ServiceItemKind.Cooling, false, true),
            ],
        };
        var neutral = ServiceLoad.Neutral(c, Us2023);
        neutral.Result.ShouldBe($"{5730 + 2000 + 5600 + 3500 + 200:#,0} VA, {(5730 + 2000 + 5600 + 3500 + 200) / 240.0:0.0} A");
        neutral.Steps.Select(s => s.Citation).ShouldBe(["220.45", "220.53", "220.61(B)", "220.61(B)", "220.50"]);

        // A fourth large appliance brings 75 percent for all of them.
        ServiceLoad
            .Neutral(c with { Items = c.Items.Add(Item(1500, ServiceItemKind.Fixed, true)) }, Us2023)
            .Steps[1]
            .Result.ShouldBe("2,625 VA");
    }

    [Theory]
    [InlineData("us-2017", "220.12", "220.42", 4920, 6000)]
    [InlineData("us-2020", "220.14(J)", "220.42", 6560, 6000)]
    [InlineData("us-2023", "220.41", "220.45", 6560, 7200)]
    public void Editions_differ_in_small_appliances_charging_and_sections(
        string id,
        string general,
        string demand,
        double appliances,
        double charging
    )
    {
        // 4500 + 1200 + 800 and a fan of 60: four of whatever size count at 75 percent until 2017, of 500 W and over after it. A charger of
        // 6000 VA.
        var edition = CodeLibrary.Edition(id);
        var load = ServiceLoad.Standard(
            new()
            {
                AreaSqFt = 1000,
                Items =
                [
                    .. new[] { 4500.0, 1200, 800, 60 }.Select(va => Item(va, ServiceItemKind.Fixed, true)),
                    Item(6000, ServiceItemKind.Charging, false) with
                    {
                        Name = "Charger",
                    },
                ],
            },
            edition
        );
        var steps = load.Derivation.Steps;
        (steps[0].Citation, steps[0].Steps[0].Citation).ShouldBe((demand, general));
        steps.Single(s => s.What == "Appliances fastened in place").Result.ShouldBe($"{appliances:#,0} VA");
        steps.Single(s => s.What == "Charger").Result.ShouldBe($"{charging:#,0} VA");
    }

    [Fact]
    public void The_sheet_tells_what_other_editions_would_make_of_the_house()
    {
        var job = CheckTests.PlannedWhole with
        {
            Appliances = CheckTests.PlannedWhole.Appliances.Add(
                CheckTests.PlannedWhole.Appliances[0] with
                {
                    Id = "ev",
                    Type = "ev-charger",
                    Name = "Charger",
                    Nameplate = new() { VoltAmperes = 6000 },
                }
            ),
        };
        var a = Analyzer.Analyze(job);
        var editions = ServiceSheet.EditionsOf(a);
        editions.Select(e => e.Edition.Id).ShouldBe(CodeLibrary.IdsOf("us"));
        editions
            .Single(e => e.Edition.Id == "us-2023")
            .ShouldSatisfyAllConditions(
                e => e.Differs.ShouldBeEmpty(),
                e => e.Loads.Select(l => l.Total).ShouldBe(a.ServiceLoads.Select(l => l.Total))
            );
        editions
            .Single(e => e.Edition.Id == "us-2020")
            .Differs.ShouldContain("Charger, standard method: 6,000 VA instead of 7,200 VA (220.14(A), 625.42)");
    }

    [Theory]
    [InlineData(100, "4 copper or 2 aluminum", "8 copper or 6 aluminum")]
    [InlineData(125, "2 copper or 1/0 aluminum", "8 copper or 6 aluminum")]
    [InlineData(150, "1 copper or 2/0 aluminum", "6 copper or 4 aluminum")]
    [InlineData(200, "2/0 copper or 4/0 aluminum", "4 copper or 2 aluminum")]
    [InlineData(400, "400 copper or 600 aluminum", "1/0 copper or 3/0 aluminum")]
    public void Conductors_go_by_the_main_breaker(int main, string conductors, string electrode)
    {
        var a = Analyzer.Analyze(CheckTests.PlannedWhole with { Panels = [CheckTests.PlannedWhole.Panels[0] with { MainBreaker = main }] });
        var sheet = ServiceSheet.Of(a);
        sheet.Conductors.Result.ShouldBe(conductors);
        sheet.Conductors.Steps.Single(s => s.What == ServiceSheet.ElectrodeConductor).Result.ShouldBe(electrode);
        sheet.Conductors.Steps.Single(s => s.What == "Main breaker").Result.ShouldBe($"{main} A");
        sheet.Used.ShouldBe(a.Service.Current.Value / main, 1e-9);
    }

    [Fact]
    public void A_service_near_its_limit_tells_what_would_relieve_it()
    {
        var job = CheckTests.PlannedWhole;
        JobAnalysis With(int main) =>
            Analyzer.Analyze(
                job with
                {
                    Panels = [job.Panels[0] with { MainBreaker = main }],
                    Appliances = job.Appliances.Add(
                        new Appliance
                        {
                            Id = "ev",
                            Type = "ev-charger",
                            Room = "garage",
                            Spot = new Spot
                            {
                                Wall = 3,
                                From = Length.Feet(12),
                                Width = Length.Feet(1),
                                Depth = Length.Inches(6),
                            },
                        }
                    ),
                }
            );
        ServiceSheet.Of(With(400)).Reliefs.ShouldBeEmpty();
        var a = With(60);
        var reliefs = ServiceSheet.Of(a).Reliefs;
        reliefs.ShouldNotBeEmpty();
        reliefs.Select(r => r.Saved.Value).ShouldBe(reliefs.Select(r => r.Saved.Value).OrderDescending());

        // Under 100 A only the standard method is there, in which a charger of 9600 VA weighs all of it: 40 A.
        reliefs.ShouldContain(r => r.What.StartsWith("Car charger by") && Math.Abs(r.Saved.Value - (9600 / 240.0)) < 0.01);
    }

    [Theory]
    [InlineData("4800 4800", 6240, "columns A and B")]
    [InlineData("9600 4800", 11000, "column C")]
    [InlineData("3000 4800", 6240, "columns A and B")]
    [InlineData("12000", 8000, "column C")]
    [InlineData("14000 14000", 12100, "column C")]
    public void Cooking_appliances_go_through_the_table_together(string plates, double demand, string column)
    {
        // 9.6 kW x 65 percent; column C for two: 11 kW; 3.0 x 80 + 4.8 x 80 percent; average 14 kW: 11 x 1.10.
        ServiceItem[] items =
        [
            .. plates
                .Split(' ')
                .Select(p => Item(double.Parse(p, System.Globalization.CultureInfo.InvariantCulture), ServiceItemKind.Cooking, true)),
        ];
        var with = ServiceLoad.Standard(new() { AreaSqFt = 1000, Items = [.. items] }, Us2023);
        (with.Total.Value - ServiceLoad.Standard(new() { AreaSqFt = 1000 }, Us2023).Total.Value).ShouldBe(demand, 0.5);
        with.Derivation.Steps.Single(s => s.Citation == "220.55").Steps[0].Citation.ShouldBe($"220.55, {column}");
        ServiceLoad
            .Neutral(new() { AreaSqFt = 1000, Items = [.. items] }, Us2023)
            .Steps.Single(s => s.What == "Cooking")
            .Result.ShouldBe($"{demand * 0.7:#,0} VA");
    }
}
