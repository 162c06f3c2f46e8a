using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Planning;

/// <summary>A house under the rules of another family: its facts, and all decisions made anew.</summary>
public static class OtherRules
{
    /// <summary>The house planned under another edition; what was decided, amended or pulled under the old rules is not in it.</summary>
    /// <param name="job">The job.</param>
    /// <param name="edition">The id of an edition that is shipped.</param>
    public static Job Under(Job job, string edition)
    {
        var rules = CodeLibrary.Edition(edition);
        var name = $"{job.Name}, {rules.Name}";
        return Planner.PlanAll(
            job with
            {
                Name = name[..Math.Min(name.Length, LongestName)],
                CodeEdition = edition,
                Amendments = [],
                BuildersTold = null,
                Panels = [.. job.Panels.Select(p => p.Top > rules.HighestPanelTop ? p with { Top = rules.HighestPanelTop } : p)],
                Decisions = new(),
            }
        );
    }

    private const int LongestName = 120;
}
