using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Labels that a stranger understands.</summary>
internal sealed class PanelClearRule : CheckedRule
{
    internal override string Id => "panel.clear";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Panels.Length == 0)
            yield break;
        foreach (var c in a.Circuits)
        {
            if (LabelWriter.Unclear(c.Label) is { } why)
                yield return Breach(a, $"The label of circuit {c.Number}, \"{c.Label}\", {why}.", Subject.Circuit(c.Number));
        }
    }
}
