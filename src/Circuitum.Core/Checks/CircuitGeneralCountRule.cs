using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;

namespace Circuitum.Core.Checks;

/// <summary>General circuits enough for the floor area.</summary>
internal sealed class CircuitGeneralCountRule : CheckedRule
{
    internal override string Id => "circuit.generalCount";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        var general = a
            .Circuits.Where(c => c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
            .ToList();
        var (need, have) = (GeneralLoad.Of(a.Edition, a.AreaSqFt).Value, general.Sum(c => c.Breaker * a.Edition.Supply.ToNeutral));
        var (smallest, least) = (a.Edition.SmallestBreaker, RequiredCircuit.Least(a));
        if (have < need)
            yield return Breach(
                a,
                $"{a.AreaSqFt:#,0} sq ft at {a.Edition.Number("generalVaPerSqFt")} VA need {need:#,0} VA, at least "
                    + $"{GeneralLoad.LeastCircuits(a.Edition, a.AreaSqFt, smallest)} circuits of {smallest} A or "
                    + $"{GeneralLoad.LeastCircuits(a.Edition, a.AreaSqFt, least)} of {least} A; {general.Count} general circuits "
                    + $"carry {have:#,0} VA."
            );
    }
}
