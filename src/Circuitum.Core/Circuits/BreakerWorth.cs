using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>
/// What one breaker more is worth by the spaces that stay free: while enough do, zones, habits and cable buy one; then cable hardly
/// does; where the panel is too small, only rooms that may not share do. It goes by what the house needs and not by the division
/// that stands, so that a plan is explained by the same price as it was made by.
/// </summary>
/// <param name="Spaces">Spaces of the building's panels.</param>
/// <param name="Needed">Spaces that circuits with a use of their own, feeders and about so many general circuits take.</param>
/// <param name="WantedPercent">Spaces that the job wants free, in percent.</param>
internal sealed record BreakerWorth(int Spaces, int Needed, double WantedPercent)
{
    // Of the wanted spare spaces, what may be used up for zones and habits.
    private const double Least = 0.5;
    private const double ForHabit = 1.5,
        ForZonesAlone = 5;

    // Four fifths of what a circuit holds, because the rest is spare.
    private const double Filled = 0.8;

    /// <summary>Spaces that stay free, in percent.</summary>
    internal double FreePercent => Spaces == 0 ? 100 : 100.0 * (Spaces - Needed) / Spaces;

    private double Factor =>
        FreePercent >= WantedPercent ? 1
        : FreePercent >= WantedPercent * Least ? ForHabit
        : ForZonesAlone;

    /// <summary>The weights with a breaker at its price.</summary>
    /// <param name="weights">The job's weights.</param>
    internal PlanWeights Priced(PlanWeights weights) =>
        Factor == 1 ? weights : weights with { Circuit = (int)Math.Min(PlanWeights.Most, weights.Circuit * Factor) };

    /// <summary>The price in words, or none where the job has no panel yet.</summary>
    internal string Says =>
        Spaces == 0
            ? ""
            : $"Of {Spaces} spaces about {Needed} are needed, {Math.Max(0, FreePercent):0} percent stay free: "
                + Factor switch
                {
                    1 => "a breaker more is bought for zones, habits and cable.",
                    ForHabit => "a breaker more is bought for zones and habits, and hardly for cable.",
                    _ => "the panel is too small for this house, and a breaker more is bought only where rooms may not share one.",
                };

    /// <summary>The worth in the building of the service.</summary>
    /// <param name="work">The circuits so far.</param>
    internal static BreakerWorth Of(CircuitDraft work)
    {
        var (job, house) = (work.Job, work.House);
        if (job.Panels.Length == 0)
            return new(0, 0, 0);
        var here = house.BuildingOf(job.Panels[0].Room);
        var spaces = job.Panels.Where(p => here.Contains(p.Room)).Sum(p => p.Spaces);
        var feeders = job.Panels.Count(p => p.FedFrom is { } from && job.Panels.Any(o => o.Id == from && here.Contains(o.Room)));
        var needed =
            (feeders * 2)
            + work.PolesOf(c => c.Purpose is not (CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed))
            + General(work, here);
        var wanted = job.Preferences.SpareSpaces is { } count ? 100.0 * count / Math.Max(1, spaces) : job.Preferences.SparePercent;
        return new(spaces, needed, wanted);
    }

    private static int General(CircuitDraft work, IReadOnlySet<string> here)
    {
        var (job, p) = (work.Job, work.Job.Preferences);
        var boxes = job.Decisions.Boxes.Where(b => b.Serves is null && here.Contains(b.Room)).ToList();
        var lit = boxes.Where(b => b.Kind == BoxKind.Light && !job.KindAt(b).OpenAir()).Select(b => b.Room).ToHashSet();
        var feet = work.House.Rooms.Where(r => lit.Contains(r.Room.Id)).Sum(r => r.AreaSqFt);
        var receptacles = boxes.Count(b =>
            b.Kind == BoxKind.Receptacle && BoxPurpose.Of(job, work.Edition, b) is CircuitPurpose.Receptacles or CircuitPurpose.Mixed
        );
        var most = GeneralGroups.MostReceptacles(
            p,
            work.Edition,
            CircuitPlanning.GeneralRating(p, CircuitPurpose.Receptacles, work.Edition)
        );
        var (lights, outlets) = (
            (int)Math.Ceiling(feet / Math.Max(1, p.Weights.ZoneSqFt)),
            (int)Math.Ceiling(receptacles / (most * Filled))
        );
        return p.LightsAndReceptacles == LightsAndReceptacles.Mixed ? Math.Max(lights, outlets) : lights + outlets;
    }
}
