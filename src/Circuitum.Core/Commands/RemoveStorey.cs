using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes an empty storey away.</summary>
/// <param name="Storey">The storey.</param>
public sealed record RemoveStorey(string Storey) : JobCommand("remove storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.StoreyById(Storey) is not { } storey)
            return CommandResult.Refuse(PlanEdit.Gone("storey"));
        if (job.Rooms.Any(r => r.Storey == Storey))
            return CommandResult.Refuse($"{storey.Name} still has rooms. Remove them first.");
        return job.Storeys.Length == 1
            ? CommandResult.Refuse("A house has at least one storey.")
            : CommandResult.Checked(
                job with
                {
                    Storeys = job.Storeys.Remove(storey),
                    Underlays = job.Underlays.RemoveAll(u => u.Storey == Storey),
                    Decisions = job.Decisions with { Ways = job.Decisions.Ways.RemoveAll(w => w.Storey == Storey) },
                }
            );
    }
}
