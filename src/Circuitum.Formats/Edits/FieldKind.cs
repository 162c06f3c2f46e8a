using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Edits;

/// <summary>How a value of one type is read from a field and written into it.</summary>
/// <param name="Read">The value; absent or empty is none where the type has none.</param>
/// <param name="Write">Its text, or none when nothing is written.</param>
internal sealed record FieldKind(Func<EditReader, string, object?> Read, Func<object, string?> Write)
{
    private static readonly Dictionary<Type, FieldKind> Kinds = new()
    {
        [typeof(string)] = new((r, n) => r.Text(n), v => (string)v),
        [typeof(int)] = new((r, n) => r.Number(n) ?? Missing(r, n), v => Invariant(v)),
        [typeof(double)] = new((r, n) => r.Decimal(n) ?? Missing(r, n), v => ((double)v).ToString("R", CultureInfo.InvariantCulture)),
        [typeof(bool)] = new((r, n) => r.Text(n) is "on" or "yes", v => (bool)v ? "yes" : "no"),
        [typeof(Length)] = new((r, n) => r.Length(n), v => LengthText.Print((Length)v)),
        [typeof(Subject)] = new((r, n) => Subject.TryParse(r.Text(n)) ?? Missing(r, n), v => $"{v}"),
        [typeof(DateOnly)] = new(Date, v => ((DateOnly)v).ToString(DateForm, CultureInfo.InvariantCulture)),
    };

    private const string DateForm = "yyyy-MM-dd";

    /// <summary>A length that may have a minus before it.</summary>
    internal static FieldKind Signed { get; } = new((r, n) => r.Length(n, signed: true), v => LengthText.Print((Length)v));

    /// <summary>The way of a type, also of one that may be none.</summary>
    /// <exception cref="NotSupportedException">No edit has such a value yet.</exception>
    internal static FieldKind Of(Type type)
    {
        var known = Nullable.GetUnderlyingType(type) ?? type;
        return Kinds.TryGetValue(known, out var kind) ? kind
            : known.IsEnum ? new((r, n) => r.Word(n, known), v => $"{v}")
            : throw new NotSupportedException($"An edit has a value of type {type}.");
    }

    internal static string Invariant(object value) => Convert.ToString(value, CultureInfo.InvariantCulture) ?? "";

    private static object? Missing(EditReader reader, string name)
    {
        reader.Wrong($"{FieldNames.Label(name)}: it is missing.");
        return null;
    }

    private static object? Date(EditReader reader, string name)
    {
        if (DateOnly.TryParseExact(reader.Text(name), DateForm, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return day;
        reader.Wrong($"{FieldNames.Label(name)} date: type it as year-month-day, such as 2026-10-05.");
        return null;
    }
}
