using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Boxes on circuits that may not serve them.</summary>
internal sealed class CircuitMembers : ICircuitCheck
{
    public ImmutableArray<string> Rules =>
        ["circuit.alone", "circuit.bathroom", "circuit.garage", "circuit.laundry", "circuit.smallAppliance", "circuit.volts"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            foreach (
                var box in c.Boxes.Where(b =>
                    c.Load.Volts == 240
                    && b.Kind != BoxKind.Switch
                    && (a.Job.ApplianceById(b.Appliance) is not { } x || ApplianceFacts.Of(x).Volts != 240)
                )
            )
                yield return CheckList.Make(
                    a,
                    "circuit.volts",
                    $"{box.Id} works at 120 V; circuit {c.Number} ({c.Label}) has a two-pole breaker for 240 V.",
                    Subject.Box(box.Id),
                    Subject.Circuit(c.Number)
                );

            foreach (var box in c.Boxes)
            {
                var own = BoxPurpose.Of(a.Job, a.Edition, box);
                if (BoxPurpose.WhyNot(a.Job, a.Edition, box, c.Circuit.Purpose, c.Boxes) is not { } why)
                {
                    if (
                        own == CircuitPurpose.Appliance
                        && c.Circuit.Purpose == CircuitPurpose.SmallAppliance
                        && a.Job.ApplianceById(box.Appliance) is { } guest
                    )
                    {
                        yield return CheckList.Make(
                            a,
                            "circuit.alone",
                            $"{ApplianceFacts.Of(guest).Name} is on small-appliance circuit {c.Number}; the job wants it alone.",
                            Subject.Box(box.Id),
                            Subject.Circuit(c.Number)
                        ) with
                        {
                            Fix = new("Give it a circuit of its own", new AssignBox(box.Id, null)),
                        };
                    }

                    continue;
                }

                var rule = BoxPurpose.RuleOf(c.Circuit.Purpose) ?? BoxPurpose.RuleOf(own)!;
                yield return CheckList.Make(
                    a,
                    rule,
                    $"{box.Id} may not be on circuit {c.Number} ({c.Label}). {why}",
                    Subject.Box(box.Id),
                    Subject.Circuit(c.Number)
                );
            }
        }
    }
}
