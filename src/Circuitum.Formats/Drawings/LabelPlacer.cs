using System.Collections.Immutable;

namespace Circuitum.Formats.Drawings;

/// <summary>A place where a label could stand.</summary>
/// <param name="Area">What it would cover.</param>
/// <param name="Cost">How much worse it is than the best place: lower is better.</param>
internal readonly record struct Candidate(Area Area, double Cost);

/// <summary>
/// Finds a place for each label so that none lies over another or over what may not be covered. The same input gives the same picture:
/// first each label in turn takes its cheapest free place, then those left without push others aside, a fixed number of times.
/// </summary>
internal sealed class LabelPlacer
{
    private const int Rounds = 3;

    private readonly AreaGrid blocked = new();
    private readonly AreaGrid worse = new();
    private readonly List<double> costs = [];
    private readonly List<int> near = [];

    /// <summary>What no label may cover.</summary>
    internal void Block(Area area) => blocked.Add(area);

    /// <summary>What a label had better not cover.</summary>
    internal void Worsen(Area area, double cost)
    {
        worse.Add(area);
        costs.Add(cost);
    }

    /// <summary>Whether an area covers nothing that may not be covered.</summary>
    internal bool Free(Area area) => !blocked.Hits(area);

    /// <summary>Which candidate each label takes, or -1 for one that finds no place.</summary>
    /// <param name="labels">The candidates of each label; earlier labels choose first.</param>
    internal int[] Place(IReadOnlyList<ImmutableArray<Candidate>> labels)
    {
        var placing = new Placing(this, labels);
        placing.Run();
        return placing.Taken;
    }

    private double Price(Candidate candidate)
    {
        worse.Over(candidate.Area, near);
        var cost = candidate.Cost;
        foreach (var number in near)
            cost += costs[number];
        return cost;
    }

    /// <summary>One placement.</summary>
    private sealed class Placing(LabelPlacer placer, IReadOnlyList<ImmutableArray<Candidate>> labels)
    {
        private readonly AreaGrid there = new();
        private readonly List<int> owner = [];
        private readonly int[] number = new int[labels.Count];
        private readonly List<(int At, Area Area)>?[] open = new List<(int, Area)>?[labels.Count];
        private readonly List<int> over = [];

        internal int[] Taken { get; } = [.. Enumerable.Repeat(-1, labels.Count)];

        internal void Run()
        {
            for (var i = 0; i < open.Length; i++)
                First(i);

            for (var round = 0; round < Rounds && Taken.Contains(-1); round++)
            {
                for (var i = 0; i < open.Length; i++)
                {
                    if (Taken[i] < 0)
                        PushAside(i);
                }
            }
        }

        // Most labels stand at their best place at once: only as many are looked at as could be better than the best so far.
        private void First(int label)
        {
            var candidates = labels[label];
            var order = new int[candidates.Length];
            var cheapest = new double[candidates.Length];
            for (var i = 0; i < order.Length; i++)
                (order[i], cheapest[i]) = (i, candidates[i].Cost);
            Array.Sort(cheapest, order);
            var (best, price) = (-1, double.MaxValue);
            foreach (var at in order)
            {
                var candidate = candidates[at];
                if (candidate.Cost > price || (candidate.Cost == price && at > best))
                    break;
                if (!placer.Free(candidate.Area) || there.Hits(candidate.Area))
                    continue;
                var own = placer.Price(candidate);
                if (own < price || (own == price && at < best))
                    (best, price) = (at, own);
            }

            if (best >= 0)
                Take(label, best, candidates[best].Area);
        }

        private List<(int At, Area Area)> Open(int label) => open[label] ??= Sorted(labels[label]);

        private List<(int At, Area Area)> Sorted(ImmutableArray<Candidate> candidates)
        {
            var free = new List<(int At, Area Area, double Cost)>(candidates.Length);
            for (var i = 0; i < candidates.Length; i++)
            {
                if (placer.Free(candidates[i].Area))
                    free.Add((i, candidates[i].Area, placer.Price(candidates[i])));
            }

            return [.. free.OrderBy(c => c.Cost).ThenBy(c => c.At).Select(c => (c.At, c.Area))];
        }

        private bool Choose(int label, Area? without)
        {
            foreach (var (at, area) in Open(label))
            {
                if ((without is { } w && w.Overlaps(area)) || there.Hits(area))
                    continue;
                Take(label, at, area);
                return true;
            }

            return false;
        }

        private void Take(int label, int at, Area area)
        {
            Taken[label] = at;
            number[label] = there.Add(area);
            owner.Add(label);
        }

        private void Leave(int label)
        {
            if (Taken[label] >= 0)
                there.Remove(number[label]);
            Taken[label] = -1;
        }

        // A label without a place takes one from others that find another for themselves.
        private void PushAside(int label)
        {
            foreach (var (at, area) in Open(label))
            {
                there.Over(area, over);
                var others = over.Select(n => owner[n]).Order().ToList();
                var before = others.Select(o => Taken[o]).ToList();
                foreach (var other in others)
                    Leave(other);
                if (others.TrueForAll(o => Choose(o, area)))
                {
                    Take(label, at, area);
                    return;
                }

                foreach (var other in others)
                    Leave(other);
                for (var k = 0; k < others.Count; k++)
                    Take(others[k], before[k], labels[others[k]][before[k]].Area);
            }
        }
    }
}
