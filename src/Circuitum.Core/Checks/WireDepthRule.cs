using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Depth in the ground.</summary>
internal sealed class WireDepthRule : CheckedRule
{
    internal override string Id => "wire.depth";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        OutsideRun
            .Of(a)
            .Where(run => run.Buried && run.Depth < run.DepthWanted)
            .Select(run =>
                Breach(
                    a,
                    $"{run.Words} lies {LengthText.Show(run.Depth, a.Units)} deep; {LengthText.Show(run.DepthWanted, a.Units)} "
                        + "is the least.",
                    run.Subjects
                )
            );
}
