using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>The least breaker of a large range.</summary>
internal sealed class WireRangeRule : CheckedRule
{
    internal override string Id => "wire.range";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (
            OneAppliance.On(a, c) is { } range
            && range.Type.Has(ApplianceTrait.Range)
            && range.Load.Value >= a.Edition.Number("rangeLeastVa")
            && c.Breaker < a.Edition.Number("rangeLeastBreaker")
        )
            yield return Breach(a, $"Circuit {c.Number}: a range of {range.Load} has a {c.Breaker} A breaker.", Subject.Circuit(c.Number));
    }
}
