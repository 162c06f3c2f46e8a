using System.Globalization;
using System.Text.RegularExpressions;

namespace Circuitum.Web.Tests;

/// <summary>By day and by night every text and every pencil stands out against what it is drawn on.</summary>
public partial class ThemeTests
{
    private const double Text = 4.5;
    private const double Line = 3;

    public static TheoryData<int> Hours => [1, 2];

    [Theory]
    [MemberData(nameof(Hours))]
    public void Texts_and_pencils_stand_out_by_day_and_by_night(int hour)
    {
        var css = File.ReadAllText(Path.Combine(WebHouse.Root(), "src", "Circuitum.Web", "Styles", "theme.css"));
        var colors = Pair().Matches(css).ToDictionary(m => m.Groups["name"].Value, m => m.Groups[hour == 1 ? "day" : "night"].Value);
        colors.Count.ShouldBeGreaterThan(25);
        string[] grounds = ["paper", "sheet"];
        string[] texts = ["ink", "pencil", "soft", "work", "warn", "stop"];
        var faint = (
            from ground in grounds
            from text in texts
            let contrast = Contrast(colors[text], colors[ground])
            where contrast < Text
            select $"{text} on {ground}: {contrast:0.00}"
        ).Concat(
            from pencil in Enumerable.Range(1, 8)
            let contrast = Contrast(colors[$"pencil-{pencil}"], colors["sheet"])
            where contrast < Line
            select $"pencil {pencil}: {contrast:0.00}"
        );
        faint.ShouldBeEmpty();
        Contrast(colors["on-work"], colors["work"]).ShouldBeGreaterThan(Text);
    }

    // By the formula of the web's guidelines.
    private static double Contrast(string one, string other)
    {
        var (a, b) = (Light(one), Light(other));
        return (Math.Max(a, b) + 0.05) / (Math.Min(a, b) + 0.05);
    }

    private static double Light(string color)
    {
        var digits = color.Length == 4 ? string.Concat(color[1..].Select(c => $"{c}{c}")) : color[1..];
        var parts = Enumerable
            .Range(0, 3)
            .Select(i => int.Parse(digits.AsSpan(2 * i, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture) / 255.0)
            .Select(v => v <= 0.03928 ? v / 12.92 : Math.Pow((v + 0.055) / 1.055, 2.4))
            .ToList();
        return (0.2126 * parts[0]) + (0.7152 * parts[1]) + (0.0722 * parts[2]);
    }

    [GeneratedRegex(@"--color-(?<name>[a-z0-9-]+): light-dark\((?<day>#[0-9a-f]+), (?<night>#[0-9a-f]+)\)")]
    private static partial Regex Pair();
}
