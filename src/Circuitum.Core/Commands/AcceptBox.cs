using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a proposed box over, so that no proposal moves it.</summary>
/// <param name="Box">The box.</param>
public sealed record AcceptBox(string Box) : JobCommand("accept box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Boxes.FirstOrDefault(b => b.Id == Box) is { } box
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with { Boxes = job.Decisions.Boxes.Replace(box, box with { By = Origin.Person }) },
                }
            )
            : CommandResult.Refuse(BoxEdit.Gone);
}
