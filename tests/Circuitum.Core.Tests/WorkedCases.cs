using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

/// <summary>Cases worked by hand on paper.</summary>
public partial class WorkedCases
{
    private static readonly CodeEdition Us2023 = CodeLibrary.Edition("us-2023");

    private static BoxLoad Fixed(double amps, bool continuous = false) => new(new Box(), new(amps * 120), continuous, LoadKind.Fixed, "");

    private static readonly BoxLoad Light = new(new Box(), new(60), false, LoadKind.Light, "");

    public static TheoryData<string, double, bool, double, bool, bool, string> CircuitLoads =>
        new()
        {
            { "two fixed appliances, 16.5 A", 9.5, false, 7.0, false, false, "" },
            { "the first continuous, 18.875 A", 9.5, true, 7.0, false, false, "" },
            { "with a light: 16.5 A over half", 9.5, false, 7.0, false, true, "circuit.half" },
            { "9.9 A of fixed load beside lights", 6.0, false, 3.9, false, true, "" },
            { "10.1 A of fixed load beside lights", 6.0, false, 4.1, false, true, "circuit.half" },
            { "14 and 7 A", 14, false, 7, false, false, "circuit.overload" },
            { "16.1 A continuous", 16.1, true, 0, false, false, "circuit.overload" },
            { "16 A continuous", 16, true, 0, false, false, "" },
        };

    [Theory]
    [MemberData(nameof(CircuitLoads))]
    public void A_20_A_circuit(
        string what,
        double first,
        bool firstContinuous,
        double second,
        bool secondContinuous,
        bool light,
        string breach
    )
    {
        List<BoxLoad> loads = [Fixed(first, firstContinuous), Fixed(second, secondContinuous)];
        if (light)
            loads.Add(Light);
        var found = LoadLimits.Check(Us2023, 20, 120, loads).Select(b => b.RuleId).ToList();
        found.ShouldBe(breach.Length == 0 ? [] : [breach], what);
    }

    [Theory]
    [InlineData(15, 12.0, true)]
    [InlineData(15, 12.1, false)]
    [InlineData(20, 16.0, true)]
    [InlineData(20, 16.1, false)]
    public void One_plug_in_appliance_takes_80_percent_at_most(int breaker, double amps, bool passes) =>
        LoadLimits
            .Check(Us2023, breaker, 120, [new(new Box(), new(amps * 120), false, LoadKind.PlugIn, "")])
            .Any(b => b.RuleId == "circuit.plugIn")
            .ShouldBe(!passes);

    [Theory]
    [InlineData(8000, 6400)]
    [InlineData(12000, 8000)]
    [InlineData(12400, 8000)]
    [InlineData(12500, 8400)]
    [InlineData(13700, 8800)]
    [InlineData(16000, 9600)]
    [InlineData(7000, 5600)]
    public void Cooking_demand(double nameplate, double demand) =>
        CookingDemand.OfRange(new(nameplate), CodeLibrary.Edition("us-2023")).Demand.Value.ShouldBe(demand, 0.01);

    private static ServiceCase GasHouse =>
        new()
        {
            AreaSqFt = 2100,
            Items =
            [
                new("Range", new(12000), ServiceItemKind.Cooking),
                new("Dryer", new(5000), ServiceItemKind.Dryer),
                new("Water heater", new(4500), ServiceItemKind.Fixed),
                new("Dishwasher", new(1200), ServiceItemKind.Fixed),
                new("Disposer", new(800), ServiceItemKind.Fixed, true),
                new("Cooling", new(4800), ServiceItemKind.Cooling, true),
            ],
        };

    [Fact]
    public void Standard_service_load_of_a_2100_sq_ft_house()
    {
        var load = ServiceLoad.Standard(GasHouse, Us2023);
        load.Total.Value.ShouldBe(31_230, 0.5);
        load.Current.Value.ShouldBe(130.1, 0.05);
    }

    [Fact]
    public void Optional_service_load_of_the_same_house()
    {
        var load = ServiceLoad.Optional(GasHouse, Us2023);
        load.Total.Value.ShouldBe(24_520, 0.5);
        load.Current.Value.ShouldBe(102.2, 0.05);
    }

    [Fact]
    public void Four_appliances_count_at_75_percent_and_a_small_fan_does_not_make_the_fourth()
    {
        ServiceItem[] three =
        [
            new("Heater", new(4500), ServiceItemKind.Fixed),
            new("Dishwasher", new(1200), ServiceItemKind.Fixed),
            new("Disposer", new(800), ServiceItemKind.Fixed),
        ];
        var bare = ServiceLoad.Standard(new() { AreaSqFt = 1000 }, Us2023).Total.Value;
        (
            ServiceLoad
                .Standard(new() { AreaSqFt = 1000, Items = [.. three, new("Fan", new(60), ServiceItemKind.Fixed)] }, Us2023)
                .Total.Value - bare
        ).ShouldBe(6560, 0.5);
        (
            ServiceLoad
                .Standard(new() { AreaSqFt = 1000, Items = [.. three, new("Microwave", new(1500), ServiceItemKind.Fixed)] }, Us2023)
                .Total.Value - bare
        ).ShouldBe(6000, 0.5);
    }

    [Fact]
    public void A_heat_pump_and_its_strips_run_together()
    {
        ServiceItem[] heat = [new("Heat pump", new(5500), ServiceItemKind.HeatPump), new("Strips", new(10000), ServiceItemKind.Heating)];
        var bare = new ServiceCase { AreaSqFt = 1000 };
        (ServiceLoad.Standard(bare with { Items = [.. heat] }, Us2023).Total - ServiceLoad.Standard(bare, Us2023).Total).Value.ShouldBe(
            15_500,
            0.5
        );
        (ServiceLoad.Optional(bare with { Items = [.. heat] }, Us2023).Total - ServiceLoad.Optional(bare, Us2023).Total).Value.ShouldBe(
            12_000,
            0.5
        );
    }

    [Fact]
    public void Eleven_one_pole_loads_balance_to_10_VA()
    {
        int[] loads = [1800, 1440, 1500, 1200, 960, 1500, 720, 640, 1080, 380, 410];
        var onA = LegBalance.Split(loads, 8, 8);
        var a = loads.Where((_, i) => onA[i]).Sum();
        Math.Abs(a - (loads.Sum() - a)).ShouldBe(10);
    }

    [Theory]
    [InlineData(100, "4", "2")]
    [InlineData(200, "2/0", "4/0")]
    public void Service_conductors(int amperes, string copper, string aluminum)
    {
        var row = CodeLibrary.Conductors.Service.Single(r => r.Amperes == amperes);
        (row.Copper, row.Aluminum).ShouldBe((WireSize.Parse(copper), WireSize.Parse(aluminum)));
    }

    [Fact]
    public void A_100_A_feeder_that_is_not_the_whole_dwelling_is_3_copper() =>
        CodeLibrary.Conductors.Copper.First(r => r.C75 >= 100).Size.ShouldBe(WireSize.Parse("3"));

    [Theory]
    [InlineData(15, 4)]
    [InlineData(20, 3)]
    public void Least_lighting_circuits_of_1860_sq_ft(int rating, int circuits) =>
        Math.Ceiling(1860 * Us2023.Number("generalVaPerSqFt") / (120 * rating)).ShouldBe(circuits);
}
