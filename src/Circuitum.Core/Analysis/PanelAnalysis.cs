using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>One panel worked out.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Schedule">Its rows, one a space, two for a space with a tandem.</param>
/// <param name="Feeder">What feeds a sub-panel, or none for the one at the service.</param>
public sealed record PanelAnalysis(Panel Panel, ImmutableArray<PanelRow> Schedule, Feeder? Feeder)
{
    /// <summary>Spaces taken by breakers; a space with a tandem is one.</summary>
    public int SpacesUsed => Schedule.Where(r => !r.Free).Select(r => r.Space).Distinct().Count();

    /// <summary>Connected load on leg A of the one-pole breakers and half of the two-pole ones.</summary>
    public VoltAmperes LegA => Schedule.Aggregate(VoltAmperes.Zero, (sum, r) => sum + r.LegA);

    /// <summary>Connected load on leg B.</summary>
    public VoltAmperes LegB => Schedule.Aggregate(VoltAmperes.Zero, (sum, r) => sum + r.LegB);

    /// <summary>What of a leg's load runs on an ordinary evening.</summary>
    /// <param name="legA">Leg A, else B.</param>
    public VoltAmperes Expected(bool legA) =>
        Schedule
            .Where(r => r.Circuit is not null && SpacePlan.OnLegA(r.Space) == legA)
            .Aggregate(VoltAmperes.Zero, (sum, r) => sum + (r.Circuit!.Expected.Load * (1.0 / r.Circuit.Poles)));

    /// <summary>How heavy its supply is: the main breaker, or the feeder's.</summary>
    public int Rating => Feeder?.Breaker ?? Panel.MainBreaker;
}
