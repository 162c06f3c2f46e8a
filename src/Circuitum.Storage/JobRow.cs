namespace Circuitum.Storage;

/// <summary>A job: which revision is its present one.</summary>
public sealed class JobRow
{
    /// <summary>Its id in addresses.</summary>
    public required string Id { get; set; }

    /// <summary>Its name, for the list.</summary>
    public required string Name { get; set; }

    /// <summary>The present revision.</summary>
    public int Head { get; set; }

    /// <summary>Counts every change, undo and redo among them; an edit made against another one is stale.</summary>
    public int Stamp { get; set; }

    /// <summary>Last change, UTC.</summary>
    public DateTime Changed { get; set; }

    /// <summary>When it was put away, UTC, or none; it can be taken back.</summary>
    public DateTime? Deleted { get; set; }
}
