using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Places that stay free.</summary>
internal sealed class BoardSpareRule : CheckedRule
{
    internal override string Id => "board.spare";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            var least = a.Edition.Number("spareWaysShare") * sheet.Places.Length;
            if (sheet.Free < least - Hair)
                yield return Breach(
                    a,
                    $"{sheet.At.Panel.Name} has {sheet.Free} free of {sheet.Places.Length} places; {least:0} are usual.",
                    Subject.Panel(sheet.At.Panel.Id)
                );
        }
    }

    // Less than this is rounding.
    private const double Hair = 1e-6;
}
