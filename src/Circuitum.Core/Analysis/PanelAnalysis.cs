using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>One panel worked out.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Schedule">Its rows, one a space, two for a space with a tandem.</param>
/// <param name="Feeder">What feeds a sub-panel, or none for the one at the service.</param>
/// <param name="Supply">The supply of the house.</param>
public sealed record PanelAnalysis(Panel Panel, ImmutableArray<PanelRow> Schedule, Feeder? Feeder, Supply Supply)
{
    /// <summary>Spaces taken by breakers; a space with a tandem is one.</summary>
    public int SpacesUsed => Schedule.Where(r => !r.Free).Select(r => r.Space).Distinct().Count();

    /// <summary>Connected load on each line; a breaker of several poles divides its own over them.</summary>
    public LineLoads Lines => LineLoads.Sum(Supply, Schedule.Select(r => r.Load));

    /// <summary>What of it runs on an ordinary evening.</summary>
    public LineLoads Expected =>
        LineLoads.Sum(
            Supply,
            Schedule
                .Where(r => r.Circuit is not null)
                .Select(r => LineLoads.On(Supply, Supply.LineOf(r.Space), r.Circuit!.Expected.Load * (1.0 / r.Circuit.Poles)))
        );

    /// <summary>How heavy its supply is: the main breaker, or the feeder's.</summary>
    public int Rating => Feeder?.Breaker ?? Panel.MainBreaker;
}
