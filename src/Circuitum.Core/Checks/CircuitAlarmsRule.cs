using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Smoke alarms with the lights, so that whoever loses them notices.</summary>
internal sealed class CircuitAlarmsRule : CheckedRule
{
    internal override string Id => "circuit.alarms";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Boxes.Any(b => b.Kind == BoxKind.SmokeAlarm) && !c.Boxes.Any(b => b.Kind == BoxKind.Light))
            yield return Breach(
                a,
                $"Circuit {c.Number} has smoke alarms and no light: nobody notices when it is dead.",
                Subject.Circuit(c.Number)
            );
    }
}
