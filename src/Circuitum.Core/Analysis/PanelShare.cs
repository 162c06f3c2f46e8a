using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>
/// Shares new breakers out over the panels of a building: each in the cheapest, and where that is full those that lose least in another.
/// </summary>
internal static class PanelShare
{
    /// <summary>What each panel of a house is to hold.</summary>
    /// <param name="a">The house as derived.</param>
    internal static Dictionary<string, List<BreakerNeed>> Of(JobAnalysis a)
    {
        var job = a.Job;
        var needs = job.Panels.ToDictionary(p => p.Id, p => PanelDeriver.Breakers(a, p).ToList());
        if (job.Panels.Length < 2 || job.Panels.All(p => Over(p) <= 0))
            return needs;
        var runs = new CableRouter(a.House);
        var feeding = new FeedingPanels(a.House, runs);
        foreach (var panel in job.Panels)
        {
            while (Over(panel) > 0)
            {
                var moves = needs[panel.Id]
                    .Where(n => n.Breaker.Feeds is null && Free(n.Breaker.Circuit))
                    .SelectMany(n => Others(panel, n))
                    .ToList();
                if (moves.Count == 0)
                    break;
                var (need, to, _) = moves.OrderBy(m => m.Extra).ThenBy(m => m.Need.Order).First();
                needs[panel.Id].Remove(need);
                needs[to].Add(need);
            }
        }

        return needs;

        int Over(Panel p) => needs[p.Id].Sum(n => n.Poles) - p.Spaces;

        // What has a space, shares its home run or is on its way already stays.
        bool Free(int circuit) =>
            job.Decisions.Spaces.All(s => s.Circuit != circuit)
            && job.Decisions.PairOf(circuit) is null
            && job.Decisions.Pulled.All(p => p.Circuit != circuit);

        IEnumerable<(BreakerNeed Need, string To, double Extra)> Others(Panel panel, BreakerNeed need)
        {
            var c = a.CircuitByNumber(need.Breaker.Circuit)!;
            List<string> boxes = [.. c.Boxes.Select(b => b.Id)];
            var here = feeding.Feet(panel, boxes, c.Load.Connected.Value);
            return feeding
                .In(c.Boxes[0].Room)
                .Where(p => p.Id != panel.Id && Over(p) + need.Poles <= 0)
                .Select(p => (need, p.Id, feeding.Feet(p, boxes, c.Load.Connected.Value) - here));
        }
    }
}
