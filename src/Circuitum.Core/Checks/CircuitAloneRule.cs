using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Appliances that the job wants on a circuit of their own, guests on a small-appliance circuit.</summary>
internal sealed class CircuitAloneRule : CheckedRule
{
    internal override string Id => "circuit.alone";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Circuit.Purpose != CircuitPurpose.SmallAppliance)
            yield break;
        foreach (var box in c.Boxes)
        {
            if (
                BoxPurpose.Of(a.Job, a.Edition, box) == CircuitPurpose.Appliance
                && a.Job.ApplianceById(box.Appliance) is { } guest
                && BoxPurpose.WhyNot(a.Job, a.Edition, box, c.Circuit.Purpose, c.Boxes) is null
            )
                yield return Breach(
                    a,
                    $"{ApplianceFacts.Of(a.Job, guest).Name} is on small-appliance circuit {c.Number}; the job wants it alone.",
                    Subject.Box(box.Id),
                    Subject.Circuit(c.Number)
                ) with
                {
                    Fix = new("Give it a circuit of its own", new AssignBox(box.Id, null)),
                };
        }
    }
}
