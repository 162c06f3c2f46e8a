using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles at the front and the back of the house, and on porches and decks.</summary>
internal sealed class BoxOutdoorRule : CheckedRule
{
    internal override string Id => "box.outdoor";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var ground = OutdoorRules.Ground(a.House);
        if (a.Edition.Ways.Outdoor == OutdoorWay.One)
        {
            if (ground is not null && !OutdoorRules.IsServed(a.House, a.Edition, a.Job.Decisions.Boxes))
                yield return Breach(a, "No outdoor receptacle is reached from grade.", Subject.Storey(ground.Id)) with
                {
                    Fix = BoxFixes.ProposeAll,
                };
            yield break;
        }

        if (ground is not null)
        {
            foreach (var front in OutdoorRules.Sides)
            {
                if (!OutdoorRules.Served(a.House, a.Edition, a.Job.Decisions.Boxes, front))
                    yield return Breach(
                        a,
                        $"No outdoor receptacle that is reached from grade at the {(front ? "front" : "back")} of the house.",
                        Subject.Storey(ground.Id)
                    ) with
                    {
                        Fix = BoxFixes.ProposeAll,
                    };
            }
        }

        foreach (var shape in RoomReceptacles.Without(a, RoomKind.Porch, RoomKind.Deck).Where(r => r.Openings.Any(o => o.IsDoorway)))
            yield return Breach(a, $"{shape.Room.Name} is entered from inside and has no receptacle.", Subject.Room(shape.Room.Id)) with
            {
                Fix = BoxFixes.Propose(shape),
            };
    }
}
