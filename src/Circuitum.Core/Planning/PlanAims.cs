using System.Collections.Immutable;
using Circuitum.Core.Circuits;
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
    /// <param name="job">The job.</param>
    /// <param name="weights">The aim; none for the job's own weights.</param>
    /// <param name="watch">Who looks on and may end it early; none for nobody.</param>
    public static Job Plan(Job job, PlanWeights? weights, PlanWatch? watch = null)
    {
        var planned = Planner.PlanAfresh(
            weights is null ? job : job with { Preferences = job.Preferences with { Weights = weights } },
            new SearchCircuitPlanner(PlanEffort.Full, watch)
        );
        return planned with { Preferences = job.Preferences };
    }
}
