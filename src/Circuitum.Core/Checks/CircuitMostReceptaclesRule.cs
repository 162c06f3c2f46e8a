using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Most receptacles on a circuit, where a local rule has a number.</summary>
internal sealed class CircuitMostReceptaclesRule : CheckedRule
{
    internal override string Id => "circuit.mostReceptacles";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        var (there, most) = (GeneralReceptacles.On(c), a.Edition.Number("receptaclesOnCircuitMost").Whole);
        if (there > most)
            yield return Breach(a, $"Circuit {c.Number} has {there} receptacles; the local rule allows {most}.", Subject.Circuit(c.Number));
    }
}
