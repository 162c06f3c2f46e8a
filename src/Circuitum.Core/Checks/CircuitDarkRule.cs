using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>No room goes dark as a whole when one breaker trips.</summary>
internal sealed class CircuitDarkRule : CheckedRule
{
    internal override string Id => "circuit.dark";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        foreach (var room in c.Boxes.Select(b => b.Room).Distinct())
        {
            var boxes = a.Job.Decisions.Boxes.Where(b => b.Room == room && b.Kind is BoxKind.Light or BoxKind.Receptacle).ToList();
            if (
                boxes.TrueForAll(b => a.CircuitOf(b.Id)?.Number == c.Number)
                && boxes.Exists(b => b.Kind == BoxKind.Light)
                && boxes.Exists(b => b.Kind == BoxKind.Receptacle)
            )
                yield return Breach(
                    a,
                    $"Circuit {c.Number} carries all lights and {a.Edition.Word("receptacles")} of {a.House[room].Room.Name}.",
                    Subject.Room(room),
                    Subject.Circuit(c.Number)
                );
        }
    }
}
