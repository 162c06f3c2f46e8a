using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

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
            var lines = expected ? at.Expected : at.Lines;
            if (lines.Gap.Value * 100 > lines.Most.Value * a.Edition.Number("legGapPercent"))
                yield return Breach(
                    a,
                    $"{(a.Panels.Length == 1 ? "" : $"{at.Panel.Name}: ")}{Carried(a.Edition.Supply, lines, expected)}: {lines.Gap} apart.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }

    private static string Carried(Supply supply, LineLoads lines, bool expected)
    {
        var first = $"{char.ToUpperInvariant(supply.Line[0])}{supply.Line[1..]} {supply.Names[0]} carries {lines[0]}";
        var rest = lines.Each.Skip(1).Zip(supply.Names.Skip(1), (load, name) => $"{supply.Line} {name} {load}");
        return string.Join(", ", [first + (expected ? " as expected" : ""), .. rest]);
    }
}
