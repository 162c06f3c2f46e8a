using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Height of socket-outlets over floor and worktop.</summary>
internal sealed class BoardSocketHeightRule : CheckedRule
{
    internal override string Id => "board.socketHeight";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var (least, over) = (
            a.Edition.Number("socketHeightIn").Length,
            ReceptacleRules.CounterTop + a.Edition.Number("socketOverTopIn").Length
        );
        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && !b.Outside))
        {
            var top = ReceptacleRules.CounterTop <= box.Height;
            if (box.Height < least || (top && box.Height < over))
                yield return Breach(
                    a,
                    $"{box.Id} is {LengthText.Near(box.Height.InInches, a.Units)} over the floor; "
                        + (top ? $"over a worktop {LengthText.Near(over.InInches, a.Units)}" : $"{a.Edition.Number("socketHeightIn")}")
                        + " is the least.",
                    Subject.Box(box.Id)
                );
        }
    }
}
