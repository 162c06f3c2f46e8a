using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Most receptacles on a circuit as the job plans.</summary>
internal sealed class CircuitCountRule : CheckedRule
{
    internal override string Id => "circuit.count";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        var preferences = PreferenceFields.Of(a.Job, c.Circuit);
        var (there, most) = (GeneralReceptacles.On(c), c.Breaker <= 15 ? preferences.ReceptaclesPer15 : preferences.ReceptaclesPer20);
        if (there > most)
            yield return Breach(a, $"Circuit {c.Number} has {there} receptacles; the job plans {most} at most.", Subject.Circuit(c.Number));
    }
}
