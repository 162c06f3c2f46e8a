using System.Collections.Concurrent;
using Circuitum.Core.Simulation;
using Circuitum.Web.Work;

namespace Circuitum.Web.Field;

/// <summary>The finders of circuits: a second to work out, so kept for as long as the plan stays.</summary>
public sealed class FinderDesk
{
    private const int MostKept = 40;

    private readonly ConcurrentDictionary<(string Job, int Circuit), (int Stamp, Lazy<FaultFinder> Finder)> kept = new();

    /// <summary>The finder of a circuit that has a network.</summary>
    public FaultFinder Of(string id, OpenJob job, int circuit)
    {
        if (kept.TryGetValue((id, circuit), out var there) && there.Stamp == job.Stored.Stamp)
            return there.Finder.Value;
        if (kept.Count >= MostKept)
            kept.Clear();
        var fresh = new Lazy<FaultFinder>(() => FaultFinder.Of(HouseWirings.Of(job.Analysis, circuit)));
        kept[(id, circuit)] = (job.Stored.Stamp, fresh);
        return fresh.Value;
    }
}
