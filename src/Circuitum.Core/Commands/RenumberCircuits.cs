using Circuitum.Core.Circuits;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>
/// Numbers the circuits anew by the panel's spaces, or in their order where the job counts up; only ever on request, because papers and
/// labels may be out.
/// </summary>
public sealed record RenumberCircuits() : JobCommand("renumber circuits")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var settled = CircuitNumbers.Settle(job, new HashSet<int>());
        return settled.Decisions.Circuits.SequenceEqual(job.Decisions.Circuits)
            ? CommandResult.Refuse("The circuits have the numbers of their spaces already.")
            : CommandResult.Checked(settled);
    }
}
