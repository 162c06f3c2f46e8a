namespace Circuitum.Storage;

/// <summary>A set of papers that left the house: the state that the job was in then, by its revision.</summary>
public sealed class IssueRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1.</summary>
    public int Number { get; set; }

    /// <summary>What it was issued for.</summary>
    public required string Name { get; set; }

    /// <summary>The revision that it shows.</summary>
    public int Revision { get; set; }

    /// <summary>The change number that stands on its papers.</summary>
    public int Stamp { get; set; }

    /// <summary>When, UTC.</summary>
    public DateTime Issued { get; set; }
}
