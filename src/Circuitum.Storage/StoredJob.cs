using Circuitum.Core.Jobs;

namespace Circuitum.Storage;

/// <summary>A job as it stands in the store.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Job">The document.</param>
/// <param name="Stamp">Which change it is; an edit carries the one it was made against.</param>
/// <param name="Undo">What undo would take back, or none.</param>
/// <param name="Redo">What redo would do again, or none.</param>
public sealed record StoredJob(string Id, Job Job, int Stamp, string? Undo, string? Redo)
{
    /// <summary>The revision that it is.</summary>
    public int Revision { get; init; }

    /// <summary>What a person has to know about it: that its last state could not be read. Empty else.</summary>
    public string Notice { get; init; } = "";
}
