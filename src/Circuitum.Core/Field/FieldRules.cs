using System.Globalization;
using Circuitum.Core.Intake;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Field;

/// <summary>What may be said in the field.</summary>
public static class FieldRules
{
    /// <summary>Most entries of a job.</summary>
    public const int MostEntries = 50_000;

    /// <summary>Longest remark or reading, in letters.</summary>
    public const int LongestValue = 400;

    /// <summary>Longest name of a task.</summary>
    public const int LongestTask = 160;

    /// <summary>Longest of what the plan said.</summary>
    public const int LongestMark = 600;

    /// <summary>A measured length is at most this many feet.</summary>
    public const double MostFeet = 2000;

    /// <summary>Looks an entry over before it is taken down.</summary>
    /// <param name="entry">The entry.</param>
    /// <param name="task">The task that it is about; none when the plan has none of that name.</param>
    /// <param name="units">Those of its job: what a plain number means.</param>
    /// <returns>A sentence that says why it is not taken, or empty.</returns>
    public static string Check(FieldEntry entry, FieldTask? task, LengthUnits units)
    {
        if (entry.Id.Length is < 8 or > 40 || !entry.Id.All(c => char.IsAsciiLetterOrDigit(c) || c == '-'))
            return "An entry needs a name of its own, of 8 to 40 letters and digits.";
        if (entry.Task.Length > LongestTask)
            return "That is not something of this job.";
        if (!Enum.IsDefined(entry.State))
            return "Say that it is done, open or wrong, or leave a remark.";
        if (entry.Value.Length > LongestValue || entry.Value.Any(c => char.IsControl(c) && c != '\n'))
            return $"A remark or reading has {LongestValue} letters at most.";
        if (entry.Mark.Length > LongestMark)
            return "That is not something of this job.";
        if (task is null)
            return $"'{JobRules.Short(Last(entry.Task))}' is not in the plan any more: it was taken out or changed at the desk.";
        if (entry.State == FieldSaid.Wrong && entry.Value.Trim().Length == 0)
            return $"{task.Title}: say what is wrong.";
        if (entry.State == FieldSaid.Note && entry.Value.Trim().Length == 0)
            return $"{task.Title}: a remark without words.";
        return
            task.Work == FieldWork.Pull
            && entry is { State: FieldSaid.Done or FieldSaid.Settled, Value.Length: > 0 }
            && Pull(entry.Value, units).Measured is null
            ? $"{task.Title}: '{JobRules.Short(entry.Value)}' is no length. Type {Such(units)}."
            : "";
    }

    /// <summary>What a pull took, and from which reel: <c>43</c>, <c>43'-6"</c>, <c>43 from B</c>; none of either where it is
    /// not said.</summary>
    /// <param name="text">As it was typed.</param>
    /// <param name="units">Those of its job.</param>
    public static (Length? Measured, string? Reel) Pull(string text, LengthUnits units)
    {
        var at = text.IndexOf(From, StringComparison.Ordinal);
        return at < 0
            ? (Took(text, units), null)
            : (Took(text[..at], units), text[(at + From.Length)..].Trim() is { Length: > 0 } reel ? reel : null);
    }

    private const string From = " from ";

    /// <summary>A measured length of cable as it was typed, a plain number being feet or metres; none when it is none, or out of
    /// bounds.</summary>
    /// <param name="text">As it was typed.</param>
    /// <param name="units">Those of its job.</param>
    public static Length? Took(string text, LengthUnits units) =>
        double.TryParse(text.Trim(), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number)
            ? InBounds(units == LengthUnits.Metric ? number / LengthText.MetresInFoot : number)
        : LengthText.TryParse(text, out var length, out _) ? InBounds(length.InFeet)
        : null;

    private static string Such(LengthUnits units) =>
        units == LengthUnits.Metric ? "metres, such as 13 or 13.2 m" : "feet, such as 43, or 43'-6\"";

    private static Length? InBounds(double feet) => feet is > 0 and <= MostFeet ? Length.Feet(feet) : null;

    private static string Last(string task) => task[(task.LastIndexOf('/') + 1)..];
}
