using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle at each basin.</summary>
internal sealed class BoxBathroomRule : CheckedRule
{
    internal override string Id => "box.bathroom";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var basin in a.Job.Fixtures.Where(f => f.Kind == FixtureKind.Basin))
        {
            var shape = a.House[basin.Room];
            if (
                shape.Room.Kind == RoomKind.Bathroom
                && !RoomReceptacles
                    .In(a, shape)
                    .Exists(b => Places.InchesTo(shape, basin.Spot, Places.Of(a.House, b)) <= a.Edition.Number("basinReachIn"))
            )
                yield return Breach(
                    a,
                    $"{shape.Room.Name}: no receptacle within {a.Edition.Number("basinReachIn")} of a basin.",
                    Subject.Room(shape.Room.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
        }
    }
}
