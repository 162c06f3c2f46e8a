using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The check of a rule, or of a few that are looked at together. It is found by being in this room.</summary>
internal interface ICheck
{
    /// <summary>The rules whose breach it finds.</summary>
    ImmutableArray<string> Rules { get; }

    /// <summary>What it finds.</summary>
    IEnumerable<Finding> Find(JobAnalysis a);
}
