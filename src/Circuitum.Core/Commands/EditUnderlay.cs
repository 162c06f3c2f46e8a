using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Places, scales, dims or removes the picture under a storey.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Change">Gives the changed picture, or none to take it away.</param>
/// <param name="What">What undo calls it.</param>
public sealed record EditUnderlay(string Storey, Func<Underlay, Underlay?> Change, string What) : JobCommand(What)
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Underlays.FirstOrDefault(u => u.Storey == Storey) is not { } there)
            return CommandResult.Refuse("There is no picture under this storey.");
        var changed = Change(there);
        return CommandResult.Checked(
            job with
            {
                Underlays = changed is null ? job.Underlays.Remove(there) : job.Underlays.Replace(there, changed),
            }
        );
    }
}
