using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

public class MeasureTests
{
    [Theory]
    [InlineData("12'6", 150)]
    [InlineData("12-6", 150)]
    [InlineData("12.5'", 150)]
    [InlineData("150 in", 150)]
    [InlineData("12' 6\"", 150)]
    [InlineData("12'6 1/2", 150.5)]
    [InlineData("7 1/2\"", 7.5)]
    [InlineData("4-1/2 in", 4.5)]
    [InlineData("11", 132)]
    [InlineData("12 ft", 144)]
    [InlineData("-3'0", -36)]
    [InlineData("12′6″", 150)]
    public void Feet_and_inches(string text, double inches) => LengthText.Parse(text).InInches.ShouldBe(inches);

    [Theory]
    [InlineData("3.8 m", 3800)]
    [InlineData("3800", 3800)]
    [InlineData("3800 mm", 3800)]
    [InlineData("380 cm", 3800)]
    public void Metric(string text, long millimetres) => LengthText.Parse(text).ShouldBe(Length.Millimetres(millimetres));

    [Theory]
    [InlineData("")]
    [InlineData("abc")]
    [InlineData("12'13")]
    [InlineData("150")]
    [InlineData("1/0")]
    [InlineData("4-1/2")]
    [InlineData("12'6 3/7")]
    [InlineData("99999999")]
    [InlineData("=1+1")]
    [InlineData("NaN")]
    public void What_cannot_be_read_gets_a_sentence(string text)
    {
        LengthText.TryParse(text, out _, out var problem).ShouldBeFalse();
        problem.ShouldEndWith(problem.EndsWith(')') ? ")." : problem[^1..]);
        problem.Length.ShouldBeGreaterThan(15);
    }

    [Fact]
    public void Every_sixteenth_to_200_ft_prints_and_reads_back()
    {
        for (long s = -16; s <= 200 * 192; s++)
        {
            var length = new Length(s * Length.UnitsPerSixteenth);
            LengthText.Parse(LengthText.Print(length)).ShouldBe(length);
        }
    }

    [Fact]
    public void Every_millimetre_to_10_m_prints_and_reads_back()
    {
        for (var mm = 0; mm <= 10_000; mm++)
            LengthText.Parse(LengthText.Print(Length.Millimetres(mm))).ShouldBe(Length.Millimetres(mm));
    }
}
