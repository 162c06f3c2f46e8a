namespace Circuitum.Core.Circuits;

/// <summary>
/// The cheapest division into circuits when every circuit that may be is known: the linear programme over them gives a bound and
/// prices, circuits that cannot be in a cheaper division are left out by their reduced cost, and what is left is searched to the end.
/// </summary>
internal sealed class ZonePartition
{
    // The search ends in far fewer; where it does not, what was found so far is told with its gap.
    private const int MostNodes = 400_000;

    private readonly ZoneColumns columns;
    private readonly (int[] Units, long Cost, double Reduced)[][] byUnit;
    private readonly double least;
    private readonly bool[] served;
    private readonly Stack<int[]> taken = [];
    private int[][] best;
    private long bestCost;
    private int nodes;
    private PlanWatch? watch;
    private string title = "";

    private ZonePartition(ZoneColumns columns)
    {
        this.columns = columns;
        var rows = columns.Units.Length;
        var price = PartitionProgram.Prices(rows, columns.All);
        least = price.Sum();
        served = new bool[rows];
        best = [.. Enumerable.Range(0, rows).Select(u => new[] { u })];
        bestCost = columns.All.Where(c => c.Units.Length == 1).Sum(c => c.Cost);
        var all = columns.All.Select(c => (c.Units, c.Cost, Reduced: Math.Max(0, c.Cost - c.Units.Sum(u => price[u])))).OrderBy(c => c.Reduced).ThenBy(c => c.Cost).ToList();
        byUnit = [.. Enumerable.Range(0, rows).Select(u => all.Where(c => c.Units.Contains(u)).ToArray())];
    }

    /// <summary>What no division that keeps rooms whole and zones together costs less than, in cents.</summary>
    internal long Bound { get; private set; }

    /// <summary>What the division costs, in cents.</summary>
    internal long Cost => bestCost;

    /// <summary>How many circuits may be.</summary>
    internal int Columns => columns.All.Count;

    /// <summary>Whether the search went to its end, so that nothing is cheaper.</summary>
    internal bool Proven => Bound >= bestCost;

    /// <summary>The circuits by their things.</summary>
    internal IEnumerable<int[]> Circuits => best.Select(columns.Things);

    /// <summary>The division, on the circuits that are there already where a person holds something.</summary>
    internal GroupPlan Plan()
    {
        var plan = new GroupPlan(columns.Problem);
        foreach (var things in Circuits)
        {
            var on = things.Select(t => columns.Problem.Fixed[t]).Max();
            if (on < 0) on = plan.Open();
            foreach (var t in things.Where(t => plan.Of(t) < 0)) plan.Put(t, on);
        }

        return plan;
    }

    /// <summary>Divides a problem; none when its circuits are too many to be written down.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="watch">Who looks on and may end it early; none for nobody.</param>
    /// <param name="title">What is divided, as the one who looks on is told.</param>
    internal static ZonePartition? Solve(GroupProblem problem, PlanWatch? watch = null, string title = "Circuits")
    {
        var cancel = watch?.Token ?? default;
        if (ZoneColumns.Of(problem, watch, title) is not { } columns) return null;
        var partition = new ZonePartition(columns) { watch = watch, title = title };
        partition.Search(0, partition.least, cancel);
        var bound = (long)Math.Ceiling(partition.least - 1e-3);
        partition.Bound = partition.nodes < MostNodes && !cancel.IsCancellationRequested ? partition.bestCost : Math.Min(bound, partition.bestCost);
        return partition;
    }

    private void Search(long cost, double floor, CancellationToken cancel)
    {
        if (++nodes >= MostNodes || cancel.IsCancellationRequested) return;

        // The unit with the fewest circuits left to choose from is served first.
        int[]? unit = null;
        var fewest = int.MaxValue;
        for (var u = 0; u < served.Length; u++)
        {
            if (served[u]) continue;
            var count = 0;
            foreach (var c in byUnit[u])
            {
                if (floor + c.Reduced > bestCost - 1 + 1e-3) break;
                if (IsOpen(c.Units) && ++count >= fewest) break;
            }

            if (count >= fewest) continue;
            (unit, fewest) = ([u], count);
            if (count == 0) return;
        }

        if (unit is null)
        {
            if (cost >= bestCost) return;
            (bestCost, best) = (cost, [.. taken]);
            watch?.Say($"{title}: possible circuits: {columns.All.Count:#,0}; best so far {PlanExplain.Money(cost)}, at most {100.0 * (cost - least) / Math.Max(1, least):0.0} percent over the best.");
            return;
        }

        foreach (var c in byUnit[unit[0]])
        {
            if (floor + c.Reduced > bestCost - 1 + 1e-3) break;
            if (!IsOpen(c.Units)) continue;
            foreach (var u in c.Units) served[u] = true;
            taken.Push(c.Units);
            Search(cost + c.Cost, floor + c.Reduced, cancel);
            taken.Pop();
            foreach (var u in c.Units) served[u] = false;
        }
    }

    private bool IsOpen(int[] units)
    {
        foreach (var u in units)
        {
            if (served[u]) return false;
        }

        return true;
    }
}
