using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Large appliances whose plate nobody has read.</summary>
internal sealed class ApplianceAssumedRule : CheckedRule
{
    internal override string Id => "appliance.assumed";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var facts in a.Job.Appliances.Select(x => ApplianceFacts.Of(a.Job, x)).Where(f => f.IsUnread))
        {
            yield return Breach(
                a,
                $"{facts.Name}: {facts.Load} at {facts.Volts} V is not confirmed by its nameplate.",
                Subject.Appliance(facts.Appliance.Id)
            );
        }
    }
}
