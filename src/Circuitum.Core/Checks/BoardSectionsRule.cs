using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Two sections on each board.</summary>
internal sealed class BoardSectionsRule : CheckedRule
{
    internal override string Id => "board.sections";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            if (sheet.Outgoing > 1 && sheet.Sections.Length < 2)
                yield return Breach(
                    a,
                    $"{sheet.At.Panel.Name} has one section: one fault would leave all of it dark.",
                    Subject.Panel(sheet.At.Panel.Id)
                );
        }
    }
}
