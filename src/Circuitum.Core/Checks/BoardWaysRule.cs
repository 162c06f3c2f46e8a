using Circuitum.Core.Analysis;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Checks;

/// <summary>Ways of a board as they are made, and a place for each circuit.</summary>
internal sealed class BoardWaysRule : CheckedRule
{
    internal override string Id => "board.ways";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            var panel = sheet.At.Panel;
            if (panel.Spaces % WayPlan.Lines != 0 || !a.Edition.Board!.Ways.Contains(sheet.Ways))
                yield return Breach(
                    a,
                    $"{panel.Name} has {panel.Spaces} places; boards are made with {string.Join(", ", a.Edition.Board!.Ways)} ways of "
                        + $"{WayPlan.Lines} lines.",
                    Subject.Panel(panel.Id)
                );
            foreach (var c in sheet.Unplaced)
                yield return Breach(a, $"Circuit {c.Number} ({c.Label}) has no place on {panel.Name}.", Subject.Circuit(c.Number));
        }
    }
}
