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
        var most = Math.Min(roomA, loads.Count);
        var table = new SumTable(loads, most);
        var (bestK, bestSum, bestGap) = (0, 0, int.MaxValue);
        for (var k = Math.Max(0, loads.Count - roomB); k <= most; k++)
        {
            for (var sum = 0; sum <= table.Total; sum++)
            {
                if (!table.Has(k, sum))
                    continue;
                var gap = Math.Abs(lead + sum - (table.Total - sum));
                if (gap < bestGap)
                    (bestK, bestSum, bestGap) = (k, sum, gap);
            }
        }

        return [.. table.Pick(bestK, bestSum)];
    }
}
