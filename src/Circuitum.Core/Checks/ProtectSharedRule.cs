using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Checks;

/// <summary>What nobody notices when it is dead does not hang on a device with other outlets.</summary>
internal sealed class ProtectSharedRule : CheckedRule
{
    internal override string Id => "protect.shared";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        foreach (var d in c.Protection.Devices.Where(d => d.GroundFault && d.Covers.Length > 1))
        {
            foreach (
                var box in d.Covers.Where(b =>
                    b != d.Box && ProtectionPlan.KeptClear(a.Job, a.Boxes[b]) && a.Boxes[b].Kind == BoxKind.Appliance
                )
            )
                yield return Breach(
                    a,
                    $"{ApplianceFacts.Of(a.Job, a.Job.ApplianceById(a.Boxes[box].Appliance)!).Name} hangs on "
                        + $"{(d.Box is null ? "the breaker" : $"the device in {d.Box}")} of circuit {c.Number} with "
                        + $"{d.Covers.Length - 1} other outlets: when one of them trips it, nobody may notice.",
                    Subject.Box(box),
                    Subject.Circuit(c.Number)
                ) with
                {
                    Fix = new("Give it a circuit of its own", new AssignBox(box, null)),
                };
        }
    }
}
