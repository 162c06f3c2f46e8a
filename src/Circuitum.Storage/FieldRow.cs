namespace Circuitum.Storage;

/// <summary>An entry from the field. Rows are only added.</summary>
public sealed class FieldRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1 in the order in which entries came.</summary>
    public int Number { get; set; }

    /// <summary>The name that the device gave it; one that is sent twice is known by it.</summary>
    public required string EntryId { get; set; }

    /// <summary>What it is about.</summary>
    public required string Task { get; set; }

    /// <summary>What was said, by its name.</summary>
    public required string State { get; set; }

    /// <summary>A measure, a reading or a remark.</summary>
    public required string Value { get; set; }

    /// <summary>What the plan said then.</summary>
    public required string Mark { get; set; }

    /// <summary>Who.</summary>
    public required string By { get; set; }

    /// <summary>When it was said, UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>When it came, UTC.</summary>
    public DateTime Received { get; set; }
}
