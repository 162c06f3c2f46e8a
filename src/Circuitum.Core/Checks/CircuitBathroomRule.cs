using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>The bathroom circuit, and what may be on it.</summary>
internal sealed class CircuitBathroomRule : CheckedRule
{
    internal override string Id => "circuit.bathroom";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (RequiredCircuit.Missing(a, RoomKind.Bathroom, CircuitPurpose.Bathroom))
            yield return Breach(a, $"There is no bathroom circuit of {RequiredCircuit.Least(a)} A.");
    }

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        RequiredCircuit.Guests(a, c, Id).Select(g => Breach(a, g.Words, Subject.Box(g.Box.Id), Subject.Circuit(c.Number)));
}
