using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Takeoff;

/// <summary>What pulls took against what was planned for them.</summary>
/// <param name="Rows">By cable.</param>
public sealed record CableUsed(ImmutableArray<CableUsed.Row> Rows)
{
    // Fewer measured pulls tell more of one wall than of a crew.
    private const int Least = 5;

    /// <summary>One cable.</summary>
    /// <param name="Cable">Which.</param>
    /// <param name="Pulls">Pulls that were measured.</param>
    /// <param name="Planned">What was planned for them, in feet, waste not counted.</param>
    /// <param name="Used">What they took, in feet.</param>
    /// <param name="Useless">What is left on its open reels and too short to be of use, in feet.</param>
    public sealed record Row(string Cable, int Pulls, double Planned, double Used, double Useless)
    {
        /// <summary>How much more was used than planned, what is left and useless counted, in percent; less than zero for less.</summary>
        public double WastePercent => Planned > 0 ? (Used + Useless - Planned) / Planned * 100 : 0;
    }

    /// <summary>What a house took so far.</summary>
    public static CableUsed Of(JobAnalysis a)
    {
        var p = a.Job.Preferences;
        var reels = (a.Job.Stock ?? Stock.None).Reels;
        return new([
            .. a
                .Circuits.Where(c => c.Pulled?.Measured is not null && c.Run.First is not null && !c.Carried)
                .GroupBy(c => c.Pulled!.Cable)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => new Row(
                    g.Key,
                    g.Count(),
                    g.Sum(c => c.Run.Segments[0].Cut.InFeet),
                    g.Sum(c => c.Pulled!.Measured!.Value.InFeet),
                    reels
                        .Where(r => r.Cable == g.Key && a.Job.Decisions.Pulled.Any(x => x.Reel == r.Id))
                        .Select(r => CutPlan.LeftOn(a.Job, r))
                        .Where(left => left < p.UselessLeftover)
                        .Sum(left => left.InFeet)
                )),
        ]);
    }

    /// <summary>
    /// The waste that the next house should assume, in whole percent; none before enough was measured. Offered, never taken by itself.
    /// </summary>
    public int? Suggested =>
        Rows.Sum(r => r.Pulls) >= Least && Rows.Sum(r => r.Planned) is > 0 and var planned
            ? (int)Math.Clamp(Math.Ceiling(((Rows.Sum(r => r.Used + r.Useless) - planned) / planned * 100) - 1e-6), 0, 100)
            : null;
}
