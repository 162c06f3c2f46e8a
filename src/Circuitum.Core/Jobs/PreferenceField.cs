using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>
/// One preference as forms, papers and single circuits handle it: its words, the schools to choose from, and how it is
/// read from and written into a set of preferences as text.
/// </summary>
/// <param name="Key">Its key in forms and in a circuit's own preferences.</param>
/// <param name="Group">The heading that it stands under.</param>
/// <param name="Title">In words.</param>
/// <param name="Why">What hangs on it.</param>
/// <param name="PerCircuit">Whether a single circuit may have its own.</param>
/// <param name="Options">The schools, as typed value and words; empty when a number, a length or a text is typed.</param>
/// <param name="Read">The value as text.</param>
/// <param name="Write">The preferences with a typed value, or a sentence that says what is wrong with it.</param>
public sealed record PreferenceField(
    string Key,
    string Group,
    string Title,
    string Why,
    bool PerCircuit,
    ImmutableArray<(string Value, string Words)> Options,
    Func<Preferences, string> Read,
    Func<Preferences, string, (Preferences? Preferences, string Problem)> Write
)
{
    /// <summary>The same field where lengths are metric; none where all is the same.</summary>
    public PreferenceField? Metric { get; init; }

    /// <summary>How a length is read and written as such; none for what is none.</summary>
    public (Func<Preferences, Length> Read, Func<Preferences, Length, Preferences> Write)? Length { get; init; }

    /// <summary>The field as it is shown and typed in a house of these units.</summary>
    public PreferenceField In(LengthUnits units) => units == LengthUnits.FeetInches ? this : Metric ?? this;

    /// <summary>The value in words, as papers state it.</summary>
    public string Say(Preferences preferences)
    {
        var value = Read(preferences);
        return Options.FirstOrDefault(o => o.Value == value).Words ?? (value.Length == 0 ? "none" : value);
    }
}
