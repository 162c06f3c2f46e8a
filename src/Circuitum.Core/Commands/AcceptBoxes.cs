using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes over all proposals of a room or of the house.</summary>
/// <param name="Room">The room, or none for the house.</param>
public sealed record AcceptBoxes(string? Room) : JobCommand("accept boxes")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Boxes.Any(b => b.By == Origin.Planner && (Room is null || b.Room == Room))
            ? BoxEdit.Keep(job, b => Room is null || b.Room == Room)
            : CommandResult.Refuse("There is nothing left to accept there.");
}
