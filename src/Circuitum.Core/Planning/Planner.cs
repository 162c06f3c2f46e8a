using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Planning;

/// <summary>Fills what is undecided in a job.</summary>
public static class Planner
{
    /// <summary>Boxes, circuits and spaces: everything that no one has decided.</summary>
    /// <param name="job">The job.</param>
    /// <param name="effort">How long the circuit planner looks.</param>
    public static Job PlanAll(Job job, PlanEffort effort = PlanEffort.First) => PlanCircuits(BoxProposal.Propose(job), effort);

    /// <summary>Circuits for loose boxes, and spaces for new circuits.</summary>
    /// <param name="job">The job.</param>
    /// <param name="effort">How long the circuit planner looks.</param>
    public static Job PlanCircuits(Job job, PlanEffort effort = PlanEffort.First) => PlanCircuits(job, new SearchCircuitPlanner(effort));

    /// <summary>Circuits for loose boxes, and spaces for new circuits.</summary>
    /// <param name="job">The job.</param>
    /// <param name="planner">Who divides.</param>
    public static Job PlanCircuits(Job job, ICircuitPlanner planner) => Laid(job, CircuitPlanning.Fill(job, planner));

    /// <summary>The planner's own circuits taken back and planned anew, with home runs and spaces for them.</summary>
    /// <param name="job">The job.</param>
    /// <param name="planner">Who divides; none takes the full search.</param>
    public static Job PlanAfresh(Job job, ICircuitPlanner? planner = null) =>
        Laid(CircuitPlanning.Kept(job), CircuitPlanning.Afresh(job, planner));

    // Home runs and spaces for a plan; circuits that were not there before get their numbers from the spaces. Which of several
    // crowded circuits takes larger wire goes by the number, so pairs are looked at once more.
    private static Job Laid(Job before, Job planned) => Held(Numbered(before, PlanSpaces(PlanPairs(planned))));

    /// <summary>Numbers for the circuits that were not there before.</summary>
    internal static Job Numbered(Job before, Job placed) =>
        CircuitNumbers.Settle(placed, before.Decisions.Circuits.Select(c => c.Number).ToHashSet());

    /// <summary>Home runs that two circuits share, where the job wants that; a person's stay as they are.</summary>
    public static Job PlanPairs(Job job)
    {
        var decisions = job.Decisions.WithoutLostPairs();
        if (job.Preferences.TwoCircuitHomeRuns == TwoCircuitHomeRuns.Never)
            return job with { Decisions = decisions with { Pairs = [.. decisions.Pairs.Where(p => p.By == Origin.Person)] } };
        var kind = job.Preferences.TwoCircuitHomeRuns == TwoCircuitHomeRuns.SharedNeutral ? PairKind.SharedNeutral : PairKind.TwoNeutrals;
        job = job with { Decisions = decisions with { Pairs = [.. decisions.Pairs.Where(p => p.By == Origin.Person || p.Kind == kind)] } };
        var offers = HomeRunPairing.Offers(HouseDeriver.Derive(job), kind);
        job = job with
        {
            Decisions = job.Decisions with
            {
                Pairs =
                [
                    .. job.Decisions.Pairs,
                    .. offers.Select(o => new HomeRunPair
                    {
                        First = o.First,
                        Second = o.Second,
                        Kind = kind,
                        By = Origin.Planner,
                    }),
                ],
            },
        };

        return Held(job);
    }

    // Where the largest box does not hold both, or in one cable they come to ask for another size, each keeps its cable; that one
    // goes may change what others ask for.
    private static Job Held(Job job)
    {
        while (job.Decisions.Pairs.Any(p => p.By == Origin.Planner))
        {
            var analysis = HouseDeriver.Derive(job);
            ImmutableArray<HomeRunPair> kept = [.. job.Decisions.Pairs.Where(p => p.By == Origin.Person || Holds(analysis, p))];
            if (kept.Length == job.Decisions.Pairs.Length)
                break;
            job = job with { Decisions = job.Decisions with { Pairs = kept } };
        }

        return job;
    }

    private static bool Holds(JobAnalysis a, HomeRunPair pair)
    {
        var (first, second) = (a.CircuitByNumber(pair.First)!, a.CircuitByNumber(pair.Second)!);
        return HomeRunPairing.WhyNot(first, second, pair.Kind) is null
            && first.Run.First is { } box
            && a.Specs[box] is var spec
            && (spec.Fill is null || spec.Fill.Inches3 <= spec.Entry!.Volume);
    }

    /// <summary>Spaces for breakers that have none; places that stand are kept while they are possible.</summary>
    /// <param name="job">The job.</param>
    /// <param name="afresh">Lay out the planner's own places again.</param>
    public static Job PlanSpaces(Job job, bool afresh = false)
    {
        if (job.Panels.Length == 0)
            return job;
        var analysis = HouseDeriver.Derive(job);
        if (afresh && job.Panels.Length > 1)
        {
            // Which panel a circuit is in is a matter of its place, so the planner's own places go before that is asked.
            job = job with { Decisions = job.Decisions with { Spaces = [.. job.Decisions.Spaces.Where(s => s.By == Origin.Person)] } };
            analysis = HouseDeriver.Derive(job);
        }

        var kept = job.Decisions.Spaces.Where(s => !afresh || s.By == Origin.Person).ToList();
        if (analysis.Edition.Board is not null)
        {
            var laid = job.Panels.Select(p => WayPlan.LaidOut(p, kept, PanelDeriver.Ways(analysis, p), analysis.Edition, afresh)).ToList();
            return job with
            {
                Panels = [.. laid.Select(l => l.Panel)],
                Decisions = job.Decisions with { Spaces = [.. laid.SelectMany(l => l.Places)] },
            };
        }

        var needs = PanelShare.Of(analysis);
        var spaces = job.Panels.SelectMany(p => SpacePlan.Fill(p, kept, needs[p.Id], job.Preferences.PanelOrder));
        return job with { Decisions = job.Decisions with { Spaces = [.. spaces] } };
    }
}
