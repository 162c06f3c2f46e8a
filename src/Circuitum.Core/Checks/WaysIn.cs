using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A doorway for each room that people walk into.</summary>
internal sealed class WaysIn : ICheck
{
    public ImmutableArray<string> Rules => ["plan.door"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (
            var room in a.House.Rooms.Where(r =>
                !r.Room.Kind.Doorless()
                && !r.Openings.Any(o => o.IsDoorway)
                && !(r.Room.Kind == RoomKind.Garage && r.Openings.Any(o => o.Opening.Kind == OpeningKind.GarageDoor))
            )
        )
            yield return CheckList.Make(a, "plan.door", $"{room.Room.Name} has no door or cased opening.", Subject.Room(room.Room.Id));
    }
}
