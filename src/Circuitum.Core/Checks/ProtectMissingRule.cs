using Circuitum.Core.Analysis;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Checks;

/// <summary>Each outlet that needs protection has it.</summary>
internal sealed class ProtectMissingRule : CheckedRule
{
    internal override string Id => "protect.missing";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        foreach (var (box, needs) in c.Needs.OrderBy(n => n.Key, StringComparer.Ordinal))
        {
            foreach (var need in needs.DistinctBy(n => n.Kind))
            {
                var arc = need.Kind == ProtectionKind.ArcFault;
                if (!c.Protection.Devices.Any(d => d.Covers.Contains(box) && (arc ? d.ArcFault : d.GroundFault)))
                    yield return Breach(
                        a,
                        $"{box} on circuit {c.Number} is without {(arc ? "arc-fault" : "ground-fault")} protection: {need.Reason} "
                            + $"({need.Citation}).",
                        Subject.Box(box),
                        Subject.Circuit(c.Number)
                    );
            }
        }
    }
}
