using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;

namespace Circuitum.Core.Checks;

/// <summary>What breaks the limits of a circuit whose load is the sum of what hangs on it.</summary>
internal static class LimitBreaches
{
    // Fixed figures, the demand of cooking, and nameplates of heating and cooling are limited by themselves.
    internal static IEnumerable<string> Of(JobAnalysis a, CircuitAnalysis c, string rule) =>
        c.Wire is null
        || c.Circuit.Purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry
        || c.Boxes.Any(b =>
            a.Job.ApplianceById(b.Appliance) is { } x
            && ApplianceFacts.Of(a.Job, x) is var facts
            && (facts.Type.Cooking || facts.MinimumCircuitAmpacity is not null)
        )
            ? []
            : LoadLimits
                .Check(a.Edition, c.Breaker, c.Load.Volts, [.. c.Boxes.Select(b => BoxLoad.Of(a.Job, b))])
                .Where(breach => breach.RuleId == rule)
                .Select(breach => $"Circuit {c.Number}: {breach.Sentence}");
}
