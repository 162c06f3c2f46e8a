using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Lines in balance.</summary>
internal sealed class BoardLinesRule : CheckedRule
{
    internal override string Id => "board.lines";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            // Fewer circuits than lines cannot be even.
            if (sheet.Outgoing >= a.Edition.Supply.Names.Length && sheet.ApartPercent > a.Edition.Number("linesApartPercent"))
                yield return Breach(
                    a,
                    $"{sheet.At.Panel.Name}: {sheet.Lines}; one line is {sheet.ApartPercent:0.0} percent from the mean, "
                        + $"and no division comes under {sheet.LeastPercent:0.0} percent.",
                    Subject.Panel(sheet.At.Panel.Id)
                );
        }
    }
}
