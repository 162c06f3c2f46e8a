using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>All preferences of a job, a company and a circuit, in the order in which they are shown.</summary>
public static partial class PreferenceFields
{
    /// <summary>The fields.</summary>
    public static ImmutableArray<PreferenceField> All { get; } =
    [.. CircuitFields, .. ProtectionFields, .. CableFields, .. BoxFields, .. PanelFields, .. MaterialFields, .. Weights];

    /// <summary>Preferences with what was typed for some of them; none with a sentence when one is wrong.</summary>
    /// <param name="from">Keeps what nothing was typed for.</param>
    /// <param name="typed">Text by key; what is no preference is passed over.</param>
    /// <param name="units">What a bare number means where a length is typed.</param>
    public static (Preferences? Preferences, string Problem) WriteAll(
        Preferences from,
        IReadOnlyDictionary<string, string> typed,
        LengthUnits units = LengthUnits.FeetInches
    )
    {
        foreach (var field in All.Where(f => typed.ContainsKey(f.Key)).Select(f => f.In(units)))
        {
            var (written, problem) = field.Write(from, typed[field.Key]);
            if (written is null)
                return (null, problem);
            from = written;
        }

        return (from, "");
    }

    /// <summary>The field with a key, or none.</summary>
    public static PreferenceField? Find(string key) => ByKey.GetValueOrDefault(key);

    /// <summary>The preferences of one circuit: the job's with its own over them.</summary>
    public static Preferences Of(Job job, Circuit circuit)
    {
        if (circuit.Preferences is not { } own)
            return job.Preferences;
        return own.Aggregate(job.Preferences, (p, o) =>
            ByKey.TryGetValue(o.Key, out var field) && field.PerCircuit ? field.Write(p, o.Value).Preferences ?? p : p
        );
    }

    private static readonly ImmutableDictionary<string, PreferenceField> ByKey = All.ToImmutableDictionary(f => f.Key);

    private enum Answer
    {
        No,
        Yes,
    }

    private enum Terminals
    {
        C60,
        C75,
    }

    private static Answer Yes(bool value) => value ? Answer.Yes : Answer.No;

    private static string Word<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());

    private static PreferenceField Choice<T>(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        Func<Preferences, T> read,
        Func<Preferences, T, Preferences> write,
        params (T Value, string Words)[] schools
    )
        where T : struct, Enum =>
        new(
            key,
            group,
            title,
            why,
            perCircuit,
            [.. schools.Select(s => (Word(s.Value), s.Words))],
            p => Word(read(p)),
            (p, text) =>
            {
                var at = Array.FindIndex(schools, s => Word(s.Value) == text);
                return at < 0 ? (null, $"{title}: choose one of the list.") : (write(p, schools[at].Value), "");
            }
        );

    private static PreferenceField Whole(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        int least,
        int most,
        Func<Preferences, int> read,
        Func<Preferences, int, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            perCircuit,
            [],
            p => read(p).ToString(CultureInfo.InvariantCulture),
            (p, text) =>
                int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value)
                && value >= least
                && value <= most
                    ? (write(p, value), "")
                    : (null, $"{title}: type a whole number from {least} to {most}.")
        );

    private static PreferenceField Figure(
        string key,
        string group,
        string title,
        string why,
        decimal most,
        Func<Preferences, decimal> read,
        Func<Preferences, decimal, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            false,
            [],
            p => read(p).ToString(CultureInfo.InvariantCulture),
            (p, text) =>
                decimal.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
                && value <= most
                && decimal.Round(value, 2) == value
                    ? (write(p, value), "")
                    : (null, $"{title}: type a number from 0 to {most}, with a point and two places at most, such as 8.25.")
        );

    private static PreferenceField Count(
        string key,
        string group,
        string title,
        string why,
        int least,
        int most,
        Func<Preferences, int?> read,
        Func<Preferences, int?, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            false,
            [],
            p => read(p)?.ToString(CultureInfo.InvariantCulture) ?? "",
            (p, text) =>
                text.Length == 0 ? (write(p, null), "")
                : int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value)
                && value >= least
                && value <= most
                    ? (write(p, value), "")
                : (null, $"{title}: type a whole number from {least} to {most}, or nothing.")
        );

    private static PreferenceField Distance(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        double leastIn,
        double mostIn,
        Func<Preferences, Length> read,
        Func<Preferences, Length, Preferences> write
    ) =>
        Typed(
            key,
            group,
            title,
            why,
            perCircuit,
            (p, units) => LengthText.Print(read(p), units),
            (p, text, units) =>
                Parse(title, text, leastIn, mostIn, units) switch
                {
                    (null, var problem) => (null, problem),
                    ({ } length, _) => (write(p, length), ""),
                }
        ) with
        {
            Length = (read, write),
        };

    private static PreferenceField Optional(
        string key,
        string group,
        string title,
        string why,
        double leastIn,
        double mostIn,
        Func<Preferences, Length?> read,
        Func<Preferences, Length?, Preferences> write
    ) =>
        Typed(
            key,
            group,
            title,
            why,
            false,
            (p, units) => read(p) is { } length ? LengthText.Print(length, units) : "",
            (p, text, units) =>
                text.Trim().Length == 0
                    ? (write(p, null), "")
                    : Parse(title, text, leastIn, mostIn, units) switch
                    {
                        (null, var problem) => (null, problem),
                        ({ } length, _) => (write(p, length), ""),
                    }
        );

    private static PreferenceField Typed(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        Func<Preferences, LengthUnits, string> read,
        Func<Preferences, string, LengthUnits, (Preferences?, string)> write
    )
    {
        PreferenceField In(LengthUnits units) =>
            new(key, group, title, why, perCircuit, [], p => read(p, units), (p, text) => write(p, text, units));
        return In(LengthUnits.FeetInches) with { Metric = In(LengthUnits.Metric) };
    }

    private static PreferenceField Words(
        string key,
        string group,
        string title,
        string why,
        Func<Preferences, string> read,
        Func<Preferences, string, Preferences> write
    ) =>
        new(key, group, title, why, false, [], read, (p, text) =>
            text.Length > 20 || text.Any(char.IsControl)
                ? (null, $"{title}: 20 characters of plain text at most.")
                : (write(p, text.Trim()), "")
        );

    private static (Length? Length, string Problem) Parse(string title, string text, double leastIn, double mostIn, LengthUnits units)
    {
        if (!LengthText.TryParse(text, units, out var length, out var why))
            return (null, $"{title}: {why}");
        var (least, most) = (Length.Inches(leastIn), Length.Inches(mostIn));
        string Told(Length told) => LengthText.Show(told, units);
        return length >= least && length <= most
            ? (length, "")
            : (null, $"{title}: {Told(length)} is outside {Told(least)} to {Told(most)}.");
    }
}
