using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Small-appliance circuits of each kitchen, and what may be on them.</summary>
internal sealed class CircuitSmallApplianceRule : CheckedRule
{
    internal override string Id => "circuit.smallAppliance";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        var (least, fewest) = (RequiredCircuit.Least(a), a.Edition.Number("smallApplianceFewest").Whole);
        foreach (var kitchen in a.House.Rooms.Where(r => RoomUse.Cooks(a.Job, r.Room)))
        {
            bool AtCounter(Box b) => b.Room == kitchen.Room.Id && b.Kind == BoxKind.Receptacle && b.Height >= ReceptacleRules.CounterTop;
            var small = a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance && c.Breaker >= least).ToList();
            if (a.Edition.Ways.Counter == CounterWay.Alternating)
                fewest = Math.Min(
                    fewest,
                    a.Job.Decisions.Boxes.Count(b => b.Room == kitchen.Room.Id && BoxPurpose.AtCounter(a.Job, a.Edition, b))
                );
            var counters = small.Count(c => c.Boxes.Any(AtCounter));
            if (small.Count < fewest)
                yield return Breach(
                    a,
                    $"There are {small.Count} small-appliance circuits of {least} A; {fewest} are the least.",
                    Subject.Room(kitchen.Room.Id)
                );
            else if (a.Job.Decisions.Boxes.Count(AtCounter) > 1 && counters < fewest)
                yield return Breach(
                    a,
                    $"The counters of {kitchen.Room.Name} are on {counters} small-appliance circuit; {fewest} are the least.",
                    Subject.Room(kitchen.Room.Id)
                );
        }
    }

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Circuit.Purpose == CircuitPurpose.SmallAppliance)
        {
            var served = c.Boxes.Select(b => b.Room).Distinct().Count(r => a.House[r].Room.Kind == RoomKind.Kitchen);
            if (served > 1)
                yield return Breach(
                    a,
                    $"Circuit {c.Number} serves {served} kitchens; a small-appliance circuit serves one.",
                    Subject.Circuit(c.Number)
                );
        }

        if (
            c is { Circuit.Purpose: CircuitPurpose.SmallAppliance, Load.Split: false, Breaker: > 0 }
            && a.Edition.Ways.Counter == CounterWay.Alternating
            && a.Edition.Number("counterCircuitA").Whole is var whole
            && c.Breaker < whole
        )
            yield return Breach(
                a,
                $"Circuit {c.Number} over the counter is of {c.Breaker} A on two wires; it takes {whole} A, or three wires with split "
                    + "receptacles.",
                Subject.Circuit(c.Number)
            );
        var most = a.Edition.Number("counterReceptaclesMost").Whole;
        if (
            c.Circuit.Purpose == CircuitPurpose.SmallAppliance
            && c.Boxes.Count(b => b.Kind == BoxKind.Receptacle) is var many
            && many > most
        )
            yield return Breach(a, $"Circuit {c.Number} has {many} counter receptacles; {most} are the most.", Subject.Circuit(c.Number));
        foreach (var (box, words) in RequiredCircuit.Guests(a, c, Id))
            yield return Breach(a, words, Subject.Box(box.Id), Subject.Circuit(c.Number));
    }
}
