using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Main switch of a board.</summary>
internal sealed class BoardIncomerRule : CheckedRule
{
    internal override string Id => "board.incomer";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("incomerMostA").Whole;
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            var panel = sheet.At.Panel;
            if (panel.MainBreaker > most)
                yield return Breach(
                    a,
                    $"{panel.Name} has a main switch of {panel.MainBreaker} A; {most} A is the most: a sub-main board feeds two.",
                    Subject.Panel(panel.Id)
                );
            if (sheet.MainAmperes.Value > panel.MainBreaker)
                yield return Breach(
                    a,
                    $"{panel.Name}: the most loaded line carries {sheet.MainAmperes} after diversity, over its main switch of "
                        + $"{panel.MainBreaker} A.",
                    Subject.Panel(panel.Id)
                );
        }
    }
}
