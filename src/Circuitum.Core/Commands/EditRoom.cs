using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Changes a room's name, kind and ceiling.</summary>
/// <param name="Room">The room.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Ceiling">Ceiling height.</param>
public sealed record EditRoom(string Room, string Name, RoomKind Kind, Length Ceiling) : JobCommand("edit room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.RoomById(Room) is { } room
            ? CommandResult.Checked(
                job with
                {
                    Rooms = job.Rooms.Replace(room, room with { Name = Name.Trim(), Kind = KindOf(room), CeilingHeight = Ceiling }),
                }
            )
            : CommandResult.Refuse("That room is not there any more.");

    // A kind that went by the old name goes by the new one, as long as nobody chose another.
    private RoomKind KindOf(Room was) =>
        Kind == was.Kind && was.Kind == RoomNames.KindOf(was.Name) && was.Name != Name.Trim() ? RoomNames.Known(Name) ?? Kind : Kind;
}
