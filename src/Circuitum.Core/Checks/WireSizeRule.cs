using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>A cable or wire that carries the circuit.</summary>
internal sealed class WireSizeRule : CheckedRule
{
    internal override string Id => "wire.size";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Wire is null && c.Board is not null)
            yield return Breach(a, $"Circuit {c.Number}: no cable of the table carries it after its factors.", Subject.Circuit(c.Number));
        else if (c.Wire is null)
            yield return Breach(a, $"Circuit {c.Number}: no sheathed cable carries {c.Load.Sizing}.", Subject.Circuit(c.Number));
    }
}
