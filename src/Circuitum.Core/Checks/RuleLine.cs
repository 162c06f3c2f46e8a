using System.Collections.Immutable;

namespace Circuitum.Core.Checks;

/// <summary>A rule as it is told to a reader.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Title">A few words.</param>
/// <param name="Text">In plain words, with the numbers of the edition it was asked of.</param>
/// <param name="Cites">Its section in each edition, in the order asked; "not in force" where an edition does not know it.</param>
/// <param name="Severity">How a breach is graded: must, should or note.</param>
/// <param name="Doubt">What of it is to be looked up; empty where nothing is.</param>
/// <param name="State">Checked, applied in planning and sizing, or left to the inspector.</param>
public sealed record RuleLine(
    string Id,
    string Title,
    string Text,
    ImmutableArray<string> Cites,
    string Severity,
    string Doubt,
    string State
);
