namespace Circuitum.Formats.Exports;

/// <summary>A file that a job is written to. Downloads, the command line and its help follow from the list of them.</summary>
/// <param name="Name">Its name, such as <c>schedule</c>.</param>
/// <param name="Extension">The extension of its file.</param>
/// <param name="MediaType">What it is sent as.</param>
/// <param name="Write">Makes it.</param>
public sealed record Export(string Name, string Extension, string MediaType, Func<ExportRequest, byte[]> Write)
{
    /// <summary>Whether it is text, in UTF-8.</summary>
    public bool IsText { get; init; }

    /// <summary>Whether it is of one storey.</summary>
    public bool OfStorey { get; init; }

    /// <summary>Its file, such as <c>schedule.csv</c>.</summary>
    public string File => $"{Name}.{Extension}";

    /// <summary>What the command line calls it, such as <c>schedule-csv</c>.</summary>
    public string Form => $"{Name}-{Extension}";
}
