using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>One cable between two boxes while a circuit is planned, with the wires that it has to hold beside its neutral.</summary>
internal sealed class RunCable(string a, string b, Length way)
{
    internal string A => a;

    internal string B => b;

    internal Length Way => way;

    /// <summary>Whether it brings power on.</summary>
    internal bool Hot { get; set; }

    /// <summary>Pairs of travelers, each by the number of its group of lights.</summary>
    internal ImmutableArray<int> Travelers { get; set; } = [];

    /// <summary>Switched wires, each by the number of its group: legs, and returns to a light that has the power.</summary>
    internal ImmutableArray<int> Legs { get; set; } = [];

    /// <summary>Whether it joins alarms.</summary>
    internal bool Joins { get; set; }

    /// <summary>Whether it leads to lights only.</summary>
    internal bool OnlyLegs => !Hot && Travelers.Length == 0 && !Joins;

    /// <summary>Insulated wires in all.</summary>
    internal int Wires => 1 + (Hot ? 1 : 0) + (2 * Travelers.Length) + Legs.Length + (Joins ? 1 : 0);

    internal string Other(string end) => end == a ? b : a;
}

/// <summary>
/// The cables of a circuit as trees that grow together: no cable is ever laid between two boxes that hang together already,
/// because a wire and its return would then part ways (300.3(B), 310.10(G)). What has to get from one to the other goes along
/// the cables that are there.
/// </summary>
internal sealed class RunForest
{
    private readonly Dictionary<string, List<RunCable>> at = [];
    private readonly Dictionary<string, string> root = [];

    // Used again by each search.
    private readonly Dictionary<string, RunCable?> came = [];
    private readonly Queue<string> next = [];

    internal RunForest(IEnumerable<string> boxes)
    {
        foreach (var box in boxes)
            (at[box], root[box]) = ([], box);
    }

    /// <summary>The cables at a box.</summary>
    internal IReadOnlyList<RunCable> At(string box) => at[box];

    /// <summary>Whether two boxes hang together.</summary>
    internal bool Together(string a, string b) => Root(a) == Root(b);

    /// <summary>A name of the tree in which a box is.</summary>
    internal string Root(string box)
    {
        while (root[box] != box)
            box = root[box] = root[root[box]];
        return box;
    }

    /// <summary>Lays a cable between two boxes of different trees.</summary>
    /// <exception cref="InvalidOperationException">They hang together already.</exception>
    internal RunCable Lay(string a, string b, Length way)
    {
        if (Together(a, b))
            throw new InvalidOperationException($"{a} and {b} hang together already.");
        root[Root(a)] = Root(b);
        var cable = new RunCable(a, b, way);
        at[a].Add(cable);
        at[b].Add(cable);
        return cable;
    }

    /// <summary>All boxes that hang together with one, itself among them.</summary>
    internal IReadOnlyCollection<string> Tree(string box)
    {
        came.Clear();
        next.Clear();
        came[box] = null;
        next.Enqueue(box);
        while (next.TryDequeue(out var here))
        {
            foreach (var cable in at[here])
            {
                if (came.TryAdd(cable.Other(here), cable))
                    next.Enqueue(cable.Other(here));
            }
        }

        return came.Keys;
    }

    /// <summary>The cables from one box to another of the same tree.</summary>
    internal List<RunCable> Path(string from, string to)
    {
        came.Clear();
        next.Clear();
        came[from] = null;
        next.Enqueue(from);
        while (!came.ContainsKey(to) && next.TryDequeue(out var box))
        {
            foreach (var cable in at[box])
            {
                if (came.TryAdd(cable.Other(box), cable))
                    next.Enqueue(cable.Other(box));
            }
        }

        var path = new List<RunCable>();
        for (var box = to; came[box] is { } cable; box = cable.Other(box))
            path.Add(cable);
        return path;
    }
}
