using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Circuits whose rooms should not share one, by practice; the planner makes none where the house leaves another way.</summary>
internal sealed class CircuitZoneRule : CheckedRule
{
    internal override string Id => "circuit.zone";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var job = a.Job;
        if (job.Panels.Length == 0)
            yield break;
        var number = job.Rooms.Select((r, i) => (r.Id, i)).ToDictionary(r => r.Id, r => r.i);
        var main = a.House.BuildingOf(job.Panels[0].Room);
        var lit = RoomSet.Of(job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light).Select(b => number[b.Room]));
        var counts = job
            .Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && !b.Outside)
            .GroupBy(b => b.Room)
            .ToDictionary(g => g.Key, g => g.Count());
        var rules = new Dictionary<CircuitPurpose, ZoneRules>();
        foreach (var c in a.Circuits)
        {
            var purpose = c.Circuit.Purpose;
            if (purpose is not (CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed))
                continue;
            if (!rules.TryGetValue(purpose, out var zones))
                rules[purpose] = zones = HouseZones.For(purpose, a.House, lit, counts, job.Decisions.Pins);
            var rooms = RoomSet.Of(c.Boxes.Where(b => main.Contains(b.Room) && Counts(job, purpose, b)).Select(b => number[b.Room]));
            if (zones.WhyNot(rooms).ToList() is { Count: > 0 } why)
                yield return Breach(a, $"Circuit {c.Number}, {c.Label}: {string.Join("; ", why)}.", Subject.Circuit(c.Number));
        }
    }

    private static bool Counts(Job job, CircuitPurpose purpose, Box box) =>
        box.Kind switch
        {
            BoxKind.Light => purpose != CircuitPurpose.Receptacles,
            BoxKind.Receptacle or BoxKind.Provision => purpose != CircuitPurpose.Lighting && !box.Outside && !job.KindAt(box).OpenAir(),
            _ => false,
        };
}
