using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Covers a line with the fewest points so that no place on it is farther than a reach from one, and among the fewest
/// takes the cheapest places. Exact: a dynamic programme over candidate places that always include the greedy ones.
/// </summary>
public static class Cover
{
    /// <summary>The places to add.</summary>
    /// <param name="length">Length of the line.</param>
    /// <param name="reach">Farthest that any place may be from a point.</param>
    /// <param name="held">Points that are there already; they are kept and count.</param>
    /// <param name="cost">How much a place is disliked; 0 is best, 1000 and over only when nothing else keeps the count.</param>
    /// <param name="step">Spacing of the ordinary candidates.</param>
    public static ImmutableArray<Length> Fewest(
        Length length,
        Length reach,
        IReadOnlyList<Length> held,
        Func<Length, int> cost,
        Length step
    ) => Fewest(length, reach, held, cost, Enumerable.Range(0, (int)(length.Units / step.Units) + 1).Select(i => step * i));

    // Walked through for every wall of a house right after a start, so it is not left to be made fast later.
    /// <inheritdoc cref="Fewest(Length, Length, IReadOnlyList{Length}, Func{Length, int}, Length)"/>
    /// <param name="length">Length of the line.</param>
    /// <param name="reach">Farthest that any place may be from a point.</param>
    /// <param name="held">Points that are there already; they are kept and count.</param>
    /// <param name="cost">How much a place is disliked.</param>
    /// <param name="ordinary">The ordinary candidates.</param>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    public static ImmutableArray<Length> Fewest(
        Length length,
        Length reach,
        IReadOnlyList<Length> held,
        Func<Length, int> cost,
        IEnumerable<Length> ordinary
    )
    {
        var kept = held.Select(h => h.Units).ToHashSet();
        var candidates = new SortedSet<long>(kept);
        foreach (var place in ordinary)
            candidates.Add(place.Units);
        for (var u = reach.Units; u < length.Units; u += 2 * reach.Units)
            candidates.Add(u);
        for (var u = length.Units - reach.Units; u > 0; u -= 2 * reach.Units)
            candidates.Add(u);
        candidates.Add(length.Units / 2);
        foreach (var h in kept)
        {
            // The farthest next point on each side of one that is held.
            for (var u = h + (2 * reach.Units); u < length.Units; u += 2 * reach.Units)
                candidates.Add(u);
            for (var u = h - (2 * reach.Units); u > 0; u -= 2 * reach.Units)
                candidates.Add(u);
        }

        var at = candidates.Where(c => c >= 0 && c <= length.Units).ToArray();
        var isHeld = Array.ConvertAll(at, kept.Contains);
        var best = new (int Count, long Cost, int From)[at.Length];
        for (var i = 0; i < at.Length; i++)
        {
            best[i] = (int.MaxValue, 0, -1);
            var add = isHeld[i] ? 0 : 1;
            long own = add == 0 ? 0 : cost(new Length(at[i]));
            if (at[i] <= reach.Units)
                best[i] = (add, own + Uneven(2 * at[i]), -1);
            for (var j = i - 1; j >= 0 && at[i] - at[j] <= 2 * reach.Units; j--)
            {
                if (best[j].Count == int.MaxValue)
                    continue;
                var count = best[j].Count + add;
                var total = best[j].Cost + own + Uneven(at[i] - at[j]);
                if (count < best[i].Count || (count == best[i].Count && total < best[i].Cost))
                    best[i] = (count, total, j);

                // A held point cannot be stepped over for free, but passing it never helps either: it costs nothing.
                if (isHeld[j])
                    break;
            }
        }

        var end = -1;
        for (var i = 0; i < at.Length; i++)
        {
            if (best[i].Count == int.MaxValue || length.Units - at[i] > reach.Units)
                continue;
            best[i].Cost += Uneven(2 * (length.Units - at[i]));
            if (end < 0 || best[i].Count < best[end].Count || (best[i].Count == best[end].Count && best[i].Cost < best[end].Cost))
                end = i;
        }

        var chosen = ImmutableArray.CreateBuilder<Length>();
        for (var i = end; i >= 0; i = best[i].From)
        {
            if (!kept.Contains(at[i]))
                chosen.Add(new Length(at[i]));
        }

        chosen.Reverse();
        return chosen.ToImmutable();
    }

    // Of equally good places, evenly spread ones: squares of the gaps sum up least when the gaps are alike. Two feet more
    // than the neighbour weigh about as much as an inch off a stud.
    private static long Uneven(long gap)
    {
        var inches = gap / Length.UnitsPerInch;
        return inches * inches / 600;
    }

    /// <summary>The farthest that any place on the line is from its nearest point.</summary>
    public static Length Farthest(Length length, IEnumerable<Length> points)
    {
        var sorted = points.Order().ToList();
        if (sorted.Count == 0)
            return new Length(long.MaxValue / 4);
        var worst = Length.Max(sorted[0], length - sorted[^1]);
        for (var i = 1; i < sorted.Count; i++)
            worst = Length.Max(worst, (sorted[i] - sorted[i - 1]) / 2);
        return worst;
    }
}
