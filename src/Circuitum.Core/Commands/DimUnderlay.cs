using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Sets how strongly the picture under a storey shows.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Strength">In percent.</param>
public sealed record DimUnderlay(string Storey, int Strength) : JobCommand("dim picture")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => UnderlayEdit.Change(job, Storey, u => u with { Strength = Strength });
}
