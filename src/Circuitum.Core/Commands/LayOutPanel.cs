using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Lays the planner's breakers out again.</summary>
public sealed record LayOutPanel() : JobCommand("lay out the panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Planner.PlanSpaces(job, afresh: true));
}
