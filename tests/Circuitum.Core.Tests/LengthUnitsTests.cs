using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Lengths and areas told in either unit.</summary>
public class LengthUnitsTests
{
    [Theory]
    [InlineData("3600 mm", "3.6 m")]
    [InlineData("999 mm", "999 mm")]
    [InlineData("1000 mm", "1.0 m")]
    [InlineData("999.6 mm", "1.0 m")]
    [InlineData("8'", "2.438 m")]
    [InlineData("-6 in", "-152 mm")]
    public void People_read_metres_from_one_on_and_millimetres_under_it(string length, string told) =>
        LengthText.Show(Parse(length), LengthUnits.Metric).ShouldBe(told);

    private static Length Parse(string text) => text.StartsWith('-') ? -LengthText.Parse(text[1..]) : LengthText.Parse(text);

    [Theory]
    [InlineData(LengthUnits.FeetInches)]
    [InlineData(LengthUnits.Metric)]
    public void What_stands_in_a_field_is_read_again_as_just_that_length(LengthUnits units)
    {
        var random = new Random(7);
        for (var i = 0; i < 5000; i++)
        {
            var length =
                random.Next(3) == 0 ? Length.Millimetres(random.Next(0, 90_000))
                : random.Next(2) == 0 ? Length.Inches(random.Next(0, 40_000) / 16.0)
                : new Length(random.NextInt64(0, 60 * Length.UnitsPerFoot));
            LengthText.TryParse(LengthText.Print(length, units), units, out var read, out var problem).ShouldBeTrue(problem);
            read.ShouldBe(length);
        }
    }

    [Theory]
    [InlineData(25, "0", "25 ft", "7.6 m")]
    [InlineData(25.5, "0.#", "25.5 ft", "7.77 m")]
    [InlineData(1900, "#,0", "1,900 ft", "579 m")]
    [InlineData(-3, "+0;-0;0", "-3 ft", "-0.9 m")]
    [InlineData(0, "+0;-0;0", "0 ft", "0 m")]
    [InlineData(3, "+0.#;-0.#", "+3 ft", "+0.91 m")]
    public void Cable_in_metres_has_a_digit_more(double feet, string format, string inFeet, string inMetres)
    {
        LengthText.Far(feet, LengthUnits.FeetInches, format).ShouldBe(inFeet);
        LengthText.Far(feet, LengthUnits.Metric, format).ShouldBe(inMetres);
    }

    [Fact]
    public void A_floor_area_is_told_in_either() =>
        (FloorArea.Show(1240, LengthUnits.FeetInches), FloorArea.Show(1240, LengthUnits.Metric)).ShouldBe(("1,240 sq ft", "115.2 m2"));
}
