namespace Circuitum.Core.Circuits;

/// <summary>
/// What the cable between two things costs, in cents, worked out when it is first asked for: most of two thousand things never come
/// near each other.
/// </summary>
internal sealed class PairCosts
{
    private const int Unknown = -1;

    private readonly int[][] known;
    private readonly Func<int, int, int>? cost;
    private readonly Func<int, int, int>? atLeast;

    /// <summary>Prepares the costs between some things.</summary>
    /// <param name="count">How many there are.</param>
    /// <param name="cost">What the cable from one to another costs; the same both ways.</param>
    /// <param name="atLeast">What it costs at least, which is quicker to say.</param>
    internal PairCosts(int count, Func<int, int, int> cost, Func<int, int, int> atLeast)
    {
        (this.cost, this.atLeast) = (cost, atLeast);
        known = new int[count][];
        for (var i = 0; i < count; i++)
        {
            known[i] = new int[count];
            Array.Fill(known[i], Unknown);
            known[i][i] = 0;
        }
    }

    /// <summary>Costs that are all known.</summary>
    /// <param name="all">From each to each.</param>
    internal PairCosts(IEnumerable<int[]> all) => known = [.. all];

    internal int this[int one, int other] => known[one][other] is var cents and not Unknown ? cents : Ask(one, other);

    /// <summary>The things that are nearest to one, nearest first; of those that are as near, the first ones.</summary>
    /// <param name="thing">The thing.</param>
    /// <param name="most">How many are wanted.</param>
    internal int[] Nearest(int thing, int most)
    {
        // Nothing is nearer than its least: once that is farther than the last one kept, none that follows comes in.
        var kept = new List<(int Cost, int Thing)>(most + 1);
        foreach (
            var (least, other) in Enumerable
                .Range(0, known.Length)
                .Where(o => o != thing)
                .Select(o => (Least: atLeast?.Invoke(thing, o) ?? this[thing, o], o))
                .Order()
        )
        {
            if (kept.Count == most && least > kept[^1].Cost)
                break;
            var found = (this[thing, other], other);
            if (kept.Count == most && found.CompareTo(kept[^1]) >= 0)
                continue;
            kept.Insert(~kept.BinarySearch(found), found);
            if (kept.Count > most)
                kept.RemoveAt(most);
        }

        return [.. kept.Select(k => k.Thing)];
    }

    private int Ask(int one, int other) => known[one][other] = known[other][one] = cost!(Math.Min(one, other), Math.Max(one, other));
}
