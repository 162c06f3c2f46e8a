using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>How high the receptacle of a range stands.</summary>
internal sealed class BoxRangeHeightRule : CheckedRule
{
    internal override string Id => "box.rangeHeight";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("rangeHeightMostIn");
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (
                a.Job.ApplianceById(box.Appliance) is { } appliance
                && ApplianceFacts.Of(a.Job, appliance) is { Hardwired: false } facts
                && facts.Type.Has(ApplianceTrait.Range)
                && box.Height > most.Length
            )
                yield return Breach(a, $"The receptacle {box.Id} of the range stands over {most} up.", Subject.Box(box.Id)) with
                {
                    Fix = BoxFixes.Change("Lower it", box.Id, new() { Height = most.Length }),
                };
        }
    }
}
