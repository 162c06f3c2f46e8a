using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Bench;

/// <summary>What was told, read with limits; whatever is wrong ends in a <see cref="BenchException"/> that names the field.</summary>
public sealed class BenchInput
{
    private const int MostValues = 200,
        LongestText = 400;
    private readonly Dictionary<string, List<string>> said = [];
    private readonly BenchQuestion question;

    /// <summary>Takes what was told for a question.</summary>
    /// <param name="question">The question.</param>
    /// <param name="told">Names and values as they came; values with nothing but commas in them are left out.</param>
    /// <exception cref="BenchException">A field is not known, comes too often or is too long.</exception>
    public BenchInput(BenchQuestion question, IEnumerable<(string Name, string Value)> told)
    {
        this.question = question;
        foreach (var (name, value) in told.Take(MostValues + 1).Where(t => t.Value.Trim(',', ' ', '\t').Trim().Length > 0))
        {
            if (question.Fields.FirstOrDefault(f => f.Name == name) is not { } field)
                throw new BenchException(
                    name.Length > 30 ? name[..30] : name,
                    $"{question.Name} does not ask for it. It asks for: {string.Join(", ", question.Fields.Select(f => f.Name))}."
                );
            if (value.Length > LongestText)
                throw new BenchException(name, $"{LongestText} characters at most.");
            if (!said.TryGetValue(name, out var values))
                said[name] = values = [];
            if (values.Count > 0 && !field.Many)
                throw new BenchException(name, "say it once.");
            if (values.Count >= MostValues / 2)
                throw new BenchException(name, $"{MostValues / 2} times at most.");
            values.Add(value.Trim());
        }
    }

    /// <summary>Whether a field was told or has a default.</summary>
    public bool Has(string name) => All(name).Count > 0;

    /// <summary>A field's text.</summary>
    public string Text(string name) =>
        All(name) is [var one, ..]
            ? one
            : throw new BenchException(
                name,
                $"say it: {Field(name).Title}{(Field(name).Example.Length > 0 ? $", such as {Field(name).Example}" : "")}."
            );

    /// <summary>All that was told of a field.</summary>
    public IReadOnlyList<string> All(string name) =>
        said.GetValueOrDefault(name) ?? (Field(name).Default is { Length: > 0 } usual ? [usual] : []);

    /// <summary>One of the field's words.</summary>
    public string Choice(string name)
    {
        var (text, choices) = (Text(name), Field(name).Choices);
        return choices.Contains(text) ? text : throw new BenchException(name, $"choose one of {string.Join(", ", choices)}.");
    }

    /// <summary>Yes or no.</summary>
    public bool Yes(string name) => Choice(name) == "yes";

    /// <summary>A number within limits.</summary>
    public double Number(string name, double least, double most) => Number(name, Text(name), least, most);

    /// <summary>A number within limits, or none.</summary>
    public double? Maybe(string name, double least, double most) => Has(name) ? Number(name, least, most) : null;

    /// <summary>A whole number within limits.</summary>
    public int Whole(string name, int least, int most) =>
        Number(name, least, most) is var n && n == Math.Floor(n) ? (int)n : throw new BenchException(name, "type a whole number.");

    /// <summary>Numbers, told one by one or with commas between.</summary>
    public ImmutableArray<double> Numbers(string name, double least, double most) =>
        [.. Parts(name).Select(p => Number(name, p, least, most))];

    /// <summary>Lengths, in feet where no unit is told.</summary>
    public ImmutableArray<Length> Lengths(string name) =>
        [
            .. Parts(name)
                .Select(p =>
                {
                    if (double.TryParse(p, NumberStyles.Float, CultureInfo.InvariantCulture, out _))
                        return Length.Feet(Number(name, p, 0, 2000));
                    return LengthText.TryParse(p, out var length, out var why) && length >= Length.Zero
                        ? length
                        : throw new BenchException(name, why.Length > 0 ? why : "a length is not less than zero.");
                }),
        ];

    /// <summary>Pairs of a word and a number, such as <c>14:6,12:2</c>.</summary>
    public ImmutableArray<(string Word, double Number)> Pairs(string name, double least, double most) =>
        [
            .. Parts(name)
                .Select(p =>
                    p.Split(':') is [var word, var number] && word.Trim().Length > 0
                        ? (word.Trim(), Number(name, number, least, most))
                        : throw new BenchException(name, $"'{Short(p)}' is not of the form {Field(name).Example}.")
                ),
        ];

    /// <summary>Wires by size and count.</summary>
    public ImmutableArray<WireCount> Wires(string name) =>
        [
            .. Pairs(name, 0, 500)
                .Select(p =>
                    !WireSize.TryParse(p.Word, out var size) ? throw new BenchException(name, $"'{Short(p.Word)}' is not a wire size.")
                    : p.Number == Math.Floor(p.Number) ? new WireCount(size, (int)p.Number)
                    : throw new BenchException(name, "wires are counted in whole numbers.")
                ),
        ];

    private IEnumerable<string> Parts(string name)
    {
        var parts = All(name)
            .SelectMany(v => v.Split([',', ' '], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
            .ToList();
        return parts.Count <= MostValues ? parts : throw new BenchException(name, $"{MostValues} values at most.");
    }

    private static double Number(string name, string text, double least, double most)
    {
        if (!double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) || !double.IsFinite(value))
            throw new BenchException(name, $"'{Short(text)}' is not a number.");
        return value >= least && value <= most
            ? value
            : throw new BenchException(name, string.Create(CultureInfo.InvariantCulture, $"a number from {least:0.##} to {most:0.##}."));
    }

    private static string Short(string text) => text.Length > 24 ? text[..24] + "..." : text;

    private BenchField Field(string name) => question.Fields.First(f => f.Name == name);
}
