using Circuitum.Core.Analysis;

namespace Circuitum.Formats.Drawings;

/// <summary>The circuit that is looked at, beside which the others are faint.</summary>
internal static class Highlight
{
    /// <summary>Its number: of the picked circuit or box; none when all are looked at.</summary>
    internal static int? Of(Composition on) =>
        Subject.TryParse(on.View.Selected) switch
        {
            { Kind: SubjectKind.Circuit, Number: { } number } => number,
            { Kind: SubjectKind.Box, Id: var box } => on.A.CircuitOf(box)?.Number,
            _ => null,
        };
}
