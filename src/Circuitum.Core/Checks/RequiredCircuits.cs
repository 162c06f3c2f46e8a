using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Circuits that a dwelling must have.</summary>
internal sealed class RequiredCircuits : ICheck
{
    public ImmutableArray<string> Rules =>
        ["circuit.bathroom", "circuit.garage", "circuit.generalCount", "circuit.laundry", "circuit.smallAppliance"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        var (least, fewest) = ((int)a.Edition.Number("requiredCircuitA"), (int)a.Edition.Number("smallApplianceFewest"));
        foreach (var kitchen in a.House.Rooms.Where(r => RoomUse.Cooks(a.Job, r.Room)))
        {
            var small = a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance && c.Breaker >= least).ToList();
            var counters = small.Count(c =>
                c.Boxes.Any(b => b.Room == kitchen.Room.Id && b.Kind == BoxKind.Receptacle && b.Height >= Length.Inches(36))
            );
            var receptacles = a.Job.Decisions.Boxes.Count(b =>
                b.Room == kitchen.Room.Id && b.Kind == BoxKind.Receptacle && b.Height >= Length.Inches(36)
            );
            if (small.Count < fewest)
                yield return CheckList.Make(
                    a,
                    "circuit.smallAppliance",
                    $"There are {small.Count} small-appliance circuits of {least} A; {fewest} are the least.",
                    Subject.Room(kitchen.Room.Id)
                );
            else if (receptacles > 1 && counters < fewest)
                yield return CheckList.Make(
                    a,
                    "circuit.smallAppliance",
                    $"The counters of {kitchen.Room.Name} are on {counters} small-appliance circuit; {fewest} are the least.",
                    Subject.Room(kitchen.Room.Id)
                );
        }

        foreach (var c in a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance))
        {
            var served = c.Boxes.Select(b => b.Room).Distinct().Where(r => a.House[r].Room.Kind == RoomKind.Kitchen).ToList();
            if (served.Count > 1)
                yield return CheckList.Make(
                    a,
                    "circuit.smallAppliance",
                    $"Circuit {c.Number} serves {served.Count} kitchens; a small-appliance circuit serves one.",
                    Subject.Circuit(c.Number)
                );
        }

        if (Missing(a, null, CircuitPurpose.Laundry))
            yield return CheckList.Make(a, "circuit.laundry", $"There is no laundry circuit of {least} A.");
        if (Missing(a, RoomKind.Bathroom, CircuitPurpose.Bathroom))
            yield return CheckList.Make(a, "circuit.bathroom", $"There is no bathroom circuit of {least} A.");
        if (Missing(a, RoomKind.Garage, CircuitPurpose.Garage))
            yield return CheckList.Make(a, "circuit.garage", $"There is no garage circuit of {least} A.");
        var general = a
            .Circuits.Where(c => c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
            .ToList();
        var need = GeneralLoad.Of(a.Edition, a.AreaSqFt).Value;
        var have = general.Sum(c => c.Breaker * 120);
        var smallest = a.Edition.SmallestBreaker;
        if (have < need)
            yield return CheckList.Make(
                a,
                "circuit.generalCount",
                $"{a.AreaSqFt:#,0} sq ft at {a.Edition.Say("generalVaPerSqFt")} VA need {need:#,0} VA, at least "
                    + $"{GeneralLoad.LeastCircuits(a.Edition, a.AreaSqFt, smallest)} circuits of {smallest} A or "
                    + $"{GeneralLoad.LeastCircuits(a.Edition, a.AreaSqFt, least)} of {least} A; {general.Count} general circuits "
                    + $"carry {have:#,0} VA."
            );
    }

    private static bool Missing(JobAnalysis a, RoomKind? kind, CircuitPurpose purpose) =>
        a.Job.Decisions.Boxes.Any(b => BoxPurpose.Of(a.Job, a.Edition, b) == purpose && (kind is null || a.House[b.Room].Room.Kind == kind))
        && !a.Circuits.Any(c => c.Circuit.Purpose == purpose && c.Breaker >= a.Edition.Number("requiredCircuitA"));
}
