using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Moves a wall; the rooms on both sides follow.</summary>
/// <param name="Room">The room from which it is seen.</param>
/// <param name="Wall">The number of its wall.</param>
/// <param name="By">How far outwards; negative moves it into the room.</param>
/// <param name="To">Instead, a place that the wall goes to.</param>
/// <param name="Alone">Only this room's side moves.</param>
public sealed record MoveWall(string Room, int Wall, Length? By, Point? To, bool Alone) : JobCommand("move wall")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var shape = new RoomShape(room);
        var wall = shape.Walls[Wall];
        var by = By ?? Length.Zero;
        if (To is { } p)
        {
            var to = SnapLines.Of(job, room.Storey).Exact(p);
            by =
                wall.Dx is 1 or -1 ? (to.Y - wall.A.Y)
                : wall.Dy is 1 or -1 ? (to.X - wall.A.X)
                : Length
                    .Inches(-(((p.X - wall.A.X).InInches * shape.InX(wall)) + ((p.Y - wall.A.Y).InInches * shape.InY(wall))))
                    .RoundTo(Length.Inches(0.5));
            if (wall.Dx is 1 or -1 && shape.InY(wall) > 0)
                by = -by;
            if (wall.Dy is 1 or -1 && shape.InX(wall) > 0)
                by = -by;
        }

        return by == Length.Zero
            ? CommandResult.Refuse("The wall stands there already.")
            : PlanEdit.Finish(job, WallMove.Move(job, Room, Wall, by, Alone));
    }
}
