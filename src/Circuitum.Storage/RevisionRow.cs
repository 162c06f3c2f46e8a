namespace Circuitum.Storage;

/// <summary>One state of a job.</summary>
public sealed class RevisionRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1.</summary>
    public int Number { get; set; }

    /// <summary>The revision it was made from; 0 for the first.</summary>
    public int Parent { get; set; }

    /// <summary>The job file's text.</summary>
    public required string Document { get; set; }

    /// <summary>What was done.</summary>
    public required string Title { get; set; }

    /// <summary>When, UTC.</summary>
    public DateTime Made { get; set; }

    /// <summary>What it nudged, such as one box with the arrow keys: the next nudge of the same thing takes its place. None else.</summary>
    public string? Nudge { get; set; }
}
