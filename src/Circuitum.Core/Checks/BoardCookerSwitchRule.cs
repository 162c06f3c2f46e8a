using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>A control switch within reach of a cooker.</summary>
internal sealed class BoardCookerSwitchRule : CheckedRule
{
    internal override string Id => "board.cookerSwitch";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var x in a.Job.Appliances.Where(x => ApplianceFacts.Of(a.Job, x).BoardUse == BoardUse.Cooking))
        {
            var reach = a.Edition.Number("cookerSwitchReachIn");
            var spot = Places.Of(a.House[x.Room], x.Spot);
            if (!a.Job.Decisions.Boxes.Any(b => b.Serves == x.Id && b.Room == x.Room && Places.Of(a.House, b).InchesTo(spot) <= reach))
                yield return Breach(
                    a,
                    $"{ApplianceFacts.Of(a.Job, x).Name} has no control switch within {reach}.",
                    Subject.Appliance(x.Id)
                );
        }
    }
}
