using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Large appliances whose plate nobody has read.</summary>
internal sealed class ApplianceAssumedRule : CheckedRule
{
    internal override string Id => "appliance.assumed";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances.Where(x => !x.Nameplate.Confirmed))
        {
            var facts = ApplianceFacts.Of(appliance);
            if (facts.Connection == Connection.TwoLines)
                yield return Breach(
                    a,
                    $"{facts.Name}: {facts.Load} at {facts.Volts} V is not confirmed by its nameplate.",
                    Subject.Appliance(appliance.Id)
                );
        }
    }
}
