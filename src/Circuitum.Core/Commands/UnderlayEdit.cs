using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>What edits of the picture under a storey have in common.</summary>
internal static class UnderlayEdit
{
    internal static CommandResult Change(Job job, string storey, Func<Underlay, Underlay?> change)
    {
        if (job.Underlays.FirstOrDefault(u => u.Storey == storey) is not { } there)
            return CommandResult.Refuse("There is no picture under this storey.");
        return CommandResult.Checked(
            job with
            {
                Underlays = change(there) is { } changed ? job.Underlays.Replace(there, changed) : job.Underlays.Remove(there),
            }
        );
    }
}
