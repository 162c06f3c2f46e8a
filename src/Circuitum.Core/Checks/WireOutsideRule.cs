using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>No indoor cable outside.</summary>
internal sealed class WireOutsideRule : CheckedRule
{
    internal override string Id => "wire.outside";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        OutsideRun
            .Of(a)
            .Where(run => run.Method == OutsideMethod.IndoorCable)
            .Select(run =>
                Breach(
                    a,
                    $"{run.Words} is indoor cable for {LengthText.Far(run.Outside, a.Units)} outside the "
                        + $"house{(run.Buried ? ", in the ground" : "")}: "
                        + "its jacket is for dry places.",
                    run.Subjects
                ) with
                {
                    Fix = new("Run it in PVC conduit", new SetOutsideMethod(run.To, OutsideMethod.PvcConduit)),
                }
            );
}
