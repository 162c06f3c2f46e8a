using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>What is fastened in place takes its share at most beside lights and plug-in loads.</summary>
internal sealed class CircuitHalfRule : CheckedRule
{
    internal override string Id => "circuit.half";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        LimitBreaches.Of(a, c, Id).Select(words => Breach(a, words, Subject.Circuit(c.Number)));
}
