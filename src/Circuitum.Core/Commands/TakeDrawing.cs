using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Puts what was read from a drawing in the place of the job that it was read onto.</summary>
/// <param name="Drawn">The job with the drawing's rooms.</param>
public sealed record TakeDrawing(Job Drawn) : JobCommand("import drawing")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Drawn);
}
