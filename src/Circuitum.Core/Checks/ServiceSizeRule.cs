using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Service size against the load.</summary>
internal sealed class ServiceSizeRule : CheckedRule
{
    internal override string Id => "service.size";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Panel is not { } panel)
            yield break;
        if (panel.MainBreaker < a.Edition.Number("serviceLeastA"))
            yield return Breach(
                a,
                $"The main breaker of {panel.MainBreaker} A is under {a.Edition.Number("serviceLeastA")} A.",
                Subject.Panel(panel.Id)
            );
        if (!(a.Service.Current <= new Amperes(panel.MainBreaker)))
            yield return Breach(
                a,
                $"The service load of {a.Service.Current.Value:0.0} A is over the {panel.MainBreaker} A main breaker.",
                Subject.Panel(panel.Id)
            );
    }
}
