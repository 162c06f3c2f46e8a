using System.Collections.Immutable;

namespace Circuitum.Core.Panels;

/// <summary>
/// Divides circuits over three lines so that the line farthest from the mean is as near to it as can be. Up to
/// <see cref="MostByAll"/> every division is looked at; beyond it the heaviest are placed first and then moved and exchanged.
/// </summary>
public static class LineBalance
{
    /// <summary>So many are divided in every possible way.</summary>
    public const int MostByAll = 12;

    private const int Lines = 3;

    /// <summary>The line of each circuit, from 0.</summary>
    /// <param name="watts">Their loads.</param>
    /// <param name="fits">Whether a division so far can be carried out, by the line of each circuit or -1 for those without one.</param>
    /// <param name="there">What the lines carry already.</param>
    public static ImmutableArray<int> Divide(IReadOnlyList<int> watts, Func<int[], bool>? fits = null, IReadOnlyList<int>? there = null)
    {
        var order = Enumerable.Range(0, watts.Count).OrderByDescending(i => watts[i]).ToArray();
        var line = Enumerable.Repeat(-1, watts.Count).ToArray();
        var sums = Enumerable.Range(0, Lines).Select(l => (long)(there?[l] ?? 0)).ToArray();
        var search = new Search(watts, order, fits ?? (_ => true), sums.Sum() + watts.Sum(w => (long)w));
        if (watts.Count <= MostByAll)
        {
            search.All(line, sums, 0);
            return [.. search.Best ?? line];
        }

        foreach (var i in order)
        {
            foreach (var l in Enumerable.Range(0, Lines).OrderBy(l => sums[l]))
            {
                line[i] = l;
                if (fits is null || fits(line))
                    break;
                line[i] = -1;
            }

            if (line[i] >= 0)
                sums[line[i]] += watts[i];
        }

        search.Improve(line, sums);
        return [.. line];
    }

    /// <summary>Three times the greatest deviation from the mean, in watts: whole numbers of it compare without rounding.</summary>
    public static long Apart(IReadOnlyList<long> sums)
    {
        var total = sums.Sum();
        return sums.Max(s => Math.Abs((Lines * s) - total));
    }

    /// <summary>No division brings the line farthest from the mean nearer than this to it, in watts.</summary>
    /// <param name="watts">The loads.</param>
    public static double Bound(IReadOnlyList<int> watts) =>
        watts.Count == 0 ? 0 : Math.Max(0, watts.Max() - (watts.Sum(w => (double)w) / Lines));

    private sealed class Search(IReadOnlyList<int> watts, int[] order, Func<int[], bool> fits, long total)
    {
        private long best = long.MaxValue;

        internal int[]? Best { get; private set; }

        internal void All(int[] line, long[] sums, int at)
        {
            // A line that is over the mean already only gets worse.
            if (sums.Max(s => (Lines * s) - total) >= best)
                return;
            if (at == order.Length)
            {
                if (Apart(sums) < best)
                    (best, Best) = (Apart(sums), [.. line]);
                return;
            }

            var i = order[at];
            for (var l = 0; l < Lines; l++)
            {
                line[i] = l;
                if (fits(line))
                {
                    sums[l] += watts[i];
                    All(line, sums, at + 1);
                    sums[l] -= watts[i];
                }

                line[i] = -1;
            }
        }

        internal void Improve(int[] line, long[] sums)
        {
            for (var better = true; better; )
            {
                better = false;
                for (var i = 0; i < line.Length; i++)
                {
                    for (var l = 0; l < Lines && line[i] >= 0; l++)
                        better |= Try(line, sums, [(i, l)]);
                    for (var j = i + 1; j < line.Length && line[i] >= 0; j++)
                    {
                        if (line[j] >= 0 && line[i] != line[j])
                            better |= Try(line, sums, [(i, line[j]), (j, line[i])]);
                    }
                }
            }
        }

        private bool Try(int[] line, long[] sums, (int Circuit, int Line)[] moves)
        {
            var (before, was) = (Spread(sums), moves.Select(m => line[m.Circuit]).ToArray());
            Move(moves.Select(m => m.Line));
            if (Spread(sums).CompareTo(before) < 0 && fits(line))
                return true;
            Move(was);
            return false;

            void Move(IEnumerable<int> to)
            {
                foreach (var (m, l) in moves.Zip(to))
                {
                    sums[line[m.Circuit]] -= watts[m.Circuit];
                    line[m.Circuit] = l;
                    sums[l] += watts[m.Circuit];
                }
            }
        }

        // The greatest deviation first, then how uneven they are as a whole, so that a step that helps only the second line counts too.
        private static (long, double) Spread(long[] sums)
        {
            var mean = sums.Sum() / (double)Lines;
            return (Apart(sums), sums.Sum(s => (s - mean) * (s - mean)));
        }
    }
}
