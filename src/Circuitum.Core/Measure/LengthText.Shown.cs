using System.Globalization;

namespace Circuitum.Core.Measure;

// Lengths told in the units of a job.
public static partial class LengthText
{
    /// <summary>Prints for people: feet and inches, or metres from one on, <c>3.6 m</c>, and millimetres under it, <c>450 mm</c>.</summary>
    public static string Show(Length length, LengthUnits units)
    {
        if (units == LengthUnits.FeetInches)
            return Show(length);
        var millimetres = Math.Round((decimal)length.Units / Length.UnitsPerMillimetre, MidpointRounding.AwayFromZero);
        return Metric(millimetres);
    }

    /// <summary>Prints what is read again as just this length, for a field: <c>12'6</c>, or <c>3.81 m</c> and <c>450.85 mm</c>.</summary>
    public static string Print(Length length, LengthUnits units)
    {
        if (units == LengthUnits.FeetInches)
            return Print(length);
        var millimetres = (decimal)length.Units / Length.UnitsPerMillimetre;
        return decimal.IsInteger(millimetres)
            ? Metric(millimetres)
            : string.Create(CultureInfo.InvariantCulture, $"{millimetres:0.####} mm");
    }

    /// <summary>Prints how far a cable goes: <c>25 ft</c>, or <c>7.6 m</c>, which is a digit more because a metre is longer.</summary>
    /// <param name="length">How far.</param>
    /// <param name="units">Feet or metres.</param>
    /// <param name="format">The digits of the feet, <c>0</c> or <c>0.#</c>, with a sign or thousands where they are wanted.</param>
    public static string Far(Length length, LengthUnits units, string format = "0") =>
        $"{FarNumber(length, units, format)} {FarWord(units)}";

    /// <summary>The same for a sum of feet.</summary>
    public static string Far(double feet, LengthUnits units, string format = "0") => $"{FarNumber(feet, units, format)} {FarWord(units)}";

    /// <summary>The same without its word, for a column whose head says it.</summary>
    public static string FarNumber(Length length, LengthUnits units, string format = "0") => FarNumber(length.InFeet, units, format);

    /// <summary>The same for a sum of feet.</summary>
    public static string FarNumber(double feet, LengthUnits units, string format = "0") =>
        units == LengthUnits.FeetInches
            ? feet.ToString(format, CultureInfo.InvariantCulture)
            : (feet * MetresInFoot).ToString(WithOneMore(format), CultureInfo.InvariantCulture);

    /// <summary>One of two ways to say the same, for what the trade rounds by itself: <c>6 in</c>, or <c>150 mm</c>.</summary>
    public static string Either(this LengthUnits units, string feet, string metric) => units == LengthUnits.FeetInches ? feet : metric;

    /// <summary>A foot in metres.</summary>
    public const double MetresInFoot = 0.3048;

    /// <summary>Prints a few inches as they were worked out: <c>7.5 in</c>, or <c>191 mm</c>.</summary>
    /// <param name="inches">How many.</param>
    /// <param name="units">Inches or millimetres.</param>
    /// <param name="whole">Without parts of an inch; a millimetre is never parted.</param>
    public static string Near(double inches, LengthUnits units, bool whole = false) =>
        $"{NearNumber(inches, units, whole)} {(units == LengthUnits.FeetInches ? "in" : "mm")}";

    /// <summary>The same without its word.</summary>
    public static string NearNumber(double inches, LengthUnits units, bool whole = false) =>
        units == LengthUnits.FeetInches
            ? inches.ToString(whole ? "0" : "0.#", CultureInfo.InvariantCulture)
            : (inches * Length.MillimetresInInch).ToString("0", CultureInfo.InvariantCulture);

    /// <summary>The digits of feet to the tenth.</summary>
    public const string Tenths = "0.0";

    /// <summary>What cable is counted in.</summary>
    public static string FarWord(LengthUnits units) => units == LengthUnits.FeetInches ? "ft" : "m";

    // Thousands of feet are told in whole ones, and so are as many metres.
    private static string WithOneMore(string format) =>
        format.StartsWith('#') ? format
        : format.Contains('.') ? format.Replace(".#", ".0#", StringComparison.Ordinal).Replace(".0;", ".00;", StringComparison.Ordinal)
        : string.Join(';', format.Split(';').Select(part => part == "0" && format.Contains(';') ? part : $"{part}.0"));

    private static string Metric(decimal millimetres) =>
        Math.Abs(millimetres) < 1000
            ? string.Create(CultureInfo.InvariantCulture, $"{millimetres:0} mm")
            : string.Create(CultureInfo.InvariantCulture, $"{millimetres / 1000:0.0##} m");
}
