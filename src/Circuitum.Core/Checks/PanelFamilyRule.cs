using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The breakers that a panel is listed for are named.</summary>
internal sealed class PanelFamilyRule : CheckedRule
{
    internal override string Id => "panel.family";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a
            .Panels.Where(at => at.Panel.BreakerFamily.Length == 0)
            .Select(at => Breach(a, $"{PanelNames.First(a, at)}'s breaker family is not named.", Subject.Panel(at.Panel.Id)));
}
