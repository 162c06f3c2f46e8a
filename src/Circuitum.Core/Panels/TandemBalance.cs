using System.Collections.Immutable;

namespace Circuitum.Core.Panels;

/// <summary>
/// Divides one-pole loads over two legs when whole spaces are too few and tandems have to help: no more halves than
/// needed, and of all ways to do that one in which the legs differ least. Exact.
/// </summary>
public static class TandemBalance
{
    /// <summary>Which loads go on leg A and how many halves each leg takes, or none when they cannot all be placed.</summary>
    /// <param name="loads">Loads in volt-amperes and whether a breaker of half the height may serve each.</param>
    /// <param name="a">Room on leg A.</param>
    /// <param name="b">Room on leg B.</param>
    /// <param name="lead">How much leg A carries more than leg B already.</param>
    public static (ImmutableArray<bool> OnA, int ExtraA, int ExtraB)? Split(
        IReadOnlyList<(int Va, bool Half)> loads,
        LegRoom a,
        LegRoom b,
        int lead = 0
    )
    {
        var (halves, wholes) = (Table(loads, true), Table(loads, false));

        // Most divisions are never looked at: the first that leaves no gap ends the search.
        var (halfSums, wholeSums) = (new int[halves.Count + 1][], new int[wholes.Count + 1][]);
        var total = halves.Total + wholes.Total;
        var extra = Math.Max(0, loads.Count - a.Full - b.Full);
        (int Gap, int Halves, int Wholes, int HalfSum, int WholeSum, int ExtraA)? best = null;
        foreach (var (onA, k, j) in Counts())
        {
            if (best is { Gap: <= 1 })
                break;
            foreach (var sum in halfSums[k] ??= halves.Of(k))
            {
                if (best is { Gap: <= 1 })
                    break;
                foreach (var other in Near(wholeSums[j] ??= wholes.Of(j), ((total - lead) / 2) - sum))
                {
                    var gap = Math.Abs(lead + (2 * (sum + other)) - total);
                    if (best is null || gap < best.Value.Gap)
                        best = (gap, k, j, sum, other, onA);
                }
            }
        }

        if (best is not { } b0)
            return null;
        var (half, whole) = (new Queue<bool>(halves.Pick(b0.Halves, b0.HalfSum)), new Queue<bool>(wholes.Pick(b0.Wholes, b0.WholeSum)));
        return ([.. loads.Select(l => l.Half ? half.Dequeue() : whole.Dequeue())], b0.ExtraA, extra - b0.ExtraA);

        // All ways to say how many halves leg A takes, and how many small and other breakers.
        IEnumerable<(int ExtraA, int Halves, int Wholes)> Counts() =>
            from onA in Enumerable.Range(0, extra + 1)
            where onA <= a.Joined + a.Doubled && extra - onA <= b.Joined + b.Doubled
            from k in Enumerable.Range(0, halves.Count + 1)
            where k >= Needed(a, onA) && halves.Count - k >= Needed(b, extra - onA)
            from j in Enumerable.Range(0, wholes.Count + 1)
            where k + j <= a.Full + onA && loads.Count - k - j <= b.Full + extra - onA
            select (onA, k, j);
    }

    // A half beside one that is there takes one small breaker, a space divided in two takes two.
    private static int Needed(LegRoom leg, int extra) => Math.Min(extra, leg.Joined) + (2 * Math.Max(0, extra - leg.Joined));

    private static SumTable Table(IReadOnlyList<(int Va, bool Half)> loads, bool half)
    {
        int[] some = [.. loads.Where(l => l.Half == half).Select(l => l.Va)];
        return new(some, some.Length);
    }

    // The one under what is wanted, it itself and the one over it.
    private static IEnumerable<int> Near(int[] sums, int wanted)
    {
        var at = Array.BinarySearch(sums, wanted);
        if (at < 0)
            at = ~at;
        for (var i = Math.Max(0, at - 1); i <= Math.Min(sums.Length - 1, at + 1); i++)
            yield return sums[i];
    }
}
