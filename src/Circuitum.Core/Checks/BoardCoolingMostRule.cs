using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Air conditioners of one board.</summary>
internal sealed class BoardCoolingMostRule : CheckedRule
{
    internal override string Id => "board.coolingMost";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("coolingOnBoardMost").Whole;
        foreach (var at in a.Panels)
        {
            var on = a.Circuits.Where(c => c.Panel == at.Panel.Id).ToList();
            var units = on.Where(c => c.Board is { Use: BoardUse.Cooling }).Sum(c => c.Boxes.Length);
            if (units > most && on.Exists(c => c.Board is not { Use: BoardUse.Cooling }))
                yield return Breach(
                    a,
                    $"{at.Panel.Name} feeds {units} air conditioners; {most} at most beside other circuits.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }
}
