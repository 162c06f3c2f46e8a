using System.Numerics;

namespace Circuitum.Core.Measure;

/// <summary>
/// An exact length. Held as a whole number of tenths of a micrometre, the largest unit in which both a sixteenth of an
/// inch (15 875) and a millimetre (10 000) are whole, so neither trade's numbers are ever rounded.
/// </summary>
/// <param name="Units">Tenths of a micrometre; may be negative for a direction.</param>
public readonly record struct Length(long Units)
    : IComparable<Length>,
        IAdditionOperators<Length, Length, Length>,
        ISubtractionOperators<Length, Length, Length>
{
    /// <summary>Units in a sixteenth of an inch.</summary>
    public const long UnitsPerSixteenth = 15_875;

    /// <summary>Units in an inch.</summary>
    public const long UnitsPerInch = 16 * UnitsPerSixteenth;

    /// <summary>Units in a foot.</summary>
    public const long UnitsPerFoot = 12 * UnitsPerInch;

    /// <summary>Units in a millimetre.</summary>
    public const long UnitsPerMillimetre = 10_000;

    /// <summary>No length.</summary>
    public static Length Zero => default;

    /// <summary>A length of whole and fractional inches, rounded to the nearest sixteenth.</summary>
    public static Length Inches(double inches) => new((long)Math.Round(inches * 16, MidpointRounding.AwayFromZero) * UnitsPerSixteenth);

    /// <summary>An inch in millimetres.</summary>
    public const double MillimetresInInch = 25.4;

    /// <summary>From inches as they are, for lengths that are stated in millimetres.</summary>
    /// <param name="inches">Inches.</param>
    public static Length ExactInches(double inches) => new((long)Math.Round(inches * UnitsPerInch, MidpointRounding.AwayFromZero));

    /// <summary>A length of whole feet and inches, the inches rounded to the nearest sixteenth.</summary>
    public static Length Feet(double feet, double inches = 0) => Inches((feet * 12) + inches);

    /// <summary>A length of whole millimetres.</summary>
    public static Length Millimetres(long millimetres) => new(millimetres * UnitsPerMillimetre);

    /// <summary>The length in feet, for arithmetic that ends in a rounded result such as a voltage drop.</summary>
    public double InFeet => (double)Units / UnitsPerFoot;

    /// <summary>The length in metres.</summary>
    public double InMetres => (double)Units / UnitsPerMillimetre / 1000;

    /// <summary>The length in inches, for drawing and for rounded results.</summary>
    public double InInches => (double)Units / UnitsPerInch;

    /// <summary>The length without its sign.</summary>
    public Length Abs() => new(Math.Abs(Units));

    /// <inheritdoc/>
    public int CompareTo(Length other) => Units.CompareTo(other.Units);

    /// <summary>The smaller of two lengths.</summary>
    public static Length Min(Length a, Length b) => a.Units <= b.Units ? a : b;

    /// <summary>The larger of two lengths.</summary>
    public static Length Max(Length a, Length b) => a.Units >= b.Units ? a : b;

    /// <summary>The length rounded to the nearest multiple of <paramref name="step"/>.</summary>
    public Length RoundTo(Length step) =>
        step.Units <= 0 ? this : new((long)Math.Round((double)Units / step.Units, MidpointRounding.AwayFromZero) * step.Units);

    /// <inheritdoc/>
    public static Length operator +(Length left, Length right) => new(left.Units + right.Units);

    /// <inheritdoc/>
    public static Length operator -(Length left, Length right) => new(left.Units - right.Units);

    /// <summary>The length in the other direction.</summary>
    public static Length operator -(Length value) => new(-value.Units);

    /// <summary>A whole multiple of a length.</summary>
    public static Length operator *(Length left, int times) => new(left.Units * times);

    /// <summary>A length divided by a whole number, rounded down to a unit (a ten-thousandth of a millimetre).</summary>
    public static Length operator /(Length left, int parts) => new(left.Units / parts);

    /// <summary>Whether the left is shorter.</summary>
    public static bool operator <(Length left, Length right) => left.Units < right.Units;

    /// <summary>Whether the left is longer.</summary>
    public static bool operator >(Length left, Length right) => left.Units > right.Units;

    /// <summary>Whether the left is not longer.</summary>
    public static bool operator <=(Length left, Length right) => left.Units <= right.Units;

    /// <summary>Whether the left is not shorter.</summary>
    public static bool operator >=(Length left, Length right) => left.Units >= right.Units;

    /// <summary>Prints the length so that <see cref="LengthText.Parse"/> reads back exactly the same one.</summary>
    public override string ToString() => LengthText.Print(this);
}
