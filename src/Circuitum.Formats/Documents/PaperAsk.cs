using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;

namespace Circuitum.Formats.Documents;

/// <summary>What a paper is written from.</summary>
/// <param name="Analysis">The analysis.</param>
/// <param name="Change">The job's change number.</param>
/// <param name="Size">Of its pages, for what is drawn to a scale.</param>
/// <param name="Money">Prices, and the state before a change.</param>
/// <param name="Field">What was said in the field.</param>
internal readonly record struct PaperAsk(JobAnalysis Analysis, int Change, PaperSize Size, PaperMoney Money, FieldState Field)
{
    /// <summary>Pictures from the field, for papers that show them.</summary>
    internal ImmutableArray<FieldPhoto> Photos { get; init; } = [];
}
