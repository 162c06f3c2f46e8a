using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>The laundry circuit, and what may be on it.</summary>
internal sealed class CircuitLaundryRule : CheckedRule
{
    internal override string Id => "circuit.laundry";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (RequiredCircuit.Missing(a, null, CircuitPurpose.Laundry))
            yield return Breach(a, $"There is no laundry circuit of {RequiredCircuit.Least(a)} A.");
    }

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        RequiredCircuit.Guests(a, c, Id).Select(g => Breach(a, g.Words, Subject.Box(g.Box.Id), Subject.Circuit(c.Number)));
}
