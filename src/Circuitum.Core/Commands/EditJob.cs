using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Changes the job's head, frame, preferences or panel as a whole.</summary>
/// <param name="Change">Gives the changed job.</param>
/// <param name="What">What undo calls it.</param>
public sealed record EditJob(Func<Job, Job> Change, string What) : JobCommand(What)
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Change(job));
}
