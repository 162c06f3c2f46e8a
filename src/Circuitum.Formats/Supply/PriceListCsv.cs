using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Circuitum.Core.Codes;
using Circuitum.Core.Takeoff;
using CsvHelper;
using CsvHelper.Configuration;

namespace Circuitum.Formats.Supply;

/// <summary>
/// Price lists as CSV: <c>key, text, unit, price, number, date</c>, and <c>currency</c> where a supplier writes it. A unit is <c>each</c>
/// or <c>ft</c> or <c>m</c>, or how many of them the price is for, such as <c>250 ft</c> or <c>100 each</c>.
/// </summary>
public static partial class PriceListCsv
{
    /// <summary>Most rows.</summary>
    public const int MostRows = 50_000;

    /// <summary>Largest file, in bytes.</summary>
    public const int MostBytes = 8_000_000;

    /// <summary>Highest price, in dollars.</summary>
    public const decimal MostPrice = 1_000_000;

    private const int MostTold = 200;
    private const int LongestKey = 120;
    private const int LongestText = 200;

    private static readonly string[] Needed = ["key", "unit", "price"];

    /// <summary>The made-up list that comes with the program.</summary>
    public static PriceList Sample { get; } = new("Made-up prices", "Lantern Hill Supply (made up)", OfText(SampleText()).Rows);

    /// <summary>The text of that list, as a pattern for one's own.</summary>
    public static string SampleText()
    {
        using var stream = typeof(PriceListCsv).Assembly.GetManifestResourceStream("Circuitum.Formats.Supply.prices.csv")!;
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd();
    }

    /// <summary>Reads a list.</summary>
    /// <param name="bytes">The file, in UTF-8.</param>
    public static PriceListReading Read(byte[] bytes)
    {
        if (bytes.Length > MostBytes)
            return Nothing($"The list has {bytes.Length / 1_000_000} MB; the most is {MostBytes / 1_000_000} MB.");
        try
        {
            return OfText(new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(bytes));
        }
        catch (DecoderFallbackException)
        {
            return Nothing("The list is not plain text. Save it as CSV in UTF-8.");
        }
    }

    private static PriceListReading Nothing(string problem) => new([], [], 0, problem);

    private static PriceListReading OfText(string text)
    {
        using var csv = new CsvReader(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                BadDataFound = null,
                MissingFieldFound = null,
                DetectDelimiter = false,
                TrimOptions = TrimOptions.Trim,
                PrepareHeaderForMatch = h => h.Header.Trim().TrimStart('\uFEFF').ToLowerInvariant(),
                MaxFieldSize = 2000,
            }
        );
        try
        {
            if (!csv.Read() || !csv.ReadHeader())
                return Nothing("The list is empty.");
            var head = csv.HeaderRecord!.Select(h => h.Trim().TrimStart('\uFEFF').ToLowerInvariant()).ToHashSet();
            if (Needed.Where(n => !head.Contains(n)).ToList() is { Count: > 0 } missing)
                return Nothing($"The first line has no column {string.Join(" and no column ", missing.Select(m => $"'{m}'"))}.");
            return Rows(csv);
        }
        catch (CsvHelperException)
        {
            return Nothing("The list cannot be read as CSV: a field is too long or its quotes do not end.");
        }
    }

    private static PriceListReading Rows(CsvReader csv)
    {
        var rows = ImmutableArray.CreateBuilder<PriceRow>();
        var refused = ImmutableArray.CreateBuilder<(int, string)>();
        var (keys, currencies, count, refusals) = (new Dictionary<string, int>(StringComparer.Ordinal), new HashSet<string>(), 0, 0);
        while (csv.Read())
        {
            if (++count > MostRows)
                return Nothing($"The list has more than {MostRows:#,0} rows. Leave out what houses do not need.");
            var line = csv.Parser!.RawRow;
            if (csv.TryGetField<string>("currency", out var currency) && !string.IsNullOrWhiteSpace(currency))
                currencies.Add(currency.ToUpperInvariant());
            var (row, why) = Row(csv);
            if (row is not null && !keys.TryAdd(row.Key, line))
                why = $"'{row.Key}' is in line {keys[row.Key]} already";
            if (row is not null && why.Length == 0)
                rows.Add(row);
            else if (++refusals <= MostTold)
                refused.Add((line, why));
        }

        if (currencies.Count > 1)
            return Nothing(
                $"The list mixes currencies: {string.Join(", ", currencies.Order(StringComparer.Ordinal).Take(5))}. One list has one."
            );
        if (count == 0)
            return Nothing("The list has no rows under its head.");
        return new(rows.ToImmutable(), refused.ToImmutable(), refusals, rows.Count == 0 ? "No row of the list can be taken." : "");
    }

    private static (PriceRow? Row, string Why) Row(CsvReader csv)
    {
        string Field(string name) => csv.TryGetField<string>(name, out var value) ? value ?? "" : "";
        var (key, text, unit, price, number, day) = (
            Field("key"),
            Field("text"),
            Field("unit"),
            Field("price"),
            Field("number"),
            Field("date")
        );
        foreach (var (name, value) in new[] { ("key", key), ("text", text), ("unit", unit), ("price", price), ("number", number) })
        {
            if (value.Length > 0 && value[0] is '=' or '+' or '@' or '\t' || (value.Length > 1 && value[0] == '-' && name != "price"))
                return (null, $"{name} '{Short(value)}' is a formula");
        }

        if (key.Length is 0 or > LongestKey || key.Any(char.IsControl))
            return (null, key.Length == 0 ? "it has no key" : $"its key is no plain text of {LongestKey} characters");
        if (text.Length > LongestText || number.Length > LongestText || text.Any(char.IsControl) || number.Any(char.IsControl))
            return (null, $"text or number is no plain text of {LongestText} characters");
        if (unit.Length == 0)
            return (null, "it has no unit: write each, ft or m, or 250 ft");
        if (UnitOf().Match(unit.ToLowerInvariant()) is not { Success: true } match)
            return (null, $"unit '{Short(unit)}' is none: write each, ft or m, or 250 ft");
        if (price.Contains(',', StringComparison.Ordinal))
            return (null, $"price '{Short(price)}' has a comma: write it with a point, such as 12.50");
        if (
            !decimal.TryParse(
                price,
                NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign,
                CultureInfo.InvariantCulture,
                out var dollars
            )
        )
            return (null, price.Length == 0 ? "it has no price" : $"price '{Short(price)}' is no number");
        if (dollars < 0)
            return (null, $"price {Short(price)} is less than nothing");
        if (dollars > MostPrice)
            return (null, $"price {Short(price)} is over {MostPrice:#,0}");
        DateOnly? date = null;
        if (day.Length > 0)
        {
            if (!DateOnly.TryParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var read))
                return (null, $"date '{Short(day)}' is none: write 2026-11-29");
            date = read;
        }

        var per = match.Groups[1].Success ? int.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture) : 1;
        if (per == 0)
            return (null, $"unit '{Short(unit)}' is none: write each, ft or m, or 250 ft");
        return (new(key, text, Unit(match.Groups[2].Value), per, dollars, number, date), "");
    }

    private static ItemUnit Unit(string word) =>
        word switch
        {
            "ft" => ItemUnit.Feet,
            "m" => ItemUnit.Metres,
            _ => ItemUnit.Each,
        };

    private static string Short(string text) => text.Length > 30 ? $"{text[..30]}..." : text;

    [GeneratedRegex(@"^(?:(\d{1,5}) ?)?(each|ft|m)$")]
    private static partial Regex UnitOf();
}
