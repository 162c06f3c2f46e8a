namespace Circuitum.Formats.Documents;

/// <summary>Size of a page.</summary>
public enum PaperSize
{
    /// <summary>8-1/2 by 11 in.</summary>
    Letter,

    /// <summary>210 by 297 mm.</summary>
    A4,

    /// <summary>297 by 420 mm, for plans that are not read at A4.</summary>
    A3,
}

/// <summary>The names of page sizes in addresses and commands.</summary>
public static class PaperSizes
{
    /// <summary>All of them.</summary>
    public static string[] Names { get; } = ["letter", "a4", "a3"];

    /// <summary>The size of a name; letter where there is none of it.</summary>
    public static PaperSize Of(string? name) =>
        name switch
        {
            "a4" => PaperSize.A4,
            "a3" => PaperSize.A3,
            _ => PaperSize.Letter,
        };
}
