using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Moves a room with all that is in it.</summary>
/// <param name="Room">The room.</param>
/// <param name="East">To the east.</param>
/// <param name="South">To the south.</param>
public sealed record MoveRoom(string Room, Length East, Length South) : JobCommand("move room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse(PlanEdit.Gone("room"));

        // The corner goes to the nearest line of the other rooms, and the rest keeps its shape.
        var corner = new Point(room.Outline[0].X + East, room.Outline[0].Y + South);
        var to = SnapLines.Of(job with { Rooms = job.Rooms.Remove(room) }, room.Storey).Exact(corner);
        var (dx, dy) = (to.X - room.Outline[0].X, to.Y - room.Outline[0].Y);
        Point At(Point p) => new(p.X + dx, p.Y + dy);
        var moved = Anchors.Free(job, id => id == Room, At, s => s with { At = At(s.At!.Value) });
        return PlanEdit.Finish(job, moved with { Rooms = moved.Rooms.Replace(room, room with { Outline = [.. room.Outline.Select(At)] }) });
    }
}
