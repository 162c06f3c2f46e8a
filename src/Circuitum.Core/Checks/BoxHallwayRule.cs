using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle in a long hallway.</summary>
internal sealed class BoxHallwayRule : CheckedRule
{
    internal override string Id => "box.hallway";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
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
