using System.Collections.Immutable;

namespace Circuitum.Core.Analysis;

/// <summary>An edit that would clear a finding.</summary>
/// <param name="Title">What its button says.</param>
/// <param name="Do">The edit's word.</param>
/// <param name="Fields">Its fields.</param>
public sealed record FindingFix(string Title, string Do, params ImmutableArray<(string Name, string Value)> Fields);
