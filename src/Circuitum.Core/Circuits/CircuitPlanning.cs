using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;

namespace Circuitum.Core.Circuits;

/// <summary>The door to circuit planning.</summary>
public static class CircuitPlanning
{
    /// <summary>Fills what is undecided; what stands is moved only where that saves more than it costs to move it.</summary>
    public static Job Fill(Job job, ICircuitPlanner? planner = null)
    {
        var (house, edition) = (HouseShape.Of(job), CodeLibrary.EditionOf(job));
        var circuits = Fitting(edition, planner).Plan(house, edition);

        // A circuit that lost its last box is gone, and its breaker with it.
        var left = circuits.Select(c => c.Number).ToHashSet();
        return job with
        {
            Decisions = (
                job.Decisions with
                {
                    Circuits = circuits,
                    Spaces = [.. job.Decisions.Spaces.Where(s => left.Contains(s.Circuit))],
                }
            ).WithoutLostPairs(),
        };
    }

    // Split boards are divided by rules of their own, whatever effort was asked for.
    private static ICircuitPlanner Fitting(CodeEdition edition, ICircuitPlanner? planner) =>
        edition.Board is not null ? new BoardPlanner() : planner ?? new SearchCircuitPlanner(PlanEffort.First);

    /// <summary>Takes back the planner's own assignments and plans afresh; a person's circuits, assignments and locks stay.</summary>
    public static Job Afresh(Job job, ICircuitPlanner? planner = null) =>
        Fill(Kept(job), planner ?? new SearchCircuitPlanner(PlanEffort.Full));

    /// <summary>A job with a person's circuits, assignments and locks alone.</summary>
    internal static Job Kept(Job job)
    {
        var kept = job
            .Decisions.Circuits.Select(c => c.Locked ? c : c with { Boxes = [.. c.Boxes.Where(b => b.By == Origin.Person)] })
            .Where(c => c.Boxes.Length > 0 || c.By == Origin.Person)
            .ToImmutableArray();
        var numbers = kept.Select(c => c.Number).ToHashSet();
        return job with
        {
            Decisions = job.Decisions with
            {
                Circuits = kept,
                Spaces = [.. job.Decisions.Spaces.Where(s => numbers.Contains(s.Circuit))],
                Pairs = [.. job.Decisions.Pairs.Where(p => p.By == Origin.Person)],
            },
        };
    }

    /// <summary>The breaker rating that the rules, or else the preferences, give a general circuit.</summary>
    public static int GeneralRating(Preferences preferences, CircuitPurpose purpose, CodeEdition edition) =>
        edition.Ways.Receptacles == ReceptacleWay.AsBreaker
            ? purpose != CircuitPurpose.SmallAppliance
                ? edition.Number("requiredCircuitA").Whole
                : edition.Number(CircuitLoad.IsSplit(preferences, edition, purpose) ? "counterSplitA" : "counterCircuitA").Whole
            : (preferences.GeneralWire, purpose) switch
            {
                (GeneralWire.FourteenThroughout, CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed) => 15,
                (GeneralWire.TwelveForReceptacles, CircuitPurpose.Lighting) => 15,
                _ => 20,
            };
}
