using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Planning;

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
    /// <summary>Looks at an edit.</summary>
    /// <param name="a">The house as it is.</param>
    /// <param name="edit">The edit.</param>
    public static EditPreview Of(JobAnalysis a, JobCommand edit)
    {
        var now = PlanTotals.Of(a);
        var result = edit.Apply(a.Job);
        if (result.Job is not { } made)
            return new(result.Problem, false, now, now, []);
        var planned = a.Circuits.Length > 0;
        var afresh = planned && made.Preferences != a.Job.Preferences;
        if (planned)
            made = afresh ? Planner.PlanAfresh(made) : Planner.PlanCircuits(BoxProposal.Propose(made));
        var then = Analyzer.Analyze(made);
        return new("", afresh, now, PlanTotals.Of(then), Consequences.Of(a, then));
    }
}
