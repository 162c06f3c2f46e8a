using System.Collections.Immutable;

namespace Circuitum.Core.Analysis;

/// <summary>Something found by a check.</summary>
/// <param name="RuleId">The rule.</param>
/// <param name="Severity">How grave.</param>
/// <param name="Citation">Section in the job's edition, or practice.</param>
/// <param name="Sentence">What, where and by which numbers.</param>
/// <param name="Subjects">What it is about, the first thing first.</param>
public sealed record Finding(string RuleId, Severity Severity, string Citation, string Sentence, ImmutableArray<Subject> Subjects)
{
    /// <summary>An edit that would clear it, where one is plain; the person decides.</summary>
    public FindingFix? Fix { get; init; }
}
