using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>States how a room is built over and under; what is none is not stated.</summary>
/// <param name="Room">The room.</param>
/// <param name="Ceiling">The shape of its ceiling.</param>
/// <param name="Joists">Which way its joists run.</param>
/// <param name="JoistDepth">How deep they are.</param>
/// <param name="ShelfDepth">How deep the shelves of a closet are.</param>
/// <param name="Risers">Risers of a flight of stairs.</param>
/// <param name="Access">The way into an attic or a crawl space.</param>
/// <param name="Under">What is under its floor.</param>
/// <param name="Adaptable">Whether it can be finished later and counts for the floor area.</param>
public sealed record EditRoomBuild(
    string Room,
    CeilingShape? Ceiling,
    JoistRun? Joists,
    Length? JoistDepth,
    Length? ShelfDepth,
    int? Risers,
    AccessKind? Access,
    Under? Under,
    bool? Adaptable
) : JobCommand("edit ceiling")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse(PlanEdit.Gone("room"));
        var stated = room with
        {
            Ceiling = Ceiling,
            Joists = Joists,
            JoistDepth = JoistDepth,
            ShelfDepth = ShelfDepth,
            Risers = Risers,
            Access = Access,
            Under = Under,
            Adaptable = Adaptable,
        };
        return CommandResult.Checked(job with { Rooms = job.Rooms.Replace(room, stated) });
    }
}
