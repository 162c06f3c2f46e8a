using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A panel with the service's disconnect that is far from where the service comes in.</summary>
internal sealed class ServiceMeterRule : CheckedRule
{
    internal override string Id => "service.meter";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("meterFarFt");
        if (a.Job.Fixtures.FirstOrDefault(f => f.Kind == FixtureKind.Meter) is not { } meter)
            yield break;
        var at = Places.Of(a.House[meter.Room], meter.Spot);
        foreach (var panel in a.Job.Panels.Where(p => p.FedFrom is null))
        {
            var feet = a.House[panel.Room].On(panel.Wall, panel.Along).InchesTo(at) / 12;
            if (feet > most)
                yield return Breach(
                    a,
                    $"{panel.Name} hangs {LengthText.Far(feet, a.Units)} from the meter. Service conductors go through the "
                        + "house only where "
                        + "they come in: put a disconnect at the meter, or ask how far the local authority lets them go.",
                    Subject.Panel(panel.Id),
                    Subject.Fixture(meter.Id)
                );
        }
    }
}
