using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles at the front and the back of the house, and at heating and cooling equipment.</summary>
internal sealed class HouseReceptacles : ICheck
{
    public ImmutableArray<string> Rules => ["box.hvac", "box.outdoor"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        if (OutdoorRules.Ground(a.House) is { } ground)
        {
            foreach (var front in new[] { true, false })
            {
                if (!OutdoorRules.Served(a.House, a.Edition, a.Job.Decisions.Boxes, front))
                    yield return CheckList.Make(
                        a,
                        "box.outdoor",
                        $"No outdoor receptacle that is reached from grade at the {(front ? "front" : "back")} of the house.",
                        Subject.Storey(ground.Id)
                    ) with
                    {
                        Fix = new("Propose the boxes of the house", new ProposeBoxes(null)),
                    };
            }
        }

        foreach (var appliance in a.Job.Appliances.Where(x => ApplianceFacts.Of(x).Type.Hvac))
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
                yield return CheckList.Make(
                    a,
                    "box.hvac",
                    $"{ApplianceFacts.Of(appliance).Name} has no receptacle within {a.Edition.Say("hvacReceptacleReachIn")} on its level.",
                    Subject.Appliance(appliance.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
        }
    }
}
