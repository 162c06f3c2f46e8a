using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Gives a wall a length by moving the wall at its far corner, or at its first one.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">The number of its wall.</param>
/// <param name="Length">The length that it shall have.</param>
/// <param name="AtStart">The wall at its first corner moves.</param>
public sealed record SetWallLength(string Room, int Wall, Length Length, bool AtStart) : JobCommand("set wall length")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var shape = new RoomShape(room);
        var wall = shape.Walls[Wall];
        var n = shape.Walls.Length;
        var other = shape.Walls[AtStart ? (Wall + n - 1) % n : (Wall + 1) % n];
        if (Length < Length.Inches(1))
            return CommandResult.Refuse("A wall is at least 1 in long.");
        var dot = -((wall.Dx * shape.InX(other)) + (wall.Dy * shape.InY(other))) * (AtStart ? -1 : 1);
        if (Math.Abs(dot) < 0.05)
            return CommandResult.Refuse("The next wall runs in the same line; move another one.");
        var by =
            Math.Abs(dot) > 1 - 1e-12
                ? (dot > 0 ? Length - wall.Length : wall.Length - Length)
                : Length.Inches((Length - wall.Length).InInches * dot);
        return by == Length.Zero
            ? CommandResult.Refuse("The wall has that length already.")
            : PlanEdit.Finish(job, WallMove.Move(job, Room, other.Index, by, false));
    }
}
