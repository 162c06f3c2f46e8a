using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Large appliances whose plate nobody has read.</summary>
internal sealed class Nameplates : ICheck
{
    public ImmutableArray<string> Rules => ["appliance.assumed"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances.Where(x => !x.Nameplate.Confirmed))
        {
            var facts = ApplianceFacts.Of(appliance);
            if (facts.Volts == 240)
                yield return CheckList.Make(
                    a,
                    "appliance.assumed",
                    $"{facts.Name}: {facts.Load} at {facts.Volts} V is not confirmed by its nameplate.",
                    Subject.Appliance(appliance.Id)
                );
        }
    }
}
