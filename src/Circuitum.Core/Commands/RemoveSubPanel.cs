using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Takes a sub-panel away; its circuits go back to the panel that fed it, as far as there is room.</summary>
/// <param name="Panel">The sub-panel.</param>
public sealed record RemoveSubPanel(string Panel) : JobCommand("remove the sub-panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Panels.FirstOrDefault(p => p.Id == Panel) is not { FedFrom: not null } sub)
            return CommandResult.Refuse("Only a sub-panel can be taken away.");
        if (job.Panels.FirstOrDefault(p => p.FedFrom == Panel) is { } below)
            return CommandResult.Refuse($"It feeds {below.Name}. Take that one away first.");
        return CommandResult.Checked(
            Planner.PlanSpaces(
                job with
                {
                    Panels = job.Panels.Remove(sub),
                    Decisions = job.Decisions with
                    {
                        Spaces = job.Decisions.Spaces.RemoveAll(s => s.Panel == Panel || s.Feeds == Panel),
                        Outside = job.Decisions.Outside.RemoveAll(o => o.To == Panel),
                    },
                }
            )
        );
    }
}
