using Circuitum.Core.Jobs;

namespace Circuitum.Core.Edits;

/// <summary>An edit of a job. Pure: it takes a job and gives another, or a sentence that says why not.</summary>
/// <param name="Title">What undo calls it.</param>
public abstract record JobCommand(string Title)
{
    /// <summary>Does it.</summary>
    public abstract CommandResult Apply(Job job);

    /// <summary>
    /// What it moves a little, so that a row of such steps becomes one state of the history; none for what stands by itself.
    /// </summary>
    public virtual string? Nudges => null;
}
