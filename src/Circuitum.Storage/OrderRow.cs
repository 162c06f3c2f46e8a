namespace Circuitum.Storage;

/// <summary>An order of material. Not part of the job's document: what was sent to a supplier is not undone.</summary>
public sealed class OrderRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1.</summary>
    public int Number { get; set; }

    /// <summary>By which the supplier knows it again, so that an order that is sent twice is one.</summary>
    public required string Key { get; set; }

    /// <summary>Whether it waits to be sent.</summary>
    public bool Waiting { get; set; }

    /// <summary>Counts its changes.</summary>
    public int Change { get; set; }

    /// <summary>The order as JSON.</summary>
    public required string Document { get; set; }
}
