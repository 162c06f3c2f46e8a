namespace Circuitum.Storage;

/// <summary>What holds for all jobs of the firm.</summary>
public sealed class CompanyRow
{
    /// <summary>Always 1: a data directory belongs to one firm.</summary>
    public int Id { get; set; }

    /// <summary>Counts every change; an edit made against another one is stale.</summary>
    public int Stamp { get; set; }

    /// <summary>The document's text.</summary>
    public required string Document { get; set; }
}
