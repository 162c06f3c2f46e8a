namespace Circuitum.Core.Circuits;

/// <summary>
/// Groups outlets into circuits: a first plan by regret, then a search that takes out neighbours, a room or a whole
/// circuit and puts them back better. The same plan on every machine: whole numbers, a fixed count of rounds, a random
/// sequence of its own.
/// </summary>
internal sealed partial class GroupSearch
{
    private const int Nearest = 14;

    // Up to here the first plan is tried outlet by outlet as well.
    private const int FewEnough = 150;
    private readonly GroupProblem problem;
    private readonly int[][] near;
    private uint seed;

    internal GroupSearch(GroupProblem problem, uint seed = 20_231)
    {
        this.problem = problem;
        this.seed = seed;
        near = [.. Enumerable.Range(0, problem.Count).Select(t => problem.Between.Nearest(t, Nearest))];
    }

    /// <summary>Rounds of search that are worth while for a number of things.</summary>
    internal static int Rounds(int count) =>
        count switch
        {
            <= 1 => 0,
            <= 30 => 3000,
            <= 150 => 12_000,
            <= 300 => 24_000,
            <= 600 => 30_000,
            _ => 5000,
        };

    /// <summary>A good plan at once: everything that is loose, the one first that would regret most to wait.</summary>
    internal GroupPlan First()
    {
        var plan = new GroupPlan(problem);
        for (var t = 0; t < problem.Count; t++)
        {
            if (plan.Of(t) < 0 && problem.Standing[t] >= 0 && plan.Extra(t, problem.Standing[t]) is not null)
                plan.Put(t, problem.Standing[t]);
        }

        var loose = Enumerable.Range(0, problem.Count).Where(t => plan.Of(t) < 0).ToList();
        var byRoom = plan.Copy();
        Fill(byRoom, [.. loose], regret: true, rooms: true);
        if (loose.Count > FewEnough)
            return byRoom;
        Fill(plan, loose, regret: true);
        return byRoom.Cost() < plan.Cost() ? byRoom : plan;
    }

    /// <summary>A better plan within a number of rounds.</summary>
    internal GroupPlan Improve(GroupPlan start, int rounds, CancellationToken cancel = default)
    {
        var movable = Enumerable
            .Range(0, problem.Count)
            .Where(t => problem.Fixed[t] < 0 && !problem.Closed.Contains(start.Of(t)))
            .ToArray();
        var best = start;
        var bestCost = start.Cost();
        if (movable.Length < 2)
            return best;
        var now = start.Copy();
        var nowCost = bestCost;
        var stale = 0;
        for (var round = 0; round < rounds && !cancel.IsCancellationRequested; round++)
        {
            var next = now.Copy();
            var loose = TakeOut(next, movable);
            Fill(next, loose, regret: (Random() & 1) == 0, noise: (Random() & 3) == 0, rooms: loose.Count > 3 && (Random() & 1) == 0);
            var cost = next.Cost();

            // A plan a little dearer is taken for a while, less and less so.
            var slack = bestCost * (rounds - round) / rounds / 60;
            if (cost < nowCost || cost <= bestCost + slack)
                (now, nowCost) = (next, cost);
            if (cost < bestCost)
            {
                (best, bestCost) = (next.Copy(), cost);
                stale = 0;
            }
            else if (nowCost > bestCost + slack || ++stale == rounds / 6)
            {
                // Stuck: from the best again, by single moves and swaps first.
                best = Polish(best, movable);
                (bestCost, stale) = (best.Cost(), 0);
                (now, nowCost) = (best.Copy(), bestCost);
            }
        }

        return Polish(best, movable);
    }

    // Single moves to another circuit or a new one, swaps of neighbours, and two circuits made one, while any of it saves.
    private GroupPlan Polish(GroupPlan start, int[] movable)
    {
        var plan = start.Copy();
        var cost = plan.Cost();
        for (var better = true; better; )
        {
            better = false;
            foreach (var t in movable)
            {
                var home = plan.Of(t);
                var to = Candidates(plan, t).Append(-1).ToList();
                plan.Take(t);
                var without = plan.Cost();
                foreach (var c in to)
                {
                    if (c == home)
                        continue;
                    var circuit = c < 0 ? plan.Open() : c;
                    if (plan.Extra(t, circuit) is { } extra && without + extra < cost)
                        (cost, home, better) = (without + extra, circuit, true);
                }

                plan.Put(t, home);

                foreach (
                    var other in near[t]
                        .Where(o => problem.Fixed[o] < 0 && plan.Of(o) != plan.Of(t) && !problem.Closed.Contains(plan.Of(o)))
                )
                {
                    var (a, b) = (plan.Of(t), plan.Of(other));
                    plan.Take(t);
                    plan.Take(other);
                    if (plan.Extra(t, b) is not null)
                    {
                        plan.Put(t, b);
                        if (plan.Extra(other, a) is not null)
                        {
                            plan.Put(other, a);
                            if (plan.Cost() is var now && now < cost)
                            {
                                (cost, better) = (now, true);
                                continue;
                            }

                            plan.Take(other);
                        }

                        plan.Take(t);
                    }

                    plan.Put(t, a);
                    plan.Put(other, b);
                }
            }
        }

        return plan;
    }

    // A loose thing with the circuits that come into question and what each would cost.
    private sealed class Wish
    {
        private readonly List<(int Circuit, int Cost)> choices;
        private readonly int alone;

        internal Wish(int[] things, int alone, List<(int, int)> choices)
        {
            Things = things;
            this.alone = alone;
            this.choices = choices;
            Settle();
        }

        internal int[] Things { get; }

        internal int Circuit { get; private set; }

        internal int Cost { get; private set; }

        internal int Regret { get; private set; }

        internal bool Knows(int circuit) => choices.Exists(c => c.Circuit == circuit);

        internal void Look(int circuit, int cost, bool isNear)
        {
            var at = choices.FindIndex(c => c.Circuit == circuit);
            if (at >= 0)
                choices[at] = (circuit, cost);
            else if (isNear)
                choices.Add((circuit, cost));
            else
                return;
            Settle();
        }

        private void Settle()
        {
            var second = int.MaxValue;
            (Circuit, Cost) = (-1, alone);
            foreach (var (circuit, cost) in choices)
            {
                if (cost < Cost)
                    (Circuit, Cost, second) = (circuit, cost, Cost);
                else if (cost < second)
                    second = cost;
            }

            Regret = second == int.MaxValue ? 0 : second - Cost;
        }
    }

    private uint Random()
    {
        seed ^= seed << 13;
        seed ^= seed >> 17;
        seed ^= seed << 5;
        return seed;
    }
}
