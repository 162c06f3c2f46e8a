using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>
/// Required circuits first, then one for each appliance that wants its own, then general lights and receptacles by search.
/// Deterministic, and stable: what stands is moved only where it pays.
/// </summary>
/// <param name="effort">How long it looks.</param>
/// <param name="watch">Who looks on and may end it early; none for nobody.</param>
public sealed class SearchCircuitPlanner(PlanEffort effort, PlanWatch? watch = null) : ICircuitPlanner
{
    // With something standing, few rounds are enough: the rest of the house shall not be reshuffled.
    private const int RoundsWhenStanding = 300;

    /// <inheritdoc/>
    public ImmutableArray<Circuit> Plan(HouseShape house, CodeEdition edition)
    {
        var work = new CircuitDraft(house, edition);
        work.Appliances();
        work.SmallAppliance();
        work.Simple(CircuitPurpose.Laundry, work.Loose(CircuitPurpose.Laundry), int.MaxValue);
        work.Simple(CircuitPurpose.Utility, work.Loose(CircuitPurpose.Utility), int.MaxValue);
        work.Bathrooms();
        Outbuildings.Fill(work);
        work.Simple(CircuitPurpose.Garage, work.Loose(CircuitPurpose.Garage), 10);
        var runs = new CableRouter(house);
        var outside = OutdoorGroups.Near(work, runs);
        // None of them knows of the others, so they are divided side by side; they are taken in their order.
        var general = GeneralGroups.Of(work, runs).Where(g => g.Problem.Count > 0).ToList();
        foreach (var (groups, plan) in general.Zip(SideBySide.Make(general, g => Divide(g.Problem, g.Title))))
            groups.Take(plan);

        // Alarms first: what is fed from inside goes where there is room beside them.
        GeneralGroups.Alarms(work);
        OutdoorGroups.FromInside(work, runs, outside);
        return work.Result();
    }

    // What nobody has placed yet is divided exactly where all circuits that may be can be written down; else, and where something
    // stands that had better stay, by search.
    private GroupPlan Divide(GroupProblem problem, string title)
    {
        var standing = Enumerable.Range(0, problem.Count).Any(t => problem.Standing[t] >= 0 && problem.Fixed[t] < 0);
        var exact = standing ? null : ZonePartition.Solve(problem, watch, title);
        if (exact is not null && watch is not { Stopped: true })
            return exact.Plan();
        var search = new GroupSearch(problem);
        var plan = search.First();
        if (exact is not null)
            return exact.Plan() is var best && best.Priced() <= plan.Priced() ? best : plan;
        if (effort != PlanEffort.Full)
            return plan;
        watch?.Say($"{title}: outlets are tried on other circuits.");
        return search.Improve(plan, standing ? RoundsWhenStanding : GroupSearch.Rounds(problem.Count), watch?.Ended ?? default);
    }
}
