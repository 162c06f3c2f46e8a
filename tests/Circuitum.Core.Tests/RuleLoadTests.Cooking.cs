using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

// Neutrals, plates and cooking.
public partial class RuleLoadTests
{
    [Theory]
    [InlineData("water-heater", 120, 400.0, 20)]
    [InlineData("water-heater", 240, 4500.0, 30)]
    [InlineData("baseboard", 240, 750.0, 20)]
    [InlineData("dryer", 240, 2400.0, 20)]
    public void A_confirmed_plate_wins_over_the_usual_breaker(string type, int volts, double va, int most)
    {
        var c = CircuitOf(
            Analyzer.Analyze(
                With(
                    type,
                    new Nameplate
                    {
                        Volts = volts,
                        VoltAmperes = va,
                        Confirmed = true,
                    }
                )
            ),
            "extra"
        );
        c.Breaker.ShouldBeLessThanOrEqualTo(most);
        if (most <= 20)
            c.Wire!.Size.ShouldBeOneOf(WireSize.Parse("14"), WireSize.Parse("12"));
    }

    [Theory]
    [InlineData("mini-split", 240, 3000.0)]
    [InlineData("air-compressor", 240, 3000.0)]
    [InlineData("cooktop", 240, 9600.0)]
    public void What_works_at_240_V_alone_takes_no_neutral(string type, int volts, double va)
    {
        var job = With(
            type,
            new Nameplate
            {
                Volts = volts,
                VoltAmperes = va,
                Confirmed = true,
            }
        );
        var a = Analyzer.Analyze(job);
        CircuitOf(a, "extra").Cable.Conductors.ShouldBe(2);
        a.ServiceCase.Items.Single(i => i.Boxes.Contains(job.Decisions.Boxes.Single(b => b.Appliance == "extra").Id))
            .Neutral.ShouldBeFalse();
    }

    [Theory]
    [InlineData("8", 6400.0)]
    [InlineData("8.75", 7000.0)]
    [InlineData("9", 8000.0)]
    [InlineData("1.75", 1750.0)]
    [InlineData("1.7 12", 9700.0)]
    public void Cooking_goes_by_the_smaller_column_and_what_is_small_in_full(string plates, double va) =>
        CookingDemand
            .Of(
                [
                    .. plates
                        .Split(' ')
                        .Select(p => new VoltAmperes(double.Parse(p, System.Globalization.CultureInfo.InvariantCulture) * 1000)),
                ],
                CodeLibrary.Edition("us-2023")
            )
            .Demand.Value.ShouldBe(va, 0.5);

    [Fact]
    public void A_cooktop_and_two_ovens_on_one_circuit_are_one_range()
    {
        ApplianceOn("cooktop", 7200, "wall-oven", 4800).ShouldBe(8000 / 240.0, 0.1);
        ApplianceOn("cooktop", 7200, "wall-oven", 3000, "wall-oven", 3000).ShouldBe(8000 * 1.05 / 240, 0.1);
        ApplianceOn("wall-oven", 4800).ShouldBe(20, 0.1);
        ApplianceOn("cooktop", 7200, "cooktop", 4800).ShouldBe(50, 0.1);
    }

    private static double ApplianceOn(params object[] told)
    {
        var pairs = told.Chunk(2)
            .Select(
                (p, n) =>
                    new Appliance
                    {
                        Id = $"x{n}",
                        Type = (string)p[0],
                        Room = "kitchen",
                        Nameplate = new Nameplate
                        {
                            VoltAmperes = Convert.ToDouble(p[1], System.Globalization.CultureInfo.InvariantCulture),
                        },
                    }
            )
            .ToList();
        var job = Sample.Flat() with { Appliances = [.. pairs] };
        return CircuitLoad
            .Of(
                job,
                CodeLibrary.Edition("us-2023"),
                CircuitPurpose.Appliance,
                [
                    .. pairs.Select(p => new Box
                    {
                        Id = $"b{p.Id}",
                        Kind = BoxKind.Appliance,
                        Appliance = p.Id,
                        Room = "kitchen",
                    }),
                ]
            )
            .Sizing.Value;
    }
}
