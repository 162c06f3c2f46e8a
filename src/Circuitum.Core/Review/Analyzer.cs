using Circuitum.Core.Analysis;
using Circuitum.Core.Checks;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Review;

/// <summary>The one pure function of the product: a job goes in, everything derived from it comes out.</summary>
public static class Analyzer
{
    /// <summary>The analysis of a job that has passed <see cref="Intake.JobRules"/>.</summary>
    public static JobAnalysis Analyze(Job job)
    {
        var derived = HouseDeriver.Derive(job);
        return derived with { Findings = CheckList.Run(derived) };
    }
}
