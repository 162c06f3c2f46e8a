using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Proposes the boxes of a room or of the house.</summary>
/// <param name="Room">A room, or none for the house.</param>
public sealed record ProposeBoxes(string? Room) : JobCommand("propose boxes")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(BoxProposal.Propose(job, Room));
}
