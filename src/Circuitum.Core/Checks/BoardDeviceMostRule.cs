using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Rings and radial socket-outlets behind one device.</summary>
internal sealed class BoardDeviceMostRule : CheckedRule
{
    internal override string Id => "board.deviceMost";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(p => BoardSheet.Of(a, p)).OfType<BoardSheet>())
        {
            for (var s = 0; s < sheet.Sections.Length; s++)
            {
                var behind = sheet.Places.Where(p => p.Section == s && !p.GoesOn).Select(p => p.Circuit).OfType<CircuitAnalysis>().ToList();
                var rings = behind.Count(c => c.Board!.Ring);
                var sockets = behind
                    .Where(c => c.Board is { Use: BoardUse.Sockets, Ring: false })
                    .Sum(c => c.Boxes.Count(b => b.Kind == BoxKind.Receptacle));
                if (rings > a.Edition.Number("ringsOnDeviceMost") || sockets > a.Edition.Number("socketsOnDeviceMost"))
                    yield return Breach(
                        a,
                        $"{sheet.At.Panel.Name}, section {BoardSheet.Letter(s)}: {rings} rings and {sockets} socket-outlets on radials; "
                            + $"{a.Edition.Number("ringsOnDeviceMost")} rings or "
                            + $"{a.Edition.Number("socketsOnDeviceMost")} socket-outlets at most.",
                        Subject.Panel(sheet.At.Panel.Id)
                    );
            }
        }
    }
}
