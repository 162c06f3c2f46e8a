using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Puts a box on another circuit, or on a new one.</summary>
/// <param name="Box">The box.</param>
/// <param name="Circuit">The circuit, or none for a new one.</param>
public sealed record AssignBox(string Box, int? Circuit) : JobCommand("move to circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Boxes.Any(b => b.Id == Box)
            ? new AssignBoxes([Box], Circuit).Apply(job)
            : CommandResult.Refuse("That box is not there any more.");
}
