using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Enough ways in a panel for its rating.</summary>
internal sealed class PanelWaysRule : CheckedRule
{
    internal override string Id => "panel.ways";

    private static readonly int[] Ratings = [60, 100, 125, 200];

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var at in a.Panels.Where(p => p.Feeder is null))
        {
            var rating = Ratings.FirstOrDefault(r => at.Panel.MainBreaker <= r, Ratings[^1]);
            var ways = a.Edition.Number($"panelWays{rating}").Whole;
            if (at.Panel.Spaces < ways)
                yield return Breach(
                    a,
                    $"{PanelNames.Of(a, at)} of {at.Panel.MainBreaker} A has {at.Panel.Spaces} ways; {ways} are the least.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }
}
