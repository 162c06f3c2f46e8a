using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle at heating and cooling equipment.</summary>
internal sealed class BoxHvacRule : CheckedRule
{
    internal override string Id => "box.hvac";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances.Where(x => ApplianceFacts.Of(a.Job, x).Type.Hvac))
        {
            var shape = a.House[appliance.Room];
            var at = Places.Of(shape, appliance.Spot);
            if (
                !a.Job.Decisions.Boxes.Any(b =>
                    b.Kind == BoxKind.Receptacle
                    && a.House[b.Room].Room.Storey == shape.Room.Storey
                    && Places.Of(a.House, b).InchesTo(at) <= a.Edition.Number("hvacReceptacleReachIn")
                )
            )
                yield return Breach(
                    a,
                    $"{ApplianceFacts.Of(a.Job, appliance).Name} has no receptacle within {a.Edition.Number("hvacReceptacleReachIn")} "
                        + "on its level.",
                    Subject.Appliance(appliance.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
        }
    }
}
