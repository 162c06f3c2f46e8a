using Circuitum.Core.Circuits;
using Google.OrTools.LinearSolver;

namespace Circuitum.Oracle.Tests;

/// <summary>
/// The exactly cheapest division of a small problem, by another way than the product's: every circuit that may be is a
/// column with its cost, a linear programme over them gives a bound and prices, columns that cannot be in a cheaper
/// division are left out by their reduced cost, and what is left is searched to the end.
/// </summary>
internal sealed class PartitionOracle
{
    private readonly GroupProblem problem;
    private readonly List<(int Set, int Cost)> columns = [];

    private PartitionOracle(GroupProblem problem)
    {
        this.problem = problem;
        Span<int> members = stackalloc int[problem.MostSize];
        Grow(members, 0, 0, 0);
    }

    /// <summary>The least cost.</summary>
    /// <param name="problem">A problem without anything fixed or standing, of 30 outlets at most.</param>
    /// <param name="known">The cost of some division, to leave out what cannot be cheaper.</param>
    internal static long Least(GroupProblem problem, long known) => new PartitionOracle(problem).Solve(known);

    private void Grow(Span<int> members, int count, int from, int set)
    {
        if (count > 0)
            columns.Add((set, problem.Cost(members[..count])));
        for (var t = from; t < problem.Count && count < problem.MostSize; t++)
        {
            members[count] = t;
            if (problem.Fits(members[..(count + 1)]))
                Grow(members, count + 1, t + 1, set | (1 << t));
        }
    }

    private long Solve(long known)
    {
        var (bound, price) = Prices();
        if ((long)Math.Ceiling(bound - 1e-3) >= known)
            return known;

        // A column whose reduced cost is over the gap is in no cheaper division.
        var left = columns
            .Select(c => (c.Set, c.Cost, Reduced: c.Cost - Worth(c.Set, price)))
            .Where(c => c.Reduced < known - bound + 1e-3)
            .ToList();
        var byLowest = left.OrderBy(c => c.Reduced).ToLookup(c => int.TrailingZeroCount(c.Set));
        var best = known;
        Search(0, 0, bound);
        return best;

        void Search(int set, long cost, double least)
        {
            if (set == (1 << problem.Count) - 1)
            {
                best = Math.Min(best, cost);
                return;
            }

            foreach (var c in byLowest[int.TrailingZeroCount(~set)])
            {
                if ((c.Set & set) != 0)
                    continue;
                if (least + c.Reduced > best - 1 + 1e-3)
                    break;
                Search(set | c.Set, cost + c.Cost, least + c.Reduced);
            }
        }
    }

    private static double Worth(int set, double[] price)
    {
        var sum = 0.0;
        for (var s = set; s != 0; s &= s - 1)
            sum += price[int.TrailingZeroCount(s)];
        return sum;
    }

    // Columns are brought in as their prices call for them, until none could lower the cost any more.
    private (double Bound, double[] Price) Prices()
    {
        using var solver = Solver.CreateSolver("GLOP");
        var rows = Enumerable.Range(0, problem.Count).Select(i => solver.MakeConstraint(1, 1, $"outlet {i}")).ToArray();
        var used = new HashSet<int>();
        foreach (var c in columns.Where(c => int.PopCount(c.Set) == 1))
            Bring(c);
        while (true)
        {
            if (solver.Solve() != Solver.ResultStatus.OPTIMAL)
                throw new InvalidOperationException("The linear programme was not solved.");
            var price = rows.Select(r => r.DualValue()).ToArray();
            var better = columns
                .Where(c => !used.Contains(c.Set))
                .Select(c => (c, Reduced: c.Cost - Worth(c.Set, price)))
                .Where(c => c.Reduced < -1e-6)
                .OrderBy(c => c.Reduced)
                .Take(60)
                .ToList();
            if (better.Count == 0)
                return (solver.Objective().Value(), price);
            foreach (var (c, _) in better)
                Bring(c);
        }

        void Bring((int Set, int Cost) column)
        {
            used.Add(column.Set);
            var variable = solver.MakeNumVar(0, double.PositiveInfinity, $"{column.Set}");
            solver.Objective().SetCoefficient(variable, column.Cost);
            for (var s = column.Set; s != 0; s &= s - 1)
                rows[int.TrailingZeroCount(s)].SetCoefficient(variable, 1);
        }
    }
}
