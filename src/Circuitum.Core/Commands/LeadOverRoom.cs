using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Leads a cable over the middle of a room, or under it.</summary>
/// <param name="From">The box it comes from, or none for the panel.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Room">The room.</param>
public sealed record LeadOverRoom(string? From, string To, string Room) : JobCommand("lead a cable another way")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.RoomById(Room) is { } room
            ? new LeadCable(From, To, room.Storey, HouseShape.Of(job)[Room].Centre).Apply(job)
            : CommandResult.Refuse("That room is not there any more.");
}
