using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Makes one room of two.</summary>
/// <param name="Room">The room whose name stays.</param>
/// <param name="With">The room that goes.</param>
public sealed record JoinRooms(string Room, string With) : JobCommand("join rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } a || job.RoomById(With) is not { } b || a == b)
            return CommandResult.Refuse(PlanEdit.Gone("room"));
        var (joined, problem) = SplitJoin.Join(job, Room, With);
        return joined is null ? CommandResult.Refuse(problem) : PlanEdit.Finish(job, joined);
    }
}
