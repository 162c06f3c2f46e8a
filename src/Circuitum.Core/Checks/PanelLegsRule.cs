using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Load spread over both legs.</summary>
internal sealed class PanelLegsRule : CheckedRule
{
    internal override string Id => "panel.legs";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var expected = a.Job.Preferences.LegBalance == LegBalanceBy.Expected;
        foreach (var at in a.Panels)
        {
            var (legA, legB) = expected ? (at.Expected(true), at.Expected(false)) : (at.LegA, at.LegB);
            var gap = Math.Abs(legA.Value - legB.Value);
            if (gap * 100 > Math.Max(legA.Value, legB.Value) * a.Edition.Number("legGapPercent"))
                yield return Breach(
                    a,
                    $"{(a.Panels.Length == 1 ? "" : $"{at.Panel.Name}: ")}Leg A carries {legA}{(expected ? " as expected" : "")}, "
                        + $"leg B {legB}: {gap:#,0} VA apart.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }
}
