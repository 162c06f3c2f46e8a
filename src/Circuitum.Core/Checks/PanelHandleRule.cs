using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>The highest handle within reach.</summary>
internal sealed class PanelHandleRule : CheckedRule
{
    internal override string Id => "panel.handle";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a
            .Panels.Where(at => at.Panel.Top > a.Edition.HighestPanelTop)
            .Select(at =>
                Breach(
                    a,
                    $"With its top at {LengthText.Show(at.Panel.Top, a.Units)} the highest handle is out of reach.",
                    Subject.Panel(at.Panel.Id)
                )
            );
}
