using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Tests;

/// <summary>
/// Three hundred made-up houses, each with a workshop apart from it, planned once for all tests that walk over many houses.
/// </summary>
internal static class HouseSet
{
    private static readonly Lazy<ImmutableArray<(int Seed, JobAnalysis House)>> Made = new(() =>
        [
            .. Enumerable
                .Range(0, 300)
                .AsParallel()
                .AsOrdered()
                .Select(seed => (seed, Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(seed))))),
        ]
    );

    internal static ImmutableArray<(int Seed, JobAnalysis House)> All => Made.Value;
}
