using Circuitum.Core.Edits;

namespace Circuitum.Core.Analysis;

/// <summary>An edit that would clear a finding.</summary>
/// <param name="Title">What its button says.</param>
/// <param name="Edit">The edit.</param>
public sealed record FindingFix(string Title, JobCommand Edit);
