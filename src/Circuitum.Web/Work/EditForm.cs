using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Edits;

namespace Circuitum.Web.Work;

/// <summary>A posted form that asks for an edit.</summary>
public sealed class EditForm(IFormCollection form)
{
    private const string Preference = "pref.";

    // No field that a page reads by itself holds more than this; what is longer is cut off before it is looked at.
    private const int LongestValue = 400;

    /// <summary>Which edit it asks for.</summary>
    public string Word => Text("do");

    /// <summary>The edit, or none with a sentence that names the field.</summary>
    /// <param name="units">What a bare number means where a length is typed.</param>
    public (JobCommand? Edit, string Problem) Read(LengthUnits units = LengthUnits.FeetInches) =>
        EditCodec.Read(Word, name => [.. form[name].Select(v => v ?? "")], form.Keys, units);

    /// <summary>A field's text; empty when it is not there.</summary>
    public string Text(string name) =>
        form[name].ToString() is { Length: > LongestValue } longer ? longer[..LongestValue] : form[name].ToString();

    /// <summary>Preferences with what the form has of them, or none with the problem when one is wrong.</summary>
    /// <param name="from">Keeps what the form says nothing about.</param>
    public (Preferences? Preferences, string Problem) ReadPreferences(Preferences from) =>
        PreferenceFields.WriteAll(
            from,
            form.Keys.Where(k => k.StartsWith(Preference, StringComparison.Ordinal))
                .ToDictionary(k => k[Preference.Length..], k => Text(k).Trim())
        );
}
