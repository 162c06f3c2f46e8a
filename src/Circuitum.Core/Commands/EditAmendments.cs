using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Edits the amendment layers of a job.</summary>
/// <param name="Edit">The edit.</param>
public sealed record EditAmendments(LayerEdit Edit) : JobCommand(Edit.Title)
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (layers, problem) = Edit.Apply(job.Amendments);
        return problem.Length > 0 ? CommandResult.Refuse(problem) : CommandResult.Checked(job with { Amendments = layers });
    }
}
