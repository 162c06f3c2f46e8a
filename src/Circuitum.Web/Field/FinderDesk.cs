using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Circuitum.Core.Analysis;
using Circuitum.Core.Simulation;

namespace Circuitum.Web.Field;

/// <summary>The finders of circuits: a second to work out, so kept as long as the house that they are of.</summary>
public sealed class FinderDesk
{
    private readonly ConditionalWeakTable<JobAnalysis, ConcurrentDictionary<int, Lazy<FaultFinder>>> kept = [];

    /// <summary>The finder of a circuit that has a network.</summary>
    /// <param name="a">The house.</param>
    /// <param name="circuit">The circuit.</param>
    public FaultFinder Of(JobAnalysis a, int circuit) =>
        kept.GetOrCreateValue(a).GetOrAdd(circuit, c => new(() => FaultFinder.Of(HouseWirings.Of(a, c)))).Value;
}
