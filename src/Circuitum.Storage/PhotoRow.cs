namespace Circuitum.Storage;

/// <summary>A photograph from the field, without its bytes: lists never read those.</summary>
public sealed class PhotoRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1.</summary>
    public int Number { get; set; }

    /// <summary>The name that the device gave it; one that is sent twice is known by it.</summary>
    public required string EntryId { get; set; }

    /// <summary>What it shows, as a task of the field plan names it.</summary>
    public required string Task { get; set; }

    /// <summary>Width in pixels.</summary>
    public int Wide { get; set; }

    /// <summary>Height in pixels.</summary>
    public int Tall { get; set; }

    /// <summary>Bytes that it takes.</summary>
    public int Size { get; set; }

    /// <summary>Who took it.</summary>
    public required string By { get; set; }

    /// <summary>When, UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>Inches that a pixel is, by two places on a tape, or none.</summary>
    public double? InchesPerPixel { get; set; }
}

/// <summary>The bytes of a photograph.</summary>
public sealed class PhotoBytesRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>The photograph's number.</summary>
    public int Number { get; set; }

    /// <summary>As it is looked at.</summary>
    public required byte[] Full { get; set; }

    /// <summary>As it stands in a list.</summary>
    public required byte[] Small { get; set; }
}
