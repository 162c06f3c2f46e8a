using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Each circuit behind the device of its use.</summary>
internal sealed class BoardResidualRule : CheckedRule
{
    internal override string Id => "board.residual";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            foreach (var place in sheet.Places.Where(p => p.Circuit?.Board is not null && !p.GoesOn))
            {
                var (c, section) = (place.Circuit!, place.Section is { } s ? sheet.Sections[s] : null);
                if (section is null || section.Milliamps > c.Board!.Milliamps)
                    yield return Breach(
                        a,
                        $"Circuit {c.Number} ({c.Label}) is in {place.Name}"
                            + $"{(section is null ? ", past the last section" : $" behind {section.Milliamps} mA")}; it belongs behind "
                            + $"{c.Board!.Milliamps} mA.",
                        Subject.Circuit(c.Number)
                    );
            }
        }
    }
}
