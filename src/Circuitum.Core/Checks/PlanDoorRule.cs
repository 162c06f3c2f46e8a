using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A doorway for each room that people walk into.</summary>
internal sealed class PlanDoorRule : CheckedRule
{
    internal override string Id => "plan.door";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (
            var room in a.House.Rooms.Where(r =>
                !r.Room.Kind.Doorless()
                && !r.Openings.Any(o => o.IsDoorway)
                && !(r.Room.Kind == RoomKind.Garage && r.Openings.Any(o => o.Opening.Kind == OpeningKind.GarageDoor))
            )
        )
            yield return Breach(a, $"{room.Room.Name} has no door or cased opening.", Subject.Room(room.Room.Id));
    }
}
