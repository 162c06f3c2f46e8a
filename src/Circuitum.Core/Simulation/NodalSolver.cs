namespace Circuitum.Core.Simulation;

/// <summary>
/// Voltages of a network of resistances by Kirchhoff's current law: nodes are eliminated one after the other, the one with the fewest
/// neighbours first, which for wires that branch like a tree makes hardly any new ones. Only sums of positive numbers are formed, so that
/// the small leak of what floats is not lost beside a thick wire.
/// </summary>
internal static class NodalSolver
{
    // What nobody feeds still hangs on the air round it; so each voltage is one, and a meter reads nothing there.
    private const double Air = 1e-9;

    /// <summary>The volts of every node.</summary>
    /// <param name="nodes">How many there are.</param>
    /// <param name="links">What conducts, in siemens.</param>
    /// <param name="held">The nodes that the supply holds.</param>
    internal static double[] Volts(int nodes, IEnumerable<(int A, int B, double Siemens)> links, IReadOnlyDictionary<int, double> held)
    {
        var volts = new double[nodes];
        var (near, leak, into) = (new Dictionary<int, double>[nodes], new double[nodes], new double[nodes]);
        for (var i = 0; i < nodes; i++)
            (near[i], leak[i]) = ([], Air);
        foreach (var (node, v) in held)
            volts[node] = v;
        foreach (var (a, b, g) in links)
        {
            if (a == b)
                continue;
            var (heldA, heldB) = (held.ContainsKey(a), held.ContainsKey(b));
            if (heldA && heldB)
                continue;
            if (heldA || heldB)
            {
                var (free, fix) = heldA ? (b, a) : (a, b);
                leak[free] += g;
                into[free] += g * volts[fix];
                continue;
            }

            near[a][b] = near[a].GetValueOrDefault(b) + g;
            near[b][a] = near[b].GetValueOrDefault(a) + g;
        }

        var order = Eliminate(near, leak, into, held);
        for (var i = order.Count - 1; i >= 0; i--)
        {
            var n = order[i];
            volts[n] = (into[n] + near[n].Sum(x => x.Value * volts[x.Key])) / Own(near[n], leak[n]);
        }

        return volts;
    }

    private static double Own(Dictionary<int, double> near, double leak) => leak + near.Values.Sum();

    private static List<int> Eliminate(Dictionary<int, double>[] near, double[] leak, double[] into, IReadOnlyDictionary<int, double> held)
    {
        var (order, done, queue) = (new List<int>(near.Length), new bool[near.Length], new PriorityQueue<int, int>());
        for (var i = 0; i < near.Length; i++)
        {
            if (!held.ContainsKey(i))
                queue.Enqueue(i, near[i].Count);
        }

        while (queue.TryDequeue(out var n, out var count))
        {
            if (done[n])
                continue;
            if (near[n].Count != count)
            {
                queue.Enqueue(n, near[n].Count);
                continue;
            }

            done[n] = true;
            order.Add(n);
            var (neighbours, own) = (near[n].ToArray(), Own(near[n], leak[n]));
            foreach (var (a, ga) in neighbours)
            {
                leak[a] += ga * leak[n] / own;
                into[a] += ga * into[n] / own;
                near[a].Remove(n);
                foreach (var (b, gb) in neighbours)
                {
                    if (b != a)
                        near[a][b] = near[a].GetValueOrDefault(b) + (ga * gb / own);
                }

                queue.Enqueue(a, near[a].Count);
            }
        }

        return order;
    }
}
