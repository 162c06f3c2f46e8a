namespace Circuitum.Core.Panels;

/// <summary>Which sums any number of some whole loads can make, and which loads make one.</summary>
internal sealed class SumTable
{
    private readonly IReadOnlyList<int> loads;

    // reach[i][k]: the sums that k of the first i loads can make, as bits.
    private readonly ulong[][][] reach;

    /// <summary>The table.</summary>
    /// <param name="loads">Whole loads, not negative.</param>
    /// <param name="most">Most of them that are taken together.</param>
    internal SumTable(IReadOnlyList<int> loads, int most)
    {
        this.loads = loads;
        Total = loads.Sum();
        var words = (Total / 64) + 1;
        reach = new ulong[loads.Count + 1][][];
        reach[0] = [new ulong[words]];
        reach[0][0][0] = 1;
        for (var i = 0; i < loads.Count; i++)
        {
            // Of i loads at most i are taken.
            var next = new ulong[Math.Min(i + 1, most) + 1][];
            for (var k = 0; k < next.Length; k++)
            {
                next[k] = k < reach[i].Length ? (ulong[])reach[i][k].Clone() : new ulong[words];
                if (k > 0)
                    OrShifted(next[k], reach[i][k - 1], loads[i]);
            }

            reach[i + 1] = next;
        }
    }

    internal int Total { get; }

    internal int Count => loads.Count;

    internal bool Has(int k, int sum) => k < reach[^1].Length && Bit(reach[^1][k], sum);

    /// <summary>The sums of k loads, rising.</summary>
    internal int[] Of(int k)
    {
        var sums = new List<int>();
        for (var s = 0; s <= Total; s++)
            if (Bit(reach[^1][k], s))
                sums.Add(s);
        return [.. sums];
    }

    /// <summary>The k loads that make a sum which the table has.</summary>
    internal bool[] Pick(int k, int sum)
    {
        var picked = new bool[loads.Count];
        for (var i = loads.Count; i > 0; i--)
        {
            if (k < reach[i - 1].Length && Bit(reach[i - 1][k], sum))
                continue;
            picked[i - 1] = true;
            k--;
            sum -= loads[i - 1];
        }

        return picked;
    }

    private static bool Bit(ulong[] bits, int at) => at >= 0 && (bits[at / 64] >> (at % 64) & 1) != 0;

    private static void OrShifted(ulong[] into, ulong[] from, int by)
    {
        var (whole, part) = (by / 64, by % 64);
        for (var w = into.Length - 1; w >= whole; w--)
        {
            var bits = from[w - whole] << part;
            if (part > 0 && w - whole > 0)
                bits |= from[w - whole - 1] >> (64 - part);
            into[w] |= bits;
        }
    }
}
