using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Lights and receptacles apart, where the job wants them so.</summary>
internal sealed class CircuitApartRule : CheckedRule
{
    internal override string Id => "circuit.apart";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (
            c.Wire is not null
            && a.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Separate
            && c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles
            && c.Boxes.Any(b => b.Kind == BoxKind.Light)
            && c.Boxes.Any(b => b.Kind == BoxKind.Receptacle)
        )
            yield return Breach(
                a,
                $"Circuit {c.Number} carries lights and receptacles; the job wants them apart.",
                Subject.Circuit(c.Number)
            );
    }
}
