using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Brings a room of another job, with what stands in it.</summary>
/// <param name="From">The other job.</param>
/// <param name="Room">The room there.</param>
/// <param name="Name">What it is called here; empty keeps its name.</param>
/// <param name="Storey">Where it goes.</param>
/// <param name="Beside">Beside which room; none only on an empty storey.</param>
/// <param name="On">On which side of it.</param>
/// <param name="Mirrored">East and west change places.</param>
public sealed record BringRoom(Job From, string Room, string Name, string Storey, string? Beside, Side On, bool Mirrored = false)
    : JobCommand("bring a room of another job")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (From.RoomById(Room) is not { } room)
            return CommandResult.Refuse("Choose a room of the other job.");
        if (job.StoreyById(Storey) is null)
            return CommandResult.Refuse(PlanEdit.Gone("storey"));
        var here = job.Rooms.Where(r => r.Storey == Storey).ToList();
        var beside = here.Find(r => r.Id == Beside) ?? here.LastOrDefault();
        var name = string.IsNullOrWhiteSpace(Name) ? room.Name : Name.Trim();
        return PlanEdit.Finish(job, RoomCopy.Put(job, From, room, name, Storey, beside, On, Mirrored));
    }
}
