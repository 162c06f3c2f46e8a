using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Appliances that a rule wants alone on their circuit.</summary>
internal sealed class IndividualCircuits : ICircuitCheck
{
    public ImmutableArray<string> Rules => ["circuit.individual"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances.Where(x => ApplianceFacts.Of(x).Type.Individual))
        {
            if (
                a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is { } box
                && a.CircuitOf(box.Id) is { Boxes.Length: > 1 } c
            )
                yield return CheckList.Make(
                    a,
                    "circuit.individual",
                    $"{ApplianceFacts.Of(appliance).Name} shares circuit {c.Number}.",
                    Subject.Circuit(c.Number),
                    Subject.Box(box.Id)
                );
        }
    }
}
