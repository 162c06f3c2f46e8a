using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Takes a closet or a nook out of a room along one of its walls, a closet with its door.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">The number of the wall at its back.</param>
/// <param name="From">From the wall's first corner.</param>
/// <param name="Width">Along the wall, inside.</param>
/// <param name="Depth">Into the room, inside.</param>
/// <param name="Name">Its name; empty calls a closet after its room.</param>
public sealed record AddCloset(string Room, int Wall, Length From, Length Width, Length Depth, string Name = "") : JobCommand("add closet")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= new RoomShape(room).Walls.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var (made, problem) = NookMaker.Make(job, room, Wall, From, Width, Depth, Name.Trim());
        return made is null ? CommandResult.Refuse(problem) : PlanEdit.Finish(job, made);
    }
}
