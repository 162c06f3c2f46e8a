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

    /// <summary>The job file's text, in a state that was written before states were packed; empty in all others.</summary>
    public string Document { get; set; } = "";

    /// <summary>The job file's text, packed; none in a state that was written before.</summary>
    public byte[]? Packed { get; set; }

    /// <summary>The state against which it is packed; 0 where it stands by itself.</summary>
    public int Base { get; set; }

    /// <summary>Who made it; empty where nobody was asked for a name.</summary>
    public string By { get; set; } = "";

    /// <summary>When it was last undone, or done again after that, UTC; none where it never was.</summary>
    public DateTime? Stepped { get; set; }

    /// <summary>Who did that; empty where nobody was asked for a name.</summary>
    public string SteppedBy { get; set; } = "";

    /// <summary>What a person calls it, or none.</summary>
    public string? Named { get; set; }

    /// <summary>What was done.</summary>
    public required string Title { get; set; }

    /// <summary>To what it was done, such as a box or a circuit; empty for the whole job.</summary>
    public string About { get; set; } = "";

    /// <summary>When, UTC.</summary>
    public DateTime Made { get; set; }

    /// <summary>What it nudged, such as one box with the arrow keys: the next nudge of the same thing takes its place. None else.</summary>
    public string? Nudge { get; set; }
}
