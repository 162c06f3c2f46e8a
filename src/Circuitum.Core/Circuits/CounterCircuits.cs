using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>Circuits of a kitchen's counter where those beside each other are on different ones, and few on each.</summary>
internal static class CounterCircuits
{
    /// <summary>Puts loose receptacles of one kitchen's counters on circuits.</summary>
    /// <param name="work">The draft.</param>
    /// <param name="loose">Those on none yet.</param>
    /// <param name="there">The circuits of this counter that may take more.</param>
    internal static void Fill(CircuitDraft work, List<Box> loose, List<int> there)
    {
        var most = work.CounterMost;
        var all = InOrder(work.House, [.. loose, .. there.SelectMany(work.On)]);
        var on = there.SelectMany(n => work.On(n).Select(b => (b.Id, n))).ToDictionary(x => x.Id, x => x.n);

        // As many as hold them all, and two at least; taken in turn, neighbours differ.
        var circuits = there.ToList();
        while (circuits.Count < Math.Max(2, (all.Count + most - 1) / most))
            circuits.Add(work.New(CircuitPurpose.SmallAppliance, []));
        for (var i = 0; i < all.Count; i++)
        {
            if (on.ContainsKey(all[i].Id))
                continue;
            bool Beside(int circuit) =>
                (i > 0 && on.GetValueOrDefault(all[i - 1].Id) == circuit)
                || (i + 1 < all.Count && on.GetValueOrDefault(all[i + 1].Id) == circuit);
            var number = circuits
                .Where(n => !Beside(n) && on.Values.Count(o => o == n) < most)
                .OrderBy(n => on.Values.Count(o => o == n))
                .ThenBy(circuits.IndexOf)
                .FirstOrDefault();
            if (number == 0)
                circuits.Add(number = work.New(CircuitPurpose.SmallAppliance, []));
            on[all[i].Id] = number;
            work.Put(number, all[i]);
        }
    }

    /// <summary>Receptacles in the order in which they stand along the counters, those of islands after them.</summary>
    internal static List<Box> InOrder(HouseShape house, IEnumerable<Box> boxes) =>
        [
            .. boxes
                .OrderBy(b => b.Wall is null)
                .ThenBy(b => b.Room, StringComparer.Ordinal)
                .ThenBy(b => b.Wall is { } wall ? house[b.Room].ToPerimeter(wall, b.Along) : default)
                .ThenBy(b => b.Id, StringComparer.Ordinal),
        ];
}
