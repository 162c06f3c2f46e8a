namespace Circuitum.Core.Circuits;

/// <summary>A division into circuits while it is searched for, with what it costs.</summary>
internal sealed class GroupPlan
{
    private readonly GroupProblem problem;
    private readonly List<List<int>> circuits = [];

    // A copy shares the circuits that neither of the two changes.
    private readonly List<bool> shared = [];
    private readonly List<int> costs = [];
    private readonly int[] on;

    // Whose cost nobody has asked for since it changed.
    private const int Unknown = -1;

    // What was last looked at: where it is put there, its cost is known.
    private (int Circuit, int Thing, int Cost) looked = (Unknown, 0, 0);

    internal GroupPlan(GroupProblem problem)
    {
        this.problem = problem;
        on = [.. Enumerable.Repeat(-1, problem.Count)];
        for (var i = 0; i < problem.Existing; i++)
            Open();
        for (var t = 0; t < problem.Count; t++)
        {
            if (problem.Fixed[t] >= 0)
                Put(t, problem.Fixed[t]);
        }
    }

    private GroupPlan(GroupPlan other)
    {
        problem = other.problem;
        circuits = [.. other.circuits];
        for (var i = 0; i < circuits.Count; i++)
            other.shared[i] = true;
        shared = [.. other.shared];
        costs = [.. other.costs];
        on = [.. other.on];
        Moves = other.Moves;
    }

    /// <summary>The circuits, empty ones among them.</summary>
    internal IReadOnlyList<List<int>> Circuits => circuits;

    /// <summary>Cost of outlets that left their circuit.</summary>
    internal int Moves { get; private set; }

    internal GroupPlan Copy() => new(this);

    /// <summary>The circuit of a thing, or -1.</summary>
    internal int Of(int thing) => on[thing];

    /// <summary>About what it costs: circuits and moves.</summary>
    internal long Cost()
    {
        long sum = Moves;
        for (var c = 0; c < circuits.Count; c++)
            sum += CostOf(c);
        return sum;
    }

    /// <summary>Everything it costs with its cables as they will be pulled.</summary>
    internal long Priced() => Moves + circuits.Sum(c => (long)problem.Priced([.. c]));

    internal int Open()
    {
        // An empty circuit that is not one of the job's own can be used again.
        for (var i = problem.Existing; i < circuits.Count; i++)
        {
            if (circuits[i].Count == 0)
                return i;
        }

        circuits.Add([]);
        shared.Add(false);
        costs.Add(0);
        return circuits.Count - 1;
    }

    /// <summary>What it would cost more to have a thing on a circuit; none when it does not fit.</summary>
    internal int? Extra(int thing, int circuit)
    {
        if (problem.Closed.Contains(circuit))
            return null;
        var there = circuits[circuit];
        Span<int> with = stackalloc int[there.Count + 1];
        for (var i = 0; i < there.Count; i++)
            with[i] = there[i];
        with[^1] = thing;
        if (!problem.Fits(with))
            return null;
        var before = CostOf(circuit);
        looked = (circuit, thing, problem.Cost(with));
        return looked.Cost - before + MoveCost(thing, circuit);
    }

    /// <summary>
    /// About what it would cost more, without working the cable out anew: the thing hangs on its nearest neighbour, or
    /// becomes the first one. Quick, and near enough to choose by; what counts is worked out when it is put.
    /// </summary>
    internal int? Guess(int thing, int circuit)
    {
        if (problem.Closed.Contains(circuit))
            return null;
        var there = System.Runtime.InteropServices.CollectionsMarshal.AsSpan(circuits[circuit]);
        if (there.Length == 0)
            return Extra(thing, circuit);
        int size = problem.Size[thing],
            load = problem.Load[thing],
            nearest = int.MaxValue,
            head = there[0];
        Span<int> with = stackalloc int[there.Length + 1];
        for (var i = 0; i < there.Length; i++)
        {
            var t = there[i];
            with[i] = t;
            size += problem.Size[t];
            load += problem.Load[t];
            nearest = Math.Min(nearest, problem.Between[thing, t]);
            if (problem.Home[t] < problem.Home[head])
                head = t;
        }

        if (size > problem.MostSize || load > problem.MostLoad)
            return null;
        with[^1] = thing;
        var first =
            problem.Home[thing] < problem.Home[head]
                ? problem.Home[thing] - problem.Home[head] + problem.Between[thing, head]
                : int.MaxValue;
        return Math.Min(nearest, first) + problem.Mixed(with) - problem.Mixed(there) + MoveCost(thing, circuit);
    }

    /// <summary>What it would cost more to have several things together on a circuit; none when they do not fit.</summary>
    internal int? Extra(int[] block, int circuit)
    {
        if (problem.Closed.Contains(circuit))
            return null;
        var there = circuits[circuit];
        Span<int> with = stackalloc int[there.Count + block.Length];
        for (var i = 0; i < there.Count; i++)
            with[i] = there[i];
        block.CopyTo(with[there.Count..]);
        return problem.Fits(with) ? problem.Cost(with) - CostOf(circuit) + block.Sum(t => MoveCost(t, circuit)) : null;
    }

    /// <summary>What several things on a circuit of their own cost; none when they are too many for one.</summary>
    internal int? Alone(int[] block) => problem.Fits(block) ? problem.Cost(block) + block.Sum(t => MoveCost(t, -1)) : null;

    /// <summary>What a thing on a circuit of its own costs.</summary>
    internal int Alone(int thing) => problem.Cost([thing]) + MoveCost(thing, -1);

    internal void Put(int thing, int circuit)
    {
        Own(circuit).Add(thing);
        on[thing] = circuit;
        costs[circuit] = (looked.Circuit, looked.Thing) == (circuit, thing) ? looked.Cost : Unknown;
        Forget(circuit);
        Moves += MoveCost(thing, circuit);
    }

    internal void Take(int thing)
    {
        var circuit = on[thing];
        Moves -= MoveCost(thing, circuit);
        Own(circuit).Remove(thing);
        on[thing] = -1;
        costs[circuit] = Unknown;
        Forget(circuit);
    }

    private void Forget(int circuit)
    {
        if (looked.Circuit == circuit)
            looked.Circuit = Unknown;
    }

    private int CostOf(int circuit)
    {
        if (costs[circuit] == Unknown)
            costs[circuit] = problem.Cost(System.Runtime.InteropServices.CollectionsMarshal.AsSpan(circuits[circuit]));
        return costs[circuit];
    }

    private List<int> Own(int circuit)
    {
        if (shared[circuit])
            (circuits[circuit], shared[circuit]) = ([.. circuits[circuit]], false);
        return circuits[circuit];
    }

    private int MoveCost(int thing, int circuit) =>
        problem.Standing[thing] >= 0 && problem.Standing[thing] != circuit ? problem.Weights.Moved : 0;
}
