using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

/// <summary>
/// Places one-pole breakers when the whole spaces are too few: two small ones share a space where the panel's listing allows it.
/// </summary>
internal static class TandemPlan
{
    internal static void Place(
        Panel panel,
        List<BreakerNeed> ones,
        List<SpaceDecision> placed,
        HashSet<int> free,
        Dictionary<BreakerKey, BreakerNeed> needs
    )
    {
        // A breaker that the planner put in a whole space, or the lone half of a tandem, leaves a half beside it.
        var halves = placed
            .GroupBy(p => p.Space)
            .Where(g =>
                g.Count() == 1
                && panel.TakesTandem(g.Key)
                && needs[g.First().Breaker].FitsHalf
                && (g.First().Half != TandemHalf.Whole || g.First().By == Origin.Planner)
            )
            .Select(g => g.Key)
            .Order()
            .ToList();
        LegRoom Room(bool first) =>
            new(
                free.Count(s => SpacePlan.OnFirst(s) == first),
                halves.Count(s => SpacePlan.OnFirst(s) == first),
                free.Count(s => SpacePlan.OnFirst(s) == first && panel.TakesTandem(s))
            );
        var lead = placed
            .Where(p => needs[p.Breaker].Poles == 1)
            .Sum(p => SpacePlan.OnFirst(p.Space) ? needs[p.Breaker].Va : -needs[p.Breaker].Va);
        var fitting = ones.ToList();
        while (fitting.Count > 0)
        {
            if (TandemBalance.Split([.. fitting.Select(n => (n.Va, n.FitsHalf))], Room(true), Room(false), lead) is not { } split)
            {
                // The last one that fits nowhere goes without; the finding says so.
                fitting.RemoveAt(
                    fitting.FindLastIndex(n => !n.FitsHalf) is var whole and >= 0 && fitting.Count(n => !n.FitsHalf) > free.Count
                        ? whole
                        : fitting.Count - 1
                );
                continue;
            }

            Leg(panel, [.. fitting.Where((_, i) => split.OnA[i])], true, split.ExtraA, placed, free, halves);
            Leg(panel, [.. fitting.Where((_, i) => !split.OnA[i])], false, split.ExtraB, placed, free, halves);
            return;
        }
    }

    private static void Leg(
        Panel panel,
        List<BreakerNeed> needs,
        bool first,
        int extra,
        List<SpaceDecision> placed,
        HashSet<int> free,
        List<int> halves
    )
    {
        var (small, large) = (new Queue<BreakerNeed>(needs.Where(n => n.FitsHalf)), new Queue<BreakerNeed>(needs.Where(n => !n.FitsHalf)));
        void Put(BreakerNeed need, int space, TandemHalf half) => placed.Add(SpacePlan.At(panel, need.Breaker, space, half));
        foreach (var space in halves.Where(s => SpacePlan.OnFirst(s) == first).Take(extra))
        {
            var there = placed.First(p => p.Space == space);
            if (there.Half == TandemHalf.Whole)
                placed[placed.IndexOf(there)] = there with { Half = TandemHalf.Upper };
            Put(small.Dequeue(), space, there.Half == TandemHalf.Lower ? TandemHalf.Upper : TandemHalf.Lower);
            extra--;
        }

        foreach (var space in free.Where(s => SpacePlan.OnFirst(s) == first && panel.TakesTandem(s)).Order().TakeLast(extra).ToList())
        {
            Put(small.Dequeue(), space, TandemHalf.Upper);
            Put(small.Dequeue(), space, TandemHalf.Lower);
            free.Remove(space);
        }

        foreach (
            var (need, space) in needs
                .Where(n => small.Contains(n) || large.Contains(n))
                .Zip(free.Where(s => SpacePlan.OnFirst(s) == first).Order().ToList())
        )
        {
            Put(need, space, TandemHalf.Whole);
            free.Remove(space);
        }
    }
}
