using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a pin away; the circuits stay as they are.</summary>
/// <param name="Pin">What was wanted.</param>
public sealed record UnpinRooms(RoomPin Pin) : JobCommand("unpin rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Pins.Contains(Pin)
            ? CommandResult.Checked(job with { Decisions = job.Decisions with { Pins = job.Decisions.Pins.Remove(Pin) } })
            : CommandResult.Refuse("That pin is not there any more.");
}
