using System.Collections.Immutable;
using System.Globalization;

namespace Circuitum.Core.Panels;

/// <summary>Spaces of a panel as they are written: <c>13-20, 24</c>.</summary>
public static class SpaceList
{
    private const int Most = 84;

    /// <summary>Writes them, runs of three and more with a dash.</summary>
    /// <param name="spaces">The spaces.</param>
    public static string Write(IEnumerable<int> spaces)
    {
        var runs = new List<(int From, int To)>();
        foreach (var s in spaces.Distinct().Order())
        {
            if (runs.Count > 0 && runs[^1].To == s - 1)
                runs[^1] = (runs[^1].From, s);
            else
                runs.Add((s, s));
        }

        return string.Join(
            ", ",
            runs.SelectMany(r =>
                r.To - r.From == 1 ? new[] { $"{r.From}", $"{r.To}" } : [r.From == r.To ? $"{r.From}" : $"{r.From}-{r.To}"]
            )
        );
    }

    /// <summary>Reads them.</summary>
    /// <param name="text">What a person typed; nothing means none.</param>
    /// <param name="spaces">The spaces by rising number.</param>
    /// <param name="problem">What is wrong with it.</param>
    public static bool TryRead(string text, out ImmutableArray<int> spaces, out string problem)
    {
        var found = new SortedSet<int>();
        (spaces, problem) = ([], "");
        foreach (var part in text.Split([',', ' ', ';'], StringSplitOptions.RemoveEmptyEntries))
        {
            var ends = part.Split('-');
            if (
                ends.Length > 2
                || !int.TryParse(ends[0], NumberStyles.None, CultureInfo.InvariantCulture, out var from)
                || !int.TryParse(ends[^1], NumberStyles.None, CultureInfo.InvariantCulture, out var to)
                || from < 1
                || to < from
                || to > Most
            )
            {
                problem = $"type spaces such as 13-20, 24, each from 1 to {Most}.";
                return false;
            }

            found.UnionWith(Enumerable.Range(from, to - from + 1));
        }

        spaces = [.. found];
        return true;
    }
}
