using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Checks;

/// <summary>Each outlet that needs protection has it.</summary>
internal sealed class ProtectionCover : ICircuitCheck
{
    public ImmutableArray<string> Rules => ["protect.missing", "protect.reach", "protect.shared"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            foreach (var (box, needs) in c.Needs.OrderBy(n => n.Key, StringComparer.Ordinal))
            {
                foreach (var need in needs.DistinctBy(n => n.Kind))
                {
                    var covered = c.Protection.Devices.Any(d =>
                        d.Covers.Contains(box) && (need.Kind == ProtectionKind.ArcFault ? d.ArcFault : d.GroundFault)
                    );
                    if (!covered)
                        yield return CheckList.Make(
                            a,
                            "protect.missing",
                            $"{box} on circuit {c.Number} is without "
                                + $"{(need.Kind == ProtectionKind.ArcFault ? "arc-fault" : "ground-fault")} protection: {need.Reason} "
                                + $"({need.Citation}).",
                            Subject.Box(box),
                            Subject.Circuit(c.Number)
                        );
                }
            }

            foreach (var d in c.Protection.Devices.Where(d => d.GroundFault && d.Covers.Length > 1))
            {
                foreach (
                    var box in d.Covers.Where(b =>
                        b != d.Box && ProtectionPlan.KeptClear(a.Job, a.Boxes[b]) && a.Boxes[b].Kind == BoxKind.Appliance
                    )
                )
                    yield return CheckList.Make(
                        a,
                        "protect.shared",
                        $"{ApplianceFacts.Of(a.Job.ApplianceById(a.Boxes[box].Appliance)!).Name} hangs on "
                            + $"{(d.Box is null ? "the breaker" : $"the device in {d.Box}")} of circuit {c.Number} with "
                            + $"{d.Covers.Length - 1} other outlets: when one of them trips it, nobody may notice.",
                        Subject.Box(box),
                        Subject.Circuit(c.Number)
                    ) with
                    {
                        Fix = new("Give it a circuit of its own", new AssignBox(box, null)),
                    };
            }

            foreach (var d in c.Protection.Devices.Where(d => d.Box is not null && !CircuitProtection.CanHoldDevice(a.Boxes[d.Box!])))
                yield return CheckList.Make(
                    a,
                    "protect.reach",
                    $"The protective device of circuit {c.Number} sits in {d.Box}, where it is not readily reached.",
                    Subject.Box(d.Box!)
                );
        }
    }
}
