using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes the picture under a storey away.</summary>
/// <param name="Storey">The storey.</param>
public sealed record RemoveUnderlay(string Storey) : JobCommand("remove picture")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => UnderlayEdit.Change(job, Storey, _ => null);
}
