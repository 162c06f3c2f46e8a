using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Socket-outlets clear of sinks and basins.</summary>
internal sealed class BoardSocketWaterRule : CheckedRule
{
    internal override string Id => "board.socketWater";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && !b.Outside))
        {
            var inches = SocketRules.FromWater(a.Job, a.House[box.Room], Places.Of(a.House, box));
            if (inches < a.Edition.Number("socketFromSinkIn") - Hair)
                yield return Breach(
                    a,
                    $"{box.Id} is {LengthText.Near(inches, a.Units)} from a sink or a basin; "
                        + $"{a.Edition.Number("socketFromSinkIn")} is the least.",
                    Subject.Box(box.Id)
                );
        }
    }

    // Less than this is the rounding of a place.
    private const double Hair = 0.01;
}
