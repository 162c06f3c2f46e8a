using BitFaster.Caching.Lru;
using Circuitum.Core.Analysis;
using Circuitum.Core.Simulation;

namespace Circuitum.Web.Field;

/// <summary>The finders of circuits: a second to work out, so kept for as long as the plan stays.</summary>
public sealed class FinderDesk
{
    private const int MostKept = 40;

    private readonly ConcurrentLru<(string Job, int Circuit), (int Stamp, Lazy<FaultFinder> Finder)> kept = new(MostKept);

    /// <summary>The finder of a circuit that has a network.</summary>
    /// <param name="id">The job.</param>
    /// <param name="stamp">The change that it stands at.</param>
    /// <param name="a">The house.</param>
    /// <param name="circuit">The circuit.</param>
    public FaultFinder Of(string id, int stamp, JobAnalysis a, int circuit)
    {
        if (kept.TryGet((id, circuit), out var there) && there.Stamp == stamp)
            return there.Finder.Value;
        var fresh = new Lazy<FaultFinder>(() => FaultFinder.Of(HouseWirings.Of(a, circuit)));
        kept.AddOrUpdate((id, circuit), (stamp, fresh));
        return fresh.Value;
    }
}
