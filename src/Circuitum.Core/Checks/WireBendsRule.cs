using Circuitum.Core.Analysis;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Checks;

/// <summary>Bends between pull points.</summary>
internal sealed class WireBendsRule : CheckedRule
{
    internal override string Id => "wire.bends";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var run in OutsideRun.Of(a))
        {
            if (run.Bends is { Pass: false } bends)
                yield return Breach(
                    a,
                    $"{run.Words} bends {bends.Stretches.Max()} degrees between pull points; {ConduitBends.Most} is the most. "
                        + $"{bends.PullPointsWanted} more pull point{(bends.PullPointsWanted == 1 ? "" : "s")} will do.",
                    run.Subjects
                );
        }
    }
}
