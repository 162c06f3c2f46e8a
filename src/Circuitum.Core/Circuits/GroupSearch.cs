namespace Circuitum.Core.Circuits;

/// <summary>
/// Groups outlets into circuits: a first plan by regret, then a search that takes out neighbours, a room or a whole
/// circuit and puts them back better. The same plan on every machine: whole numbers, a fixed count of rounds, a random
/// sequence of its own.
/// </summary>
internal sealed class GroupSearch
{
    private const int Nearest = 14;
    private readonly GroupProblem problem;
    private readonly int[][] near;
    private uint seed;

    internal GroupSearch(GroupProblem problem, uint seed = 20_231)
    {
        this.problem = problem;
        this.seed = seed;
        near = [.. Enumerable.Range(0, problem.Count).Select(t =>
        {
            var row = problem.Between[t];
            return Enumerable.Range(0, problem.Count).Where(o => o != t).OrderBy(o => row[o]).ThenBy(o => o).Take(Nearest).ToArray();
        })];
    }

    /// <summary>Rounds of search that are worth while for a number of things.</summary>
    internal static int Rounds(int count) => count switch { <= 1 => 0, <= 30 => 4000, <= 150 => 9000, <= 300 => 14_000, _ => 12_000 };

    /// <summary>A good plan at once: everything that is loose, the one first that would regret most to wait.</summary>
    internal GroupPlan First()
    {
        var plan = new GroupPlan(problem);
        for (var t = 0; t < problem.Count; t++)
        {
            if (plan.Of(t) < 0 && problem.Standing[t] >= 0 && plan.Extra(t, problem.Standing[t]) is not null) plan.Put(t, problem.Standing[t]);
        }

        Fill(plan, [.. Enumerable.Range(0, problem.Count).Where(t => plan.Of(t) < 0)], regret: problem.Count <= 300);
        return plan;
    }

    /// <summary>A better plan within a number of rounds.</summary>
    internal GroupPlan Improve(GroupPlan start, int rounds, CancellationToken cancel = default)
    {
        var movable = Enumerable.Range(0, problem.Count).Where(t => problem.Fixed[t] < 0 && !problem.Closed.Contains(start.Of(t))).ToArray();
        var best = start;
        var bestCost = start.Cost();
        if (movable.Length < 2) return best;
        var now = start.Copy();
        var nowCost = bestCost;
        for (var round = 0; round < rounds && !cancel.IsCancellationRequested; round++)
        {
            var next = now.Copy();
            var loose = TakeOut(next, movable);
            Fill(next, loose, regret: (Random() & 1) == 0, noise: (Random() & 3) == 0);
            var cost = next.Cost();

            // A plan a little dearer is taken for a while, less and less so.
            var slack = bestCost * (rounds - round) / rounds / 60;
            if (cost < nowCost || cost <= bestCost + slack) (now, nowCost) = (next, cost);
            if (cost < bestCost) (best, bestCost) = (next.Copy(), cost);
            else if (nowCost > bestCost + slack) (now, nowCost) = (best.Copy(), bestCost);
        }

        return best;
    }

    private List<int> TakeOut(GroupPlan plan, int[] movable)
    {
        var loose = new List<int>();
        var centre = movable[Random() % (uint)movable.Length];
        switch (Random() % 5)
        {
            case 0:
                AddCircuit(plan.Of(centre));
                break;
            case 1:
                foreach (var t in movable.Where(t => problem.Room[t] == problem.Room[centre])) loose.Add(t);
                break;
            case 2:
                // Two circuits side by side are divided anew.
                AddCircuit(plan.Of(centre));
                var other = near[centre].Select(plan.Of).FirstOrDefault(c => c >= 0 && c != plan.Of(centre), -1);
                if (other >= 0) AddCircuit(other);
                break;
            default:
                var most = 2 + (int)(Random() % 9);
                loose.Add(centre);
                foreach (var t in near[centre].Where(t => problem.Fixed[t] < 0 && plan.Of(t) >= 0 && !problem.Closed.Contains(plan.Of(t))).Take(most)) loose.Add(t);
                break;
        }

        if (loose.Count > 40) loose.RemoveRange(40, loose.Count - 40);
        foreach (var t in loose) plan.Take(t);
        return loose;

        void AddCircuit(int circuit)
        {
            foreach (var t in plan.Circuits[circuit].Where(t => problem.Fixed[t] < 0 && !loose.Contains(t)).ToList()) loose.Add(t);
        }
    }

    // Puts loose things on circuits, each where it costs least; with regret the one first whose second choice is worst.
    private void Fill(GroupPlan plan, List<int> loose, bool regret, bool noise = false)
    {
        loose.Sort();
        var choices = loose.ToDictionary(t => t, t => Best(plan, t, noise));
        while (loose.Count > 0)
        {
            var next = loose[0];
            if (regret)
            {
                foreach (var t in loose)
                {
                    if (choices[t].Regret > choices[next].Regret) next = t;
                }
            }
            else
            {
                foreach (var t in loose)
                {
                    if (choices[t].Cost < choices[next].Cost) next = t;
                }
            }

            var to = choices[next].Circuit;
            if (to < 0) to = plan.Open();
            plan.Put(next, to);
            loose.Remove(next);

            // Only what looked at this circuit, or is near enough to want it now, looks again.
            foreach (var t in loose)
            {
                var (circuit, second, _, _) = choices[t];
                if (circuit == to || second == to || near[t].Contains(next)) choices[t] = Best(plan, t, noise);
            }
        }
    }

    private (int Circuit, int Second, int Cost, int Regret) Best(GroupPlan plan, int thing, bool noise)
    {
        var alone = plan.Alone(thing);
        var (circuit, second, cost, other) = (-1, -1, alone, int.MaxValue);
        foreach (var c in Candidates(plan, thing))
        {
            if (plan.Extra(thing, c) is not { } extra) continue;
            if (noise) extra += (int)(Random() % 400);
            if (extra < cost) (circuit, second, other, cost) = (c, circuit, cost, extra);
            else if (extra < other) (second, other) = (c, extra);
        }

        return (circuit, second, cost, other == int.MaxValue ? 0 : other - cost);
    }

    // The circuits of its neighbours, and those of the job that are still empty or that it stood on.
    private List<int> Candidates(GroupPlan plan, int thing)
    {
        var found = new List<int>(8);
        if (problem.Standing[thing] >= 0) found.Add(problem.Standing[thing]);
        foreach (var t in near[thing])
        {
            var c = plan.Of(t);
            if (c >= 0 && !found.Contains(c)) found.Add(c);
        }

        if (plan.Circuits.Count <= 12)
        {
            for (var c = 0; c < plan.Circuits.Count; c++)
            {
                if (plan.Circuits[c].Count > 0 && !found.Contains(c)) found.Add(c);
            }
        }

        for (var c = 0; c < problem.Existing; c++)
        {
            if (plan.Circuits[c].Count == 0 && !found.Contains(c)) found.Add(c);
        }

        return found;
    }

    private uint Random()
    {
        seed ^= seed << 13;
        seed ^= seed >> 17;
        seed ^= seed << 5;
        return seed;
    }
}
