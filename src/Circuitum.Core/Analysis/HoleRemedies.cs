using System.Collections.Immutable;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>
/// For each circuit that would lose ampacity among other cables, the cheapest way out: holes of its own, another way, or larger wire.
/// </summary>
internal static class HoleRemedies
{
    /// <summary>The analysis with every such circuit taken care of.</summary>
    /// <param name="analysis">The house as it is first planned.</param>
    /// <param name="deriver">Works out wires.</param>
    /// <param name="build">Works the house out again, with other ways and with what is done so far.</param>
    internal static JobAnalysis Find(
        JobAnalysis analysis,
        CircuitDeriver deriver,
        Func<CableRouter, ImmutableArray<SharedHole>, JobAnalysis> build
    )
    {
        var (done, around) = (ImmutableArray<SharedHole>.Empty, ImmutableHashSet<(string?, string)>.Empty);
        var now = analysis;

        // One after the other, because each that goes away makes room for the rest; every circuit once.
        while (HoleSearch.Of(now, deriver).FirstOrDefault(f => done.All(d => d.Circuit != f.Key)) is { Key: > 0 } next)
        {
            var (c, found) = (now.CircuitByNumber(next.Key)!, next.Value);
            var larger = deriver.WireWith(c, found.Carrying);
            var feet = c.Run.Cut.InFeet;
            var cents = ImmutableDictionary<HoleRemedy, double>
                .Empty.Add(HoleRemedy.OwnHole, found.Places * now.Job.Preferences.Weights.Hole)
                .Add(
                    HoleRemedy.LargerWire,
                    larger is null
                        ? double.PositiveInfinity
                        : feet * (Consequences.CentsPerFoot(now.Job, c with { Wire = larger }) - Consequences.CentsPerFoot(now.Job, c))
                );

            // The other way counts only if it leads out of the crowd.
            var avoided = around.Union(found.Segments.Select(h => (h.From, h.To)));
            var other = build(new CableRouter(now.House, avoided), done);
            var leads = other.CircuitByNumber(c.Number)!.Run.Cut != c.Run.Cut && !HoleSearch.Of(other, deriver).ContainsKey(c.Number);
            cents = cents.Add(
                HoleRemedy.OtherWay,
                leads
                    ? (other.CircuitByNumber(c.Number)!.Run.Cut.InFeet - feet) * Consequences.CentsPerFoot(now.Job, c)
                    : double.PositiveInfinity
            );

            var remedy = cents.OrderBy(x => x.Value).ThenBy(x => x.Key).First().Key;
            if (remedy == HoleRemedy.OtherWay)
                around = avoided;
            done = done.Add(new(c.Number, found.Carrying, found.Where, found.Places, found.Larger, remedy, cents));
            now = build(new CableRouter(now.House, around), done);
        }

        return now;
    }
}
