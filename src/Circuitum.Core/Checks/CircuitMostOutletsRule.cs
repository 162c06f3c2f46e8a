using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Outlets of a circuit, where a rule counts them.</summary>
internal sealed class CircuitMostOutletsRule : CheckedRule
{
    internal override string Id => "circuit.mostOutlets";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Wire is null || c.Load.Connection != Connection.OneLine || !Outlets.TooMany(a.Job, a.Edition, c.Breaker, c.Boxes))
            yield break;
        yield return Breach(
            a,
            $"Circuit {c.Number} has {c.Boxes.Count(Outlets.Counts)} outlets; {a.Edition.Number("outletsOnCircuitMost")} are the most "
                + "while not every load is known.",
            Subject.Circuit(c.Number)
        );
    }
}
