using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>More load than the breaker carries.</summary>
internal sealed class CircuitOverloadRule : CheckedRule
{
    internal override string Id => "circuit.overload";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        var cooking = c.Boxes.Any(b => a.Job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(a.Job, x).Type.Cooking);
        if (c.Wire is not null && cooking && !(c.Load.Sizing <= new Amperes(c.Breaker)))
            yield return Breach(a, $"Circuit {c.Number}: {c.Load.Sizing} on a {c.Breaker} A breaker.", Subject.Circuit(c.Number));
        foreach (var words in LimitBreaches.Of(a, c, Id))
            yield return Breach(a, words, Subject.Circuit(c.Number));
    }
}
