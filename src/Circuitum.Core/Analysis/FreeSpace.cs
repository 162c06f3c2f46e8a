using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>Finds room in a panel.</summary>
internal static class FreeSpace
{
    internal static (int Space, TandemHalf Half)? In(PanelAnalysis at, IReadOnlyCollection<SpaceDecision> decided, BreakerNeed need)
    {
        var taken = at
            .Schedule.Where(r =>
                !r.Free
                && decided.Any(d => d.Panel == at.Panel.Id && (r.Circuit is { } c ? d.Circuit == c.Number : d.Feeds == r.Feeder!.To))
            )
            .Select(r => r.Space)
            .Concat(decided.Where(d => d.Panel == at.Panel.Id).Select(d => d.Space))
            .ToHashSet();
        var free = Enumerable
            .Range(1, at.Panel.Spaces)
            .FirstOrDefault(s => at.Supply.Taken(s, need.Poles).All(t => t <= at.Panel.Spaces && !taken.Contains(t)));
        if (free > 0)
            return (free, TandemHalf.Whole);
        if (!need.FitsHalf)
            return null;
        var alone = decided
            .Where(d => d.Panel == at.Panel.Id && d.Half != TandemHalf.Whole && at.Panel.TakesTandem(d.Space))
            .GroupBy(d => d.Space)
            .Where(g => g.Count() == 1)
            .Select(g => g.First())
            .MinBy(d => d.Space);
        return alone is null ? null : (alone.Space, alone.Half == TandemHalf.Upper ? TandemHalf.Lower : TandemHalf.Upper);
    }
}
