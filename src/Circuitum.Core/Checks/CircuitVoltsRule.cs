using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Boxes on a breaker of their voltage.</summary>
internal sealed class CircuitVoltsRule : CheckedRule
{
    internal override string Id => "circuit.volts";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        c
            .Boxes.Where(b =>
                c.Load is { Connection: Connection.TwoLines, Split: false }
                && b.Kind != BoxKind.Switch
                && (a.Job.ApplianceById(b.Appliance) is not { } x || ApplianceFacts.Of(a.Job, x).Connection != Connection.TwoLines)
            )
            .Select(b =>
                Breach(
                    a,
                    $"{b.Id} works at {a.Edition.Supply.ToNeutral} V; circuit {c.Number} ({c.Label}) has a two-pole "
                        + $"breaker for {a.Edition.Supply.Between} V.",
                    Subject.Box(b.Id),
                    Subject.Circuit(c.Number)
                )
            );
}
