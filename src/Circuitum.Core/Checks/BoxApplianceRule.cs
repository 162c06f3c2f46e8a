using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>An outlet for each appliance.</summary>
internal sealed class BoxApplianceRule : CheckedRule
{
    internal override string Id => "box.appliance";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("applianceReceptacleReachIn");
        foreach (var appliance in a.Job.Appliances)
        {
            if (a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is not { } box)
                yield return Breach(
                    a,
                    $"{ApplianceFacts.Of(a.Job, appliance).Name} has no {a.Edition.Word("outlet")}.",
                    Subject.Appliance(appliance.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(a.House[appliance.Room]),
                };
            else if (
                box.Room == appliance.Room
                && Places.InchesTo(a.House[box.Room], appliance.Spot, Places.Of(a.House, box)) is var inches
                && inches > most
            )
                yield return Breach(
                    a,
                    $"The {a.Edition.Word("outlet")} for {ApplianceFacts.Of(a.Job, appliance).Name} is "
                        + $"{LengthText.Far(inches / 12, a.Units, LengthText.Tenths)} away; the limit is "
                        + $"{a.Edition.Number("applianceReceptacleReachIn")}.",
                    Subject.Box(box.Id)
                ) with
                {
                    Fix = BoxFixes.MoveTo("Move it to the appliance", box.Id, Places.Of(a.House[appliance.Room], appliance.Spot)),
                };
        }
    }
}
