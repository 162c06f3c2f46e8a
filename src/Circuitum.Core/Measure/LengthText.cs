using System.Globalization;
using System.Text.RegularExpressions;

namespace Circuitum.Core.Measure;

/// <summary>
/// Reads and prints lengths the way they are said on site: <c>12'6</c>, <c>12-6</c>, <c>12.5'</c>, <c>150 in</c>,
/// <c>7 1/2"</c>, <c>3.8 m</c>, <c>3800</c> (millimetres).
/// </summary>
public static partial class LengthText
{
    /// <summary>The longest length that is accepted anywhere: longer than any house, short enough never to overflow.</summary>
    public static readonly Length Longest = Length.Feet(2000);

    /// <summary>Prints in feet and inches to the sixteenth when that is exact, otherwise in millimetres.</summary>
    public static string Print(Length length)
    {
        var sign = length.Units < 0 ? "-" : "";
        var units = Math.Abs(length.Units);
        if (units % Length.UnitsPerSixteenth != 0)
        {
            var whole = units / Length.UnitsPerMillimetre;
            var rest = units % Length.UnitsPerMillimetre;
            var decimals = rest == 0 ? "" : "." + rest.ToString("0000", CultureInfo.InvariantCulture).TrimEnd('0');
            return $"{sign}{whole}{decimals} mm";
        }

        var sixteenths = units / Length.UnitsPerSixteenth;
        var feet = sixteenths / 192;
        var inches = sixteenths % 192 / 16;
        return $"{sign}{feet}'{inches}{Fraction(sixteenths % 16)}";
    }

    /// <summary>Prints with both marks, for people: <c>12'-6 1/2"</c>; under a foot only inches: <c>7 1/2"</c>.</summary>
    public static string Show(Length length)
    {
        var rounded = length.RoundTo(new Length(Length.UnitsPerSixteenth));
        var sixteenths = Math.Abs(rounded.Units) / Length.UnitsPerSixteenth;
        var sign = rounded.Units < 0 ? "-" : "";
        var feet = sixteenths / 192;
        var inches = $"{sixteenths % 192 / 16}{Fraction(sixteenths % 16)}\"";
        return feet == 0 ? sign + inches : $"{sign}{feet}'-{inches}";
    }

    /// <summary>Reads a length; a bare number is feet or millimetres.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="length">The length, when it could be read.</param>
    /// <param name="problem">Otherwise a sentence that says what to type instead.</param>
    public static bool TryParse(string? text, out Length length, out string problem) =>
        TryParse(text, LengthUnits.FeetInches, out length, out problem);

    /// <summary>Reads a length.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="units">What a bare number means.</param>
    /// <param name="length">The length, when it could be read.</param>
    /// <param name="problem">Otherwise a sentence that says what to type instead.</param>
    public static bool TryParse(string? text, LengthUnits units, out Length length, out string problem)
    {
        length = default;
        problem = "";
        var typed = (text ?? "").Trim();
        if (typed.Length is 0 or > 40)
        {
            problem = "Type a length such as 12'6, 150 in or 3.8 m.";
            return false;
        }

        var negative = typed.StartsWith('-');
        var body = Normalise(negative ? typed[1..].TrimStart() : typed);
        if (FeetInches().Match(body) is { Success: true } both)
            return FromFeetInches(both, negative, typed, out length, out problem);
        if (WithUnit().Match(body) is { Success: true } unit)
            return FromUnit(unit, units, negative, typed, out length, out problem);
        problem = $"'{Shorten(typed)}' is not a length. Type 12'6, 12-6, 150 in, 3.8 m or 3800 (millimetres).";
        return false;
    }

    /// <summary>Reads a length that is known to be good, such as one in a test.</summary>
    /// <exception cref="FormatException">The text is not a length.</exception>
    public static Length Parse(string text) =>
        TryParse(text, out var length, out var problem) ? length : throw new FormatException(problem);

    private const int LargestRoomFeet = 60;
    private const int LeastBareMillimetres = 300;

    private static string Normalise(string text) =>
        text.Replace('\u2032', '\'').Replace('\u2019', '\'').Replace('\u2033', '"').Replace('\u201d', '"').ToLowerInvariant();

    private static string Shorten(string text) => text.Length > 24 ? text[..24] + "..." : text;

    private static string Fraction(long sixteenths)
    {
        if (sixteenths == 0)
            return "";
        var divisor =
            sixteenths % 8 == 0 ? 8
            : sixteenths % 4 == 0 ? 4
            : sixteenths % 2 == 0 ? 2
            : 1;
        return $" {sixteenths / divisor}/{16 / divisor}";
    }

    private static bool FromFeetInches(Match match, bool negative, string typed, out Length length, out string problem)
    {
        var inches = match.Groups["in"].Success ? Decimal(match.Groups["in"].Value) : 0;
        if (inches >= 12)
        {
            length = default;
            problem = $"'{Shorten(typed)}' has {inches} inches after the feet; inches there go to 11 15/16.";
            return false;
        }

        if (!TryFraction(match.Groups["n"], match.Groups["d"], out var part))
        {
            length = default;
            problem = $"'{Shorten(typed)}' has a fraction that is not halves to sixteenths.";
            return false;
        }

        return InSixteenths((Decimal(match.Groups["ft"].Value) * 12) + inches + part, negative, typed, out length, out problem);
    }

    private static bool FromUnit(Match match, LengthUnits units, bool negative, string typed, out Length length, out string problem)
    {
        var number = Decimal(match.Groups["num"].Value);
        if (!TryFraction(match.Groups["n"], match.Groups["d"], out var part))
        {
            length = default;
            problem = $"'{Shorten(typed)}' has a fraction that is not halves to sixteenths.";
            return false;
        }

        number += part;
        switch (match.Groups["unit"].Value)
        {
            case "'" or "ft" or "feet" or "foot":
                return InSixteenths(number * 12, negative, typed, out length, out problem);
            case "\"" or "in" or "inch" or "inches":
                return InSixteenths(number, negative, typed, out length, out problem);
            case "mm":
                return InMillimetres(number, negative, typed, out length, out problem);
            case "cm":
                return InMillimetres(number * 10, negative, typed, out length, out problem);
            case "m":
                return InMillimetres(number * 1000, negative, typed, out length, out problem);
        }

        // A bare number is feet or metres while it is the size of a room and millimetres once only millimetres make sense.
        if (number < LargestRoomFeet && units == LengthUnits.Metric)
            return InMillimetres(number * 1000, negative, typed, out length, out problem);
        if (number <= LargestRoomFeet && units == LengthUnits.FeetInches)
            return InSixteenths(number * 12, negative, typed, out length, out problem);
        if (number >= LeastBareMillimetres || units == LengthUnits.Metric)
            return InMillimetres(number, negative, typed, out length, out problem);
        length = default;
        problem =
            $"'{Shorten(typed)}' could be feet, inches or millimetres. Say which: {match.Groups["num"].Value} in, "
            + $"{match.Groups["num"].Value}' or {match.Groups["num"].Value} mm.";
        return false;
    }

    private static decimal Decimal(string text) => decimal.Parse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);

    private static bool TryFraction(Group numerator, Group denominator, out decimal value)
    {
        value = 0;
        if (!numerator.Success)
            return true;
        var top = Decimal(numerator.Value);
        var bottom = Decimal(denominator.Value);
        if (bottom is not (2 or 4 or 8 or 16) || top >= bottom)
            return false;
        value = top / bottom;
        return true;
    }

    private static bool InSixteenths(decimal inches, bool negative, string typed, out Length length, out string problem) =>
        Bounded(
            Math.Round(inches * 16, MidpointRounding.AwayFromZero) * Length.UnitsPerSixteenth,
            negative,
            typed,
            out length,
            out problem
        );

    private static bool InMillimetres(decimal millimetres, bool negative, string typed, out Length length, out string problem) =>
        Bounded(
            Math.Round(millimetres * Length.UnitsPerMillimetre, MidpointRounding.AwayFromZero),
            negative,
            typed,
            out length,
            out problem
        );

    private static bool Bounded(decimal units, bool negative, string typed, out Length length, out string problem)
    {
        length = default;
        problem = "";
        if (units > Longest.Units)
        {
            problem =
                $"'{Shorten(typed)}' is longer than {Longest.InFeet:0} ft, the longest length a job can hold."
                + (Metres().IsMatch(typed) ? " If millimetres are meant, write mm." : "");
            return false;
        }

        length = new Length(negative ? -(long)units : (long)units);
        return true;
    }

    private const string TypedInches = @"[0-9]{1,3}(\.[0-9]{1,6})?";
    private const string TypedFraction = "(?<n>[0-9]{1,2})/(?<d>[0-9]{1,2})";
    private const string InchMark = @"\s*(?:""|in)?$";
    private const string TypedUnit = """(?<unit>'|ft|feet|foot|"|in|inch|inches|mm|cm|m)""";

    // 12'6, 12' 6-1/2", 12 ft 1/2 in; or with a dash in place of the foot mark, 12-6 1/2.
    [GeneratedRegex(
        $@"^(?<ft>[0-9]{{1,6}}(\.[0-9]{{1,6}})?)\s*(?:'|ft)\s*-?\s*"
            + $@"(?:(?<in>{TypedInches})(?:[\s-]+{TypedFraction})?|{TypedFraction}){InchMark}"
            + $@"|^(?<ft>[0-9]{{1,6}})-(?<in>{TypedInches})(?:\s+{TypedFraction})?{InchMark}",
        RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture
    )]
    private static partial Regex FeetInches();

    // 3600 mm, 3.6 m, 30 1/2 in, 30-1/2".
    [GeneratedRegex(
        $@"^(?<num>[0-9]{{1,9}}(\.[0-9]{{1,6}})?)(?:\s+{TypedFraction})?\s*{TypedUnit}?$"
            + $@"|^(?<num>[0-9]{{1,6}})-{TypedFraction}\s*{TypedUnit}$",
        RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture
    )]
    private static partial Regex WithUnit();

    [GeneratedRegex(@"^\s*\d+\s*m\s*$")]
    private static partial Regex Metres();
}
