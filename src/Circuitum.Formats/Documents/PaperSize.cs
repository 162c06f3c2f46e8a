namespace Circuitum.Formats.Documents;

/// <summary>Size of a page.</summary>
public enum PaperSize
{
    /// <summary>8-1/2 by 11 in.</summary>
    Letter,

    /// <summary>210 by 297 mm.</summary>
    A4,
}
