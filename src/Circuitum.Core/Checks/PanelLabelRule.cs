using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>No two circuits have the same label.</summary>
internal sealed class PanelLabelRule : CheckedRule
{
    internal override string Id => "panel.label";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a.Panels.Length == 0
            ? []
            : a
                .Circuits.GroupBy(c => c.Label, StringComparer.OrdinalIgnoreCase)
                .Where(g => g.Count() > 1)
                .Select(same =>
                    Breach(
                        a,
                        $"Circuits {string.Join(" and ", same.Select(c => c.Number))} have the same label, \"{same.Key}\".",
                        [.. same.Select(c => Subject.Circuit(c.Number))]
                    )
                );
}
