using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Shouldly;
using Xunit;

namespace Circuitum.Core.Tests;

public class QuantityTests
{
    [Fact]
    public void Money_is_exact_in_cents_and_told_in_dollars()
    {
        (Money.OfCents(0.5), Money.OfCents(-0.5)).ShouldBe((new Money(1), new Money(-1)));
        (new Money(123456) - new Money(23456)).ShouldBe(new Money(100000));
        new Money(123456).ToString().ShouldBe("$1,235");
        (new Money(500).Signed(), new Money(-500).Signed()).ShouldBe(("+$5", "-$5"));
        (new Money(1) > new Money(0) && new Money(-1) <= new Money(-1)).ShouldBeTrue();
    }

    [Fact]
    public void A_limit_is_compared_as_a_number_and_spoken_with_its_unit()
    {
        var reach = CodeLibrary.Edition("us-2023").Number("wallReachIn");
        (reach > 71.9 && reach.Length == Length.Feet(6)).ShouldBeTrue();
        ($"{reach}", $"{reach:0}", reach.Whole).ShouldBe(("6'-0\"", "72", 72));
        Should.Throw<InvalidOperationException>(() => new Limit("serviceLeastA", 100).Length);
        Should.Throw<InvalidOperationException>(() => new Limit("wallReachIn", 70.5).Whole);
        foreach (var id in CodeLibrary.EditionIds)
        {
            var edition = CodeLibrary.Edition(id);
            edition
                .Numbers.Keys.Select(n => $"{edition.Number(n)}")
                .ShouldAllBe(text => text.Length > 0 && char.IsDigit(text.TrimStart('-')[0]));
        }
    }

    [Theory]
    [InlineData("14", LengthUnits.FeetInches, "14'0")]
    [InlineData("3600", LengthUnits.FeetInches, "3600 mm")]
    [InlineData("3.6", LengthUnits.Metric, "3600 mm")]
    [InlineData("150", LengthUnits.Metric, "150 mm")]
    [InlineData("60", LengthUnits.Metric, "60 mm")]
    [InlineData("12'6", LengthUnits.Metric, "12'6")]
    [InlineData("14 in", LengthUnits.Metric, "1'2")]
    public void A_bare_number_means_what_the_jobs_units_say(string typed, LengthUnits units, string length)
    {
        LengthText.TryParse(typed, units, out var read, out _).ShouldBeTrue();
        LengthText.Print(read).ShouldBe(length);
    }

    [Fact]
    public void Loads_on_lines_add_up_line_by_line_and_rows_of_a_panel_take_the_lines_in_turn()
    {
        var loads = LineLoads.Sum(
            CodeLibrary.Newest.Supply,
            [
                LineLoads.On(CodeLibrary.Newest.Supply, 0, new(1000)),
                LineLoads.On(CodeLibrary.Newest.Supply, 1, new(400)),
                LineLoads.On(CodeLibrary.Newest.Supply, 0, new(200)),
            ]
        );
        loads.ToString().ShouldBe("A 1,200 VA, B 400 VA");
        (loads.Total, loads.Gap, loads.Most).ShouldBe((new VoltAmperes(1600), new VoltAmperes(800), new VoltAmperes(1200)));
        Enumerable.Range(1, 8).Select(CodeLibrary.Newest.Supply.LineOf).ShouldBe([0, 0, 1, 1, 0, 0, 1, 1]);
        CodeLibrary.Newest.Supply.Headings("VA").ShouldBe(["Leg A VA", "Leg B VA"]);
    }
}
