using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Edits;

/// <summary>The sections of a split board as a person types them: <c>100 mA 6, 30 mA 4</c>, the ways of each behind its device.</summary>
public static class SectionList
{
    private const int MostLetters = 200;

    private const StringSplitOptions Parts = StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries;

    /// <summary>Writes sections.</summary>
    public static string Write(ImmutableArray<BoardSection> sections) =>
        string.Join(", ", sections.Select(s => $"{s.Milliamps} mA {s.Ways}"));

    /// <summary>Reads sections; an empty text is none.</summary>
    /// <param name="text">As it was typed.</param>
    /// <param name="sections">The sections, laid out by a person.</param>
    /// <param name="wrong">Otherwise a sentence.</param>
    public static bool TryRead(string text, out ImmutableArray<BoardSection> sections, out string wrong)
    {
        (sections, wrong) = ([], "");
        var read = new List<BoardSection>();
        foreach (var part in text.Length > MostLetters ? [text] : text.Split(',', Parts))
        {
            var words = part.Replace("mA", " ", StringComparison.OrdinalIgnoreCase).Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (words.Length != 2 || !Whole(words[0], out var milliamps) || !Whole(words[1], out var ways))
            {
                wrong =
                    $"'{Core.Intake.JobRules.Short(part)}' is no section. Type its residual current and its ways, such as "
                    + "100 mA 6, 30 mA 4.";
                return false;
            }

            read.Add(new(milliamps, ways, Origin.Person));
        }

        sections = [.. read];
        return true;
    }

    private static bool Whole(string text, out int value) => int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out value);
}
