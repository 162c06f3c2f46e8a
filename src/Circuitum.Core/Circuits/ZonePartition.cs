using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>
/// The cheapest division into circuits when every circuit that may be is known: the linear programme over them gives a bound and
/// prices, circuits that cannot be in a cheaper division are left out by their reduced cost, and what is left is searched to the end.
/// In a huge house that search is cut off; then circuits side by side are taken out and divided anew by the same search, again and
/// again, while the bound still says how far off the result is at most.
/// </summary>
internal sealed class ZonePartition
{
    // The search of an ordinary house ends in far fewer.
    private const int MostNodes = 100_000;

    // Units that are divided anew at a time, how often, and how far each search of them goes.
    private const int Freed = 14,
        Rounds = 1500,
        NodesOfRound = 3000;

    private readonly ZoneColumns columns;
    private readonly double[] price;
    private readonly Column[][] byUnit;
    private readonly double least;
    private readonly bool[] served;
    private readonly Stack<Column> taken = [];
    private List<Column> best;
    private long bestCost;
    private int nodes,
        mostNodes = MostNodes;
    private PlanWatch? watch;
    private string title = "";

    private ZonePartition(ZoneColumns columns)
    {
        this.columns = columns;
        var rows = columns.Units.Length;
        price = PartitionProgram.Prices(rows, columns.All);
        least = price.Sum();
        served = new bool[rows];
        var all = columns
            .All.Select(c => new Column(c.Units, c.Cost, Math.Max(0, c.Cost - c.Units.Sum(u => price[u]))))
            .OrderBy(c => c.Reduced)
            .ThenBy(c => c.Cost)
            .ToList();
        byUnit = [.. Enumerable.Range(0, rows).Select(u => all.Where(c => c.Units.Contains(u)).ToArray())];
        best = [.. all.Where(c => c.Units.Length == 1)];
        bestCost = best.Sum(c => c.Cost);
    }

    private sealed record Column(int[] Units, long Cost, double Reduced);

    /// <summary>What no division that keeps rooms whole and zones together costs less than, in cents.</summary>
    internal long Bound { get; private set; }

    /// <summary>What the division costs, in cents.</summary>
    internal long Cost => bestCost;

    /// <summary>How many circuits may be.</summary>
    internal int Columns => columns.All.Count;

    /// <summary>Whether the search went to its end, so that nothing is cheaper.</summary>
    internal bool Proven => Bound >= bestCost;

    /// <summary>The circuits by their things.</summary>
    internal IEnumerable<int[]> Circuits => best.Select(c => columns.Things(c.Units));

    /// <summary>The division, on the circuits that are there already where a person holds something.</summary>
    internal GroupPlan Plan()
    {
        var plan = new GroupPlan(columns.Problem);
        foreach (var things in Circuits)
        {
            var on = things.Select(t => columns.Problem.Fixed[t]).Max();
            if (on < 0)
                on = plan.Open();
            foreach (var t in things.Where(t => plan.Of(t) < 0))
                plan.Put(t, on);
        }

        return plan;
    }

    /// <summary>Divides a problem; none when its circuits are too many to be written down.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="watch">Who looks on and may end it early; none for nobody.</param>
    /// <param name="title">What is divided, as the one who looks on is told.</param>
    internal static ZonePartition? Solve(GroupProblem problem, PlanWatch? watch = null, string title = "Circuits")
    {
        if (ZoneColumns.Of(problem, watch, title) is not { } columns)
            return null;
        var partition = new ZonePartition(columns) { watch = watch, title = title };
        partition.Search(0, partition.least);
        if (!partition.CutOff)
            partition.Bound = partition.bestCost;
        else
        {
            partition.Improve();
            partition.Bound = Math.Min((long)Math.Ceiling(partition.least - 1e-3), partition.bestCost);
        }

        return partition;
    }

    private bool CutOff => nodes >= mostNodes || watch is { Stopped: true };

    private void Search(long cost, double floor)
    {
        ++nodes;
        if (CutOff)
            return;

        // The unit with the fewest circuits left to choose from is served first.
        var (unit, fewest) = (-1, int.MaxValue);
        for (var u = 0; u < served.Length; u++)
        {
            if (served[u])
                continue;
            var count = 0;
            foreach (var c in byUnit[u])
            {
                if (floor + c.Reduced > bestCost - 1 + 1e-3)
                    break;
                if (IsOpen(c.Units) && ++count >= fewest)
                    break;
            }

            if (count >= fewest)
                continue;
            (unit, fewest) = (u, count);
            if (count == 0)
                return;
        }

        if (unit < 0)
        {
            if (cost >= bestCost)
                return;
            (bestCost, best) = (cost, [.. taken]);
            if (taken.Sum(c => c.Units.Length) == served.Length)
                Tell(cost);
            return;
        }

        foreach (var c in byUnit[unit])
        {
            if (floor + c.Reduced > bestCost - 1 + 1e-3)
                break;
            if (!IsOpen(c.Units))
                continue;
            foreach (var u in c.Units)
                served[u] = true;
            taken.Push(c);
            Search(cost + c.Cost, floor + c.Reduced);
            taken.Pop();
            foreach (var u in c.Units)
                served[u] = false;
        }
    }

    private void Tell(long cost) =>
        watch?.Say(
            $"{title}: possible circuits: {columns.All.Count:#,0}; best so far {new Money(cost)}, at most "
                + $"{100.0 * (cost - least) / Math.Max(1, least):0.0} percent over the best."
        );

    // The circuits around each circuit in turn are divided anew, the others standing, until a whole turn saves nothing.
    private void Improve()
    {
        var (all, total, idle) = (best, bestCost, 0);
        for (var round = 0; round < Rounds && idle <= all.Count && watch is not { Stopped: true }; round++)
        {
            var around = Around(all, all[round % all.Count]);
            var before = around.Sum(c => c.Cost);
            Array.Fill(served, true);
            foreach (var u in around.SelectMany(c => c.Units))
                served[u] = false;
            (best, bestCost, nodes, mostNodes) = (around, before, 0, NodesOfRound);
            Search(0, around.SelectMany(c => c.Units).Sum(u => price[u]));
            idle++;
            if (bestCost >= before)
                continue;
            all = [.. all.Except(around), .. best];
            (total, idle) = (total - before + bestCost, 0);
            Tell(total);
        }

        (best, bestCost) = (all, total);
    }

    // The circuits that touch one, and those that touch these, as many as can be searched.
    private List<Column> Around(List<Column> all, Column centre)
    {
        var (around, size) = (new List<Column> { centre }, centre.Units.Length);
        for (var i = 0; i < around.Count; i++)
        {
            foreach (var c in all.Where(c => !around.Contains(c) && around[i].Units.Any(u => columns.Beside(u).Any(c.Units.Contains))))
            {
                if (size + c.Units.Length > Freed)
                    return around;
                around.Add(c);
                size += c.Units.Length;
            }
        }

        return around;
    }

    private bool IsOpen(int[] units)
    {
        foreach (var u in units)
        {
            if (served[u])
                return false;
        }

        return true;
    }
}
