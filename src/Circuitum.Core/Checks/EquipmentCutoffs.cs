using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>What cuts equipment off, where it is missing or out of sight.</summary>
internal static class EquipmentCutoffs
{
    internal static IEnumerable<(Appliance Appliance, string Words, Subject Subject, FindingFix? Fix)> Wrong(JobAnalysis a, bool control)
    {
        foreach (var appliance in a.Job.Appliances)
        {
            var facts = ApplianceFacts.Of(a.Job, appliance);
            if (facts.Cutoff == Cutoff.Control != control)
                continue;
            if (EquipmentRules.Missing(a.House, a.Job.Decisions.Boxes, appliance))
                yield return (
                    appliance,
                    control
                        ? $"{facts.Name} has no switch of its own."
                        : $"{facts.Name} has no {(facts.Cutoff == Cutoff.Service ? "service switch" : "disconnect")} within sight.",
                    Subject.Appliance(appliance.Id),
                    BoxFixes.Propose(a.House[appliance.Room])
                );
            else if (
                a.Job.Decisions.Boxes.FirstOrDefault(b => b.Serves == appliance.Id) is { } cutoff
                && facts.Cutoff is Cutoff.Sight or Cutoff.Service
                && !EquipmentRules.InSight(a.House, cutoff, appliance)
            )
                yield return (appliance, $"{cutoff.Id} is not within sight of {facts.Name}.", Subject.Box(cutoff.Id), null);
        }
    }
}
