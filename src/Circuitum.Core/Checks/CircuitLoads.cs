using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Load limits, counts and darkness.</summary>
internal sealed class CircuitLoads : ICircuitCheck
{
    public ImmutableArray<string> Rules =>
        [
            "circuit.apart",
            "circuit.count",
            "circuit.dark",
            "circuit.half",
            "circuit.mostReceptacles",
            "circuit.overload",
            "circuit.plugIn",
            "circuit.receptacleBreaker",
        ];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits.Where(c => c.Wire is not null))
        {
            var subject = Subject.Circuit(c.Number);
            var fixedFigure = c.Circuit.Purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry;
            var cooking = c.Boxes.Any(b => a.Job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(x).Type.Cooking);
            var hvac = c.Boxes.Any(b =>
                a.Job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(x).MinimumCircuitAmpacity is not null
            );
            if (cooking && !(c.Load.Sizing <= new Amperes(c.Breaker)))
                yield return CheckList.Make(
                    a,
                    "circuit.overload",
                    $"Circuit {c.Number}: {c.Load.Sizing} on a {c.Breaker} A breaker.",
                    subject
                );
            if (c.Wire!.MostBreaker is { } largest && c.Breaker > largest)
            {
                yield return CheckList.Make(
                    a,
                    "circuit.receptacleBreaker",
                    $"Circuit {c.Number} feeds several receptacles from a {c.Breaker} A breaker; {largest} A is the most.",
                    subject
                ) with
                {
                    Fix = new("Let the sizing choose", new SetBreaker(c.Number, null)),
                };
            }

            if (!fixedFigure && !cooking && !hvac)
            {
                foreach (var breach in LoadLimits.Check(a.Edition, c.Breaker, c.Load.Volts, [.. c.Boxes.Select(b => BoxLoad.Of(a.Job, b))]))
                    yield return CheckList.Make(a, breach.RuleId, $"Circuit {c.Number}: {breach.Sentence}", subject);
            }

            if (
                a.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Separate
                && c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles
                && c.Boxes.Any(b => b.Kind == BoxKind.Light)
                && c.Boxes.Any(b => b.Kind == BoxKind.Receptacle)
            )
                yield return CheckList.Make(
                    a,
                    "circuit.apart",
                    $"Circuit {c.Number} carries lights and receptacles; the job wants them apart.",
                    subject
                );
            if (c.Circuit.Purpose is not (CircuitPurpose.Receptacles or CircuitPurpose.Mixed))
                continue;
            var receptacles = c.Boxes.Count(b => b.Kind == BoxKind.Receptacle);
            var law = (int)a.Edition.Number("receptaclesOnCircuitMost");
            if (receptacles > law)
                yield return CheckList.Make(
                    a,
                    "circuit.mostReceptacles",
                    $"Circuit {c.Number} has {receptacles} receptacles; the local rule allows {law}.",
                    subject
                );
            var preferences = PreferenceFields.Of(a.Job, c.Circuit);
            var most = c.Breaker <= 15 ? preferences.ReceptaclesPer15 : preferences.ReceptaclesPer20;
            if (receptacles > most)
                yield return CheckList.Make(
                    a,
                    "circuit.count",
                    $"Circuit {c.Number} has {receptacles} receptacles; the job plans {most} at most.",
                    subject
                );
        }

        foreach (var room in a.House.Rooms)
        {
            var boxes = a
                .Job.Decisions.Boxes.Where(b => b.Room == room.Room.Id && b.Kind is (BoxKind.Light or BoxKind.Receptacle))
                .ToList();
            var circuits = boxes.Select(b => a.CircuitOf(b.Id)?.Number ?? 0).Distinct().ToList();
            if (
                circuits.Count == 1
                && circuits[0] > 0
                && boxes.Any(b => b.Kind == BoxKind.Light)
                && boxes.Any(b => b.Kind == BoxKind.Receptacle)
            )
                yield return CheckList.Make(
                    a,
                    "circuit.dark",
                    $"Circuit {circuits[0]} carries all lights and receptacles of {room.Room.Name}.",
                    Subject.Room(room.Room.Id),
                    Subject.Circuit(circuits[0])
                );
        }
    }
}
