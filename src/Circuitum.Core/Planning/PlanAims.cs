using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Planning;

/// <summary>Aims that whole plans are made for: fewest breakers, least wire, least darkness, and the job's own weights.</summary>
public static class PlanAims
{
    /// <summary>The aims by name, in the order in which they are shown.</summary>
    public static ImmutableArray<(string Name, PlanWeights? Weights)> All { get; } =
    [
        ("own weights", null),
        ("fewest breakers", PlanWeights.FewestBreakers),
        ("least wire", PlanWeights.LeastWire),
        ("least darkness", PlanWeights.LeastDarkness),
    ];

    /// <summary>The job planned afresh for an aim; its own weights stay in the document.</summary>
    public static Job Plan(Job job, PlanWeights? weights)
    {
        var planned = Planner.PlanAfresh(weights is null ? job : job with { Preferences = job.Preferences with { Weights = weights } });
        return planned with { Preferences = job.Preferences };
    }
}
