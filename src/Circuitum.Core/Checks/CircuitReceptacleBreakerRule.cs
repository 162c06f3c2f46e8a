using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;

namespace Circuitum.Core.Checks;

/// <summary>The largest breaker of a circuit with several receptacles.</summary>
internal sealed class CircuitReceptacleBreakerRule : CheckedRule
{
    internal override string Id => "circuit.receptacleBreaker";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Wire?.MostBreaker is { } largest && c.Breaker > largest)
            yield return Breach(
                a,
                $"Circuit {c.Number} feeds several receptacles from a {c.Breaker} A breaker; {largest} A is the most.",
                Subject.Circuit(c.Number)
            ) with
            {
                Fix = new("Let the sizing choose", new SetBreaker(c.Number, null)),
            };
    }
}
