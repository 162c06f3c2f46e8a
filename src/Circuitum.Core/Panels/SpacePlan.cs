using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

/// <summary>A breaker that wants a space.</summary>
/// <param name="Circuit">Circuit number.</param>
/// <param name="Poles">1 or 2.</param>
/// <param name="Amperes">Rating.</param>
/// <param name="Va">Load in volt-amperes.</param>
public sealed record BreakerNeed(int Circuit, int Poles, int Amperes, int Va);

/// <summary>
/// The door to the panel's spaces: odd on the left, even on the right, the rows alternating between the legs, a
/// two-pole breaker over two rows of one column. Places what has no place and leaves the rest.
/// </summary>
public static class SpacePlan
{
    /// <summary>Whether a space is on leg A: rows 1, 3, 5 and so on.</summary>
    public static bool OnLegA(int space) => (space - 1) / 2 % 2 == 0;

    /// <summary>The spaces that a breaker takes.</summary>
    public static IEnumerable<int> Taken(int space, int poles) => poles == 2 ? [space, space + 2] : [space];

    /// <summary>All places: those decided and still possible, then new ones. What finds no space is left out.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="decided">Decisions so far.</param>
    /// <param name="needs">All breakers.</param>
    /// <param name="order">Order down the panel.</param>
    public static ImmutableArray<SpaceDecision> Fill(Panel panel, IEnumerable<SpaceDecision> decided, IReadOnlyList<BreakerNeed> needs, PanelOrder order)
    {
        var byCircuit = needs.ToDictionary(n => n.Circuit);
        var free = Enumerable.Range(1, panel.Spaces).ToHashSet();
        var placed = new List<SpaceDecision>();
        foreach (var d in decided.Where(d => d.Panel == panel.Id && byCircuit.ContainsKey(d.Circuit)).OrderByDescending(d => d.By))
        {
            var spaces = Taken(d.Space, byCircuit[d.Circuit].Poles).ToList();
            if (!spaces.All(free.Contains) || placed.Any(p => p.Circuit == d.Circuit)) continue;
            free.ExceptWith(spaces);
            placed.Add(d);
        }

        var done = placed.Select(p => p.Circuit).ToHashSet();
        var open = needs.Where(n => !done.Contains(n.Circuit)).ToList();
        foreach (var need in Ordered(open.Where(n => n.Poles == 2), order))
        {
            var at = free.Order().FirstOrDefault(s => free.Contains(s + 2));
            if (at == 0) continue;
            free.ExceptWith([at, at + 2]);
            placed.Add(new SpaceDecision { Panel = panel.Id, Circuit = need.Circuit, Space = at, By = Maker.Planner });
        }

        PlaceOnePole(panel, [.. Ordered(open.Where(n => n.Poles == 1), order)], placed, free, byCircuit);
        return [.. placed.OrderBy(p => p.Space)];
    }

    private static void PlaceOnePole(Panel panel, List<BreakerNeed> ones, List<SpaceDecision> placed, HashSet<int> free, Dictionary<int, BreakerNeed> byCircuit)
    {
        // Spares stay at the bottom: only as many of the free spaces, from the top, as there are breakers, and one row
        // more when the two legs need different counts.
        var usable = free.Order().Take(ones.Count + 2).ToList();
        var a = new Queue<int>(usable.Where(OnLegA));
        var b = new Queue<int>(usable.Where(s => !OnLegA(s)));
        var fitting = ones.Take(usable.Count).ToList();
        var lead = placed.Where(p => byCircuit[p.Circuit].Poles == 1).Sum(p => OnLegA(p.Space) ? byCircuit[p.Circuit].Va : -byCircuit[p.Circuit].Va);
        var split = LegBalance.Split([.. fitting.Select(f => f.Va)], a.Count, b.Count, lead);
        for (var i = 0; i < fitting.Count; i++)
            placed.Add(new SpaceDecision { Panel = panel.Id, Circuit = fitting[i].Circuit, Space = (split[i] ? a : b).Dequeue(), By = Maker.Planner });
    }

    private static IEnumerable<BreakerNeed> Ordered(IEnumerable<BreakerNeed> needs, PanelOrder order) => order == PanelOrder.LargestFirst
        ? needs.OrderByDescending(n => n.Amperes).ThenBy(n => n.Circuit)
        : needs.OrderBy(n => n.Circuit);
}
