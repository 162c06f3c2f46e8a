using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Entry;
using Circuitum.Core.Intake;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Edits;

/// <summary>Reads the fields of one edit. The first thing that is wrong is kept as a sentence that names its field.</summary>
/// <param name="values">The values of a field by its name; none when it is not there.</param>
/// <param name="names">All names.</param>
/// <param name="units">What a bare number means where a length is typed.</param>
internal sealed class EditReader(Func<string, IReadOnlyList<string>> values, IEnumerable<string> names, LengthUnits units)
{
    // No field holds more than this; what is longer is cut off before it is looked at.
    private const int LongestValue = 400;

    // Farther than this from its origin, in inches, nothing can be pointed at.
    private const double FarthestInches = 12_000;

    internal string Problem { get; private set; } = "";

    internal IEnumerable<string> Names => names;

    internal bool Has(string name) => values(name).Count > 0;

    /// <summary>The text of a field. Of a box to tick and the hidden field before it, the last one counts.</summary>
    internal string Text(string name) => values(name) is [.., var last] ? Cut(last) : "";

    internal IEnumerable<string> Many(string name) => values(name).Take(JobRules.MostBoxes).Select(Cut);

    /// <summary>The lines of a field of many lines; what is too much of them is left to the edit to refuse.</summary>
    internal ImmutableArray<string> Lines(string name)
    {
        if (values(name) is not [.., var text])
            return [];
        return
        [
            .. text[..Math.Min(text.Length, RoomList.MostLines * RoomList.LongestLine)]
                .ReplaceLineEndings("\n")
                .Split('\n', RoomList.MostLines + 2)
                .Select(l => l.Length > RoomList.LongestLine ? l[..(RoomList.LongestLine + 1)] : l),
        ];
    }

    internal void Wrong(string sentence)
    {
        if (Problem.Length == 0)
            Problem = sentence;
    }

    internal Length Length(string name, bool signed = false)
    {
        var text = Text(name);
        return signed && text.TrimStart() is ['-', .. var rest]
            ? -Length(rest, FieldNames.Label(name))
            : Length(text, FieldNames.Label(name));
    }

    /// <summary>What comes off a reel: a bare number is feet, or metres in a job that is told in metres, however large.</summary>
    internal Length OffReel(string name) =>
        double.TryParse(Text(name), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number)
            ? Core.Measure.Length.Feet(Math.Min(units == LengthUnits.Metric ? number / LengthText.MetresInFoot : number, FarthestInches))
            : Length(name);

    internal Length Length(string text, string label)
    {
        if (LengthText.TryParse(text, units, out var length, out var why))
            return length;
        Wrong($"{label}: {why}");
        return default;
    }

    internal Length Inches(string name) => Drawn(Decimal(name) ?? 0);

    // What a hand draws is whole sixteenths, or whole millimetres.
    private Length Drawn(double inches)
    {
        var value = Math.Clamp(inches, -FarthestInches, FarthestInches);
        return units == LengthUnits.Metric
            ? Core.Measure.Length.Millimetres((long)Math.Round(value * Core.Measure.Length.MillimetresInInch))
            : Core.Measure.Length.Inches(value);
    }

    internal double? Decimal(string name)
    {
        if (Text(name) is not { Length: > 0 } text)
            return null;
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value))
            return value;
        Wrong($"{FieldNames.Label(name)}: type a number.");
        return null;
    }

    internal int? Number(string name)
    {
        if (Text(name) is not { Length: > 0 } text)
            return null;
        if (int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value))
            return value;
        Wrong($"{FieldNames.Label(name)}: type a whole number.");
        return null;
    }

    internal object? Word(string name, Type words)
    {
        var text = Text(name);
        if (!int.TryParse(text, out _) && Enum.TryParse(words, text, ignoreCase: true, out var value))
            return value;
        Wrong($"{FieldNames.Label(name)}: choose one of the list.");
        return Enum.GetValues(words).GetValue(0);
    }

    internal Point? Corner(string pair)
    {
        if (pair.Split(',') is [var x, var y] && Finite(x) is { } east && Finite(y) is { } south)
            return new(east, south);
        Wrong("Corners: a drawn corner is two numbers.");
        return null;
    }

    internal (Length Wide, Length Deep)? Size(string name)
    {
        if (Text(name).ToLowerInvariant().Split('x', '×') is [var wide, var deep])
            return (Length(wide, "Size"), Length(deep, "Size"));
        Wrong("Size: type two lengths with an x between them, such as 12'6 x 11.");
        return null;
    }

    private Length? Finite(string text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value)
            ? Drawn(value)
            : null;

    private static string Cut(string value) => value.Length > LongestValue ? value[..LongestValue] : value;
}
