using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Moves the picture under a storey.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="By">How far, east and south.</param>
public sealed record MoveUnderlay(string Storey, Point By) : JobCommand("move picture")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        UnderlayEdit.Change(job, Storey, u => u with { At = new(u.At.X + By.X, u.At.Y + By.Y) });
}
