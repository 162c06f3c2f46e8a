using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Copies a room with what stands in it.</summary>
/// <param name="Room">The room.</param>
/// <param name="Name">What the copy is called.</param>
/// <param name="Beside">Beside which room of any storey it goes; its storey is the copy's.</param>
/// <param name="On">On which side of it.</param>
/// <param name="Mirrored">East and west change places.</param>
public sealed record CopyRoom(string Room, string Name, string Beside, Side On, bool Mirrored = false) : JobCommand("copy a room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || job.RoomById(Beside) is not { } beside)
            return CommandResult.Refuse(PlanEdit.Gone("room"));
        if (string.IsNullOrWhiteSpace(Name))
            return CommandResult.Refuse("Name: say what the copy is called, such as Bath 2.");
        return PlanEdit.Finish(job, RoomCopy.Put(job, job, room, Name.Trim(), beside.Storey, beside, On, Mirrored));
    }
}
