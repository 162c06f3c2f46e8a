using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle in each wall space of a large foyer.</summary>
internal sealed class BoxFoyerRule : CheckedRule
{
    internal override string Id => "box.foyer";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Foyer && r.AreaSqFt > a.Edition.Number("foyerAreaSqFt")))
        {
            foreach (var space in WallSpaces.Of(shape, a.Job, a.Edition.Number("foyerWallLeastIn").Length))
            {
                if (!ReceptacleSpots.Held(a.Job.Decisions.Boxes, a.Job, a.Edition, shape, space, false).Any())
                    yield return Breach(
                        a,
                        $"{shape.Room.Name}: a wall space of {LengthText.Show(space.Length, a.Units)} has no receptacle.",
                        Subject.Room(shape.Room.Id)
                    ) with
                    {
                        Fix = BoxFixes.Propose(shape),
                    };
            }
        }
    }
}
