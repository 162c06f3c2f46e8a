namespace Circuitum.Core.Circuits;

/// <summary>What no division into circuits can be cheaper than.</summary>
internal static class GroupBound
{
    /// <summary>The least number of circuits by count and by load.</summary>
    internal static int LeastCircuits(GroupProblem p) =>
        p.Count == 0
            ? 0
            : Math.Max((p.Size.Sum() + p.MostSize - 1) / p.MostSize, (int)((p.Load.Sum(l => (long)l) + p.MostLoad - 1) / p.MostLoad));

    /// <summary>
    /// A lower bound on the cost, in cents. The cables of all circuits with the panel form one tree that spans everything and
    /// meets the panel as often as there are circuits; no such tree is shorter than the shortest one whose panel degree is
    /// at least the least number of circuits. Home runs are made cheaper by a price until enough of them are taken: the
    /// price times the number is given back, and the best price is looked for. Rooms that circuits must share come on top.
    /// </summary>
    internal static long Cost(GroupProblem p)
    {
        if (p.Count == 0)
            return 0;
        var least = LeastCircuits(p);
        var rooms = p.Room.Where(r => r >= 0).Distinct().Count();
        var plain = Tree(p, 0).Cost;
        var best = long.MaxValue;
        for (var k = least; k <= p.Count; k++)
        {
            // Home runs are priced only for the numbers of circuits that come into question; beyond, the plain tree does.
            var cable = k <= least + 8 ? Cable(p, k) : plain;
            best = Math.Min(best, ((long)p.Weights.Circuit * k) + cable + Rooms(p, rooms, k));
        }

        return best;
    }

    // However rooms are shared out, all circuits together take in each room at least once; what passes four fifths is spread at best.
    private static long Rooms(GroupProblem p, int rooms, int circuits) =>
        ((long)p.Weights.Room * Math.Max(0, rooms - circuits))
        + ((long)p.Weights.Margin * Math.Max(0, p.Size.Sum() - (circuits * (p.MostSize * 4 / 5))));

    private static long Cable(GroupProblem p, int degree)
    {
        long low = 0,
            high = p.Home.Max() + 1L;
        long best = 0;
        for (var step = 0; step < 40 && low <= high; step++)
        {
            var price = (low + high) / 2;
            var (cost, taken) = Tree(p, price);
            best = Math.Max(best, cost + (price * degree));
            if (taken < degree)
                low = price + 1;
            else
                high = price - 1;
        }

        return Math.Max(best, Tree(p, 0).Cost);
    }

    // The shortest tree that spans the panel and all things, home runs being cheaper by a price. Cost is with the price off.
    private static (long Cost, int HomeRuns) Tree(GroupProblem p, long price)
    {
        var n = p.Count;
        var near = new long[n];
        var fromPanel = new bool[n];
        var hung = new bool[n];
        for (var i = 0; i < n; i++)
            (near[i], fromPanel[i]) = (p.Home[i] - price, true);
        long cost = 0;
        var runs = 0;
        for (var k = 0; k < n; k++)
        {
            var next = -1;
            for (var i = 0; i < n; i++)
            {
                if (!hung[i] && (next < 0 || near[i] < near[next]))
                    next = i;
            }

            hung[next] = true;
            cost += near[next];
            if (fromPanel[next])
                runs++;
            for (var i = 0; i < n; i++)
            {
                if (!hung[i] && p.Between[next, i] < near[i])
                    (near[i], fromPanel[i]) = (p.Between[next, i], false);
            }
        }

        return (cost, runs);
    }
}
