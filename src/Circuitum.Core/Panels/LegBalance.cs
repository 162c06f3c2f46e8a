using System.Collections.Immutable;

namespace Circuitum.Core.Panels;

/// <summary>Divides one-pole loads over two legs so that the legs differ least. Exact.</summary>
public static class LegBalance
{
    /// <summary>Which loads go on leg A.</summary>
    /// <param name="loads">Loads in volt-amperes, whole and not negative, at most 84 of them.</param>
    /// <param name="roomA">Spaces free on leg A.</param>
    /// <param name="roomB">Spaces free on leg B; together with A at least as many as loads.</param>
    /// <param name="lead">How much leg A carries more than leg B already.</param>
    public static ImmutableArray<bool> Split(IReadOnlyList<int> loads, int roomA, int roomB, int lead = 0)
    {
        var total = loads.Sum();
        var words = (total / 64) + 1;
        var most = Math.Min(roomA, loads.Count);

        // reach[i][k]: the sums that k of the first i loads can make, as bits.
        var reach = new ulong[loads.Count + 1][][];
        reach[0] = [.. Enumerable.Range(0, most + 1).Select(_ => new ulong[words])];
        reach[0][0][0] = 1;
        for (var i = 0; i < loads.Count; i++)
        {
            reach[i + 1] = [.. reach[i].Select(r => (ulong[])r.Clone())];
            for (var k = 0; k < most; k++) OrShifted(reach[i + 1][k + 1], reach[i][k], loads[i]);
        }

        var (bestK, bestSum, bestGap) = (0, 0, int.MaxValue);
        for (var k = Math.Max(0, loads.Count - roomB); k <= most; k++)
        {
            for (var sum = 0; sum <= total; sum++)
            {
                if (!Has(reach[loads.Count][k], sum)) continue;
                var gap = Math.Abs(lead + sum - (total - sum));
                if (gap < bestGap) (bestK, bestSum, bestGap) = (k, sum, gap);
            }
        }

        var onA = new bool[loads.Count];
        for (var i = loads.Count; i > 0; i--)
        {
            if (Has(reach[i - 1][bestK], bestSum)) continue;
            onA[i - 1] = true;
            bestK--;
            bestSum -= loads[i - 1];
        }

        return [.. onA];
    }

    private static bool Has(ulong[] bits, int at) => at >= 0 && (bits[at / 64] >> (at % 64) & 1) != 0;

    private static void OrShifted(ulong[] into, ulong[] from, int by)
    {
        var (whole, part) = (by / 64, by % 64);
        for (var w = into.Length - 1; w >= whole; w--)
        {
            var bits = from[w - whole] << part;
            if (part > 0 && w - whole > 0) bits |= from[w - whole - 1] >> (64 - part);
            into[w] |= bits;
        }
    }
}
