using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Moves a box along its walls to the place nearest a point.</summary>
/// <param name="Box">The box.</param>
/// <param name="Wall">Wall, or none for a place on the plan.</param>
/// <param name="Along">Distance along the wall.</param>
/// <param name="At">Place on the plan; a box on a wall slides to the nearest wall.</param>
public sealed record MoveBox(string Box, int? Wall, Length? Along, Point? At) : JobCommand("move box")
{
    /// <summary>
    /// Whether <c>Along</c> is measured from the corner at the left hand of a person who faces the wall, as schedules and tickets tell it.
    /// </summary>
    public bool FromLeft { get; init; }

    /// <inheritdoc/>
    public override string Nudges => $"box:{Box}";

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        var moved = box;
        if (box.Wall is not null)
        {
            var (wall, along) = (Wall ?? box.Wall.Value, Along ?? box.Along);
            var stands = new RoomShape(job.RoomById(box.Room)!);
            if (FromLeft && Along is not null && wall >= 0 && wall < stands.Walls.Length)
                along = Analysis.BoxSchedule.FromLeft(stands, box with { Along = along }, wall);
            if (At is { } p)
            {
                // A box on an outer face stays on its face: behind another wall there may be a room.
                var shape = new RoomShape(job.RoomById(box.Room)!);
                if (box.Outside)
                    along = Length.Max(Length.Zero, Length.Min(shape.Walls[wall].Along(p), shape.Walls[wall].Length));
                else
                    (wall, along, _) = shape.Nearest(p);
                along = along.RoundTo(Length.Inches(1));
            }

            moved = box with { Wall = wall, Along = along, By = Origin.Person };
        }
        else if (At is { } q)
            moved = box with { At = new(q.X.RoundTo(Length.Inches(1)), q.Y.RoundTo(Length.Inches(1))), By = Origin.Person };
        return BoxEdit.Replace(job, box, moved);
    }
}
