namespace Circuitum.Storage;

/// <summary>A picture of a paper plan, stored with its job. Kept for undo when the job no longer shows it.</summary>
public sealed class PictureRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>SHA-256 of the bytes, in small hexadecimal digits.</summary>
    public required string Hash { get; set; }

    /// <summary>What the bytes are: <c>image/png</c> or <c>image/jpeg</c>.</summary>
    public required string MediaType { get; set; }

    /// <summary>The file as it came.</summary>
    public required byte[] Bytes { get; set; }
}
