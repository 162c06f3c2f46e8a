using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Review;

/// <summary>
/// What an edit would bring, before it is made. Where the house is planned, what the edit leaves undecided is planned beside the rest, and
/// other preferences plan it afresh; what is locked or made by hand stays. Nothing is changed.
/// </summary>
/// <param name="Problem">Why the edit cannot be made; empty when it can.</param>
/// <param name="Afresh">Whether the circuits were planned afresh, since preferences would be others.</param>
/// <param name="Now">The house as it is.</param>
/// <param name="Then">The house as it would be.</param>
/// <param name="Brings">The differences one by one.</param>
public sealed record EditPreview(string Problem, bool Afresh, PlanTotals Now, PlanTotals Then, ImmutableArray<Consequence> Brings)
{
    /// <summary>The houses that were compared; none when the edit cannot be made.</summary>
    public (JobAnalysis Now, JobAnalysis Then)? Houses { get; private init; }

    /// <summary>What it costs, by prices; none when the edit cannot be made.</summary>
    /// <param name="book">The prices.</param>
    public ChoiceCost? Cost(PriceBook book) => Houses is var (now, then) ? ChoiceCost.Of(now, then, book) : null;

    /// <summary>Looks at an edit.</summary>
    /// <param name="a">The house as it is.</param>
    /// <param name="edit">The edit.</param>
    public static EditPreview Of(JobAnalysis a, JobCommand edit)
    {
        var now = PlanTotals.Of(a);
        var result = edit.Apply(a.Job);
        if (result.Job is not { } made)
            return new(result.Problem, false, now, now, []);
        var afresh = a.Circuits.Length > 0 && made.Preferences != a.Job.Preferences;
        var then = Analyzer.Analyze(afresh ? Planner.PlanAfresh(made) : Completed(a, made));
        return new("", afresh, now, PlanTotals.Of(then), Consequences.Of(a, then)) { Houses = (a, then) };
    }

    /// <summary>What things that are there brought: the house without them, then with them, what is undecided planned in both.</summary>
    /// <param name="a">The house as it is.</param>
    /// <param name="taking">Take them away.</param>
    public static EditPreview Without(JobAnalysis a, params ImmutableArray<JobCommand> taking)
    {
        var bare = taking.Aggregate(a.Job, (job, take) => take.Apply(job).Job ?? job);
        var (without, with) = (Analyzer.Analyze(Completed(a, bare)), Analyzer.Analyze(Completed(a, a.Job)));
        return new("", false, PlanTotals.Of(without), PlanTotals.Of(with), Consequences.Of(without, with)) { Houses = (without, with) };
    }

    private static Job Completed(JobAnalysis a, Job made) => a.Circuits.Length > 0 ? Planner.PlanCircuits(BoxProposal.Propose(made)) : made;
}
