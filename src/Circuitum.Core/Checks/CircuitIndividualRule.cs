using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Appliances that a rule wants alone on their circuit.</summary>
internal sealed class CircuitIndividualRule : CheckedRule
{
    internal override string Id => "circuit.individual";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        c.Boxes.Length < 2
            ? []
            : c
                .Boxes.Where(b =>
                    a.Job.ApplianceById(b.Appliance) is { } x
                    && ApplianceFacts.Of(a.Job, x).Type.Individual
                    && a.Job.Decisions.Boxes.First(o => o.Appliance == x.Id).Id == b.Id
                )
                .Select(b =>
                    Breach(
                        a,
                        $"{ApplianceFacts.Of(a.Job, a.Job.ApplianceById(b.Appliance)!).Name} shares circuit {c.Number}.",
                        Subject.Circuit(c.Number),
                        Subject.Box(b.Id)
                    )
                );
}
