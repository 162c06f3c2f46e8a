using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>One plug-in appliance takes its share of the breaker at most.</summary>
internal sealed class CircuitPlugInRule : CheckedRule
{
    internal override string Id => "circuit.plugIn";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        LimitBreaches.Of(a, c, Id).Select(words => Breach(a, words, Subject.Circuit(c.Number)));
}
