using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Measure;

/// <summary>
/// The size of a conductor: AWG 14 down to 1, the noughts 1/0 to 4/0, and kcmil from 250 on; or a section in square millimetres, such as
/// <c>2.5 mm2</c>. Of two of one kind the thicker one is the greater.
/// </summary>
[JsonConverter(typeof(Json))]
public readonly record struct WireSize : IComparable<WireSize>
{
    private const int FirstNought = 100;
    private const int LeastKcmil = 250;
    private const int MostKcmil = 2000;

    private const int Sections = 10_000;
    private const string SectionUnit = " mm2";
    private const double MostSection = 1000;

    // Rises with thickness: 100 - AWG, 99 + noughts, kcmil, or 10,000 + tenths of a square millimetre; none has zero.
    private readonly int rank;

    private WireSize(int rank) => this.rank = rank;

    /// <summary>A size by its gauge number.</summary>
    /// <param name="gauge">1 to 40.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such gauge.</exception>
    public static WireSize Awg(int gauge)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(gauge, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(gauge, 40);
        return new(FirstNought - gauge);
    }

    /// <summary>A size by its section.</summary>
    /// <param name="squareMillimetres">More than 0, to a tenth.</param>
    public static WireSize Section(double squareMillimetres) => new(Sections + (int)Math.Round(squareMillimetres * 10));

    /// <summary>Whether it is told by its section.</summary>
    public bool IsSection => rank > Sections;

    /// <summary>The number of a section as the trade writes it: <c>2.5</c>; of another size its name.</summary>
    public string Number => IsSection ? ((rank - Sections) / 10.0).ToString(CultureInfo.InvariantCulture) : ToString();

    /// <summary>With its unit, as a sentence tells it: <c>12 AWG</c>, <c>2.5 mm2</c>.</summary>
    public string Told => IsSection ? ToString() : $"{this} AWG";

    /// <inheritdoc/>
    public int CompareTo(WireSize other) => rank.CompareTo(other.rank);

    /// <summary>Whether the left one is thinner.</summary>
    public static bool operator <(WireSize left, WireSize right) => left.rank < right.rank;

    /// <summary>Whether the left one is thicker.</summary>
    public static bool operator >(WireSize left, WireSize right) => left.rank > right.rank;

    /// <summary>Whether the left one is at most as thick.</summary>
    public static bool operator <=(WireSize left, WireSize right) => left.rank <= right.rank;

    /// <summary>Whether the left one is at least as thick.</summary>
    public static bool operator >=(WireSize left, WireSize right) => left.rank >= right.rank;

    /// <summary>Reads a size as the trade writes it: <c>12</c>, <c>2/0</c>, <c>250</c>.</summary>
    public static bool TryParse(string? text, out WireSize size)
    {
        size = default;
        var typed = text?.Trim() ?? "";
        if (typed.EndsWith(SectionUnit, StringComparison.Ordinal))
            return TrySection(typed[..^SectionUnit.Length], out size);
        var noughts = typed.EndsWith("/0", StringComparison.Ordinal);
        if (!int.TryParse(noughts ? typed[..^2] : typed, NumberStyles.None, CultureInfo.InvariantCulture, out var n))
            return false;
        size = new(
            noughts ? (n is >= 1 and <= 4 ? FirstNought + n - 1 : 0)
            : n is >= 1 and <= 40 ? FirstNought - n
            : n is >= LeastKcmil and <= MostKcmil ? n
            : 0
        );
        return size.rank > 0;
    }

    private static bool TrySection(string typed, out WireSize size)
    {
        var good =
            double.TryParse(typed, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var section)
            && section is >= 0.1 and <= MostSection;
        size = good ? Section(section) : default;
        return good;
    }

    /// <summary>Reads a size that is known to be good, such as one of a table.</summary>
    /// <exception cref="FormatException">The text is not a size.</exception>
    public static WireSize Parse(string text) =>
        TryParse(text, out var size) ? size : throw new FormatException($"'{text}' is not a wire size.");

    /// <summary>As the trade writes it.</summary>
    public override string ToString() =>
        rank switch
        {
            0 => "",
            < FirstNought => (FirstNought - rank).ToString(CultureInfo.InvariantCulture),
            < LeastKcmil => $"{rank - FirstNought + 1}/0",
            > Sections => Number + SectionUnit,
            _ => rank.ToString(CultureInfo.InvariantCulture),
        };

    /// <summary>A size is text in data and files, also as a key.</summary>
    private sealed class Json : JsonConverter<WireSize>
    {
        public override WireSize Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            TryParse(reader.GetString(), out var size) ? size : throw new JsonException("A wire size is AWG such as 12 or 2/0, or kcmil.");

        public override void Write(Utf8JsonWriter writer, WireSize value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());

        public override WireSize ReadAsPropertyName(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            Read(ref reader, typeToConvert, options);

        public override void WriteAsPropertyName(Utf8JsonWriter writer, WireSize value, JsonSerializerOptions options) =>
            writer.WritePropertyName(value.ToString());
    }
}
