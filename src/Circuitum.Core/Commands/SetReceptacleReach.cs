using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Sets how far a receptacle may be from any point along the walls of a room.</summary>
/// <param name="Room">The room.</param>
/// <param name="Reach">The distance along the floor line; none goes by the job and the code.</param>
public sealed record SetReceptacleReach(string Room, Length? Reach) : JobCommand("set receptacle reach")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.RoomById(Room) is { } room
            ? CommandResult.Checked(job with { Rooms = job.Rooms.Replace(room, room with { ReceptacleReach = Reach }) })
            : CommandResult.Refuse(PlanEdit.Gone("room"));
}
