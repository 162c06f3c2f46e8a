namespace Circuitum.Storage;

/// <summary>A price list of the firm.</summary>
public sealed class PriceListRow
{
    /// <summary>Rising; lists that came later count after those that came before.</summary>
    public int Id { get; set; }

    /// <summary>What it is called.</summary>
    public required string Name { get; set; }

    /// <summary>Whose prices they are.</summary>
    public required string Supplier { get; set; }

    /// <summary>Its rows as JSON.</summary>
    public required string Document { get; set; }

    /// <summary>When it was taken, UTC.</summary>
    public DateTime Taken { get; set; }
}
