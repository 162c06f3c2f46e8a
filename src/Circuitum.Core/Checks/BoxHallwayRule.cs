using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles of hallways.</summary>
internal sealed class BoxHallwayRule : CheckedRule
{
    internal override string Id => "box.hallway";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) => a.Edition.Ways.Hall == HallWay.Reach ? OutOfReach(a) : Long(a);

    private IEnumerable<Finding> OutOfReach(JobAnalysis a)
    {
        var reach = a.Edition.Number("hallReachIn");
        foreach (var room in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Hallway))
        {
            var there = RoomReceptacles.In(a, room).Select(b => Places.Of(a.House, b));
            if (new HallReach(room).Farthest(there) is { } worst && worst.Inches > reach)
                yield return Breach(
                    a,
                    $"{room.Room.Name} has a point that is over {reach} from a receptacle.",
                    Subject.Room(room.Room.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(room),
                };
        }
    }

    private IEnumerable<Finding> Long(JobAnalysis a) =>
        RoomReceptacles
            .Without(a, RoomKind.Hallway)
            .Where(r => Length.Max(r.MaxX - r.MinX, r.MaxY - r.MinY) >= a.Edition.Number("hallwayLeastIn").Length)
            .Select(r =>
                Breach(
                    a,
                    $"{r.Room.Name} is {a.Edition.Number("hallwayLeastIn")} or longer and has no receptacle.",
                    Subject.Room(r.Room.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(r),
                }
            );
}
