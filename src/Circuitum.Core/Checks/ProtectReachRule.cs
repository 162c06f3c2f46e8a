using Circuitum.Core.Analysis;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Checks;

/// <summary>A protective device is where a hand reaches it.</summary>
internal sealed class ProtectReachRule : CheckedRule
{
    internal override string Id => "protect.reach";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        c
            .Protection.Devices.Where(d => d.Box is not null && !CircuitProtection.CanHoldDevice(a.Boxes[d.Box]))
            .Select(d =>
                Breach(
                    a,
                    $"The protective device of circuit {c.Number} sits in {d.Box}, where it is not readily reached.",
                    Subject.Box(d.Box!)
                )
            );
}
