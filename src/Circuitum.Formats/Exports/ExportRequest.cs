using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Formats.Documents;

namespace Circuitum.Formats.Exports;

/// <summary>What an export is made from.</summary>
/// <param name="Analysis">The job, worked out.</param>
public sealed record ExportRequest(JobAnalysis Analysis)
{
    /// <summary>The storey, for exports of one; else none.</summary>
    public string? Storey { get; init; }

    /// <summary>Ends it where nobody waits for it any more; asked between the parts of a packet.</summary>
    public CancellationToken Cancel { get; init; }

    /// <summary>The size of pages.</summary>
    public PaperSize Size { get; init; }

    /// <summary>The job's change number, which papers state.</summary>
    public int Change { get; init; }

    /// <summary>The issued set that this is, or that it differs from; empty before the first.</summary>
    public string Set { get; init; } = "";

    /// <summary>What was said in the field.</summary>
    public FieldState Field { get; init; } = FieldState.None;

    /// <summary>Pictures from the field, for papers that show them.</summary>
    public ImmutableArray<FieldPhoto> Photos { get; init; } = [];

    /// <summary>Prices, and the state before a change.</summary>
    public PaperMoney Money { get; init; } = PaperMoney.MadeUp;
}
