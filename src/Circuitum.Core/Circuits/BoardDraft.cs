using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;

namespace Circuitum.Core.Circuits;

/// <summary>Circuits of split boards while they are being filled.</summary>
internal sealed class BoardDraft
{
    /// <summary>The rating of a socket-outlet that is alone on its circuit, in amperes.</summary>
    internal const int LargeSocket = 15;

    private readonly List<Circuit> circuits;
    private readonly Dictionary<string, Box> boxes;
    private readonly HashSet<string> assigned;
    private readonly List<ImmutableArray<Box>> things;

    internal BoardDraft(HouseShape house, CodeEdition edition)
    {
        (House, Edition) = (house, edition);
        circuits = [.. Job.Decisions.Circuits];
        boxes = Job.Decisions.Boxes.ToDictionary(b => b.Id);
        assigned = [.. circuits.SelectMany(c => c.Boxes).Select(b => b.Box)];
        things = Together();
    }

    internal HouseShape House { get; }

    internal CodeEdition Edition { get; }

    private Job Job => House.Job;

    /// <summary>What has no circuit, boxes that stay together as one.</summary>
    internal IEnumerable<ImmutableArray<Box>> Loose() => things.Where(t => !assigned.Contains(t[0].Id));

    internal BoardUse Use(ImmutableArray<Box> thing) => BoardUses.OfCircuit(Job, thing);

    internal double Watts(ImmutableArray<Box> thing) => thing.Sum(b => BoxLoad.Of(Job, b).Load.Value);

    internal int Points(ImmutableArray<Box> thing) => thing.Sum(b => BoardUses.Points(Edition, b));

    internal bool On(ImmutableArray<Box> thing, string storey) => House[thing[0].Room].Room.Storey == storey;

    internal RoomKind Kind(PlacedRoom room) => House[room.Room].Room.Kind;

    /// <summary>Each storey of each building that has something on no circuit.</summary>
    internal List<(string Storey, string Building)> Floors() =>
        [
            .. Job.Storeys.SelectMany(s =>
                Loose().Where(t => On(t, s.Id)).Select(BuildingOf).Distinct().Order(StringComparer.Ordinal).Select(b => (s.Id, b))
            ),
        ];

    /// <summary>A name for the building in which a thing is: no circuit goes from one to another.</summary>
    internal string BuildingOf(ImmutableArray<Box> thing) => House.BuildingOf(thing[0].Room).Min(StringComparer.Ordinal)!;

    /// <summary>The rooms of a storey with what they have of a use and on no circuit, as they follow each other along the floor.</summary>
    internal List<PlacedRoom> Rooms(string storey, string building, BoardUse use)
    {
        var there = Loose().Where(t => On(t, storey) && BuildingOf(t) == building && Use(t) == use).GroupBy(t => t[0].Room).ToList();
        var shapes = there.Select(g => House[g.Key]).ToList();
        if (shapes.Count == 0)
            return [];
        var wide = shapes.Max(s => s.Centre.X.InInches) - shapes.Min(s => s.Centre.X.InInches);
        var deep = shapes.Max(s => s.Centre.Y.InInches) - shapes.Min(s => s.Centre.Y.InInches);
        return
        [
            .. there
                .OrderBy(g => wide >= deep ? House[g.Key].Centre.X : House[g.Key].Centre.Y)
                .ThenBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => new PlacedRoom(
                    g.Key,
                    [.. g],
                    g.Sum(t => use == BoardUse.Sockets ? Points(t) : Watts(t)),
                    House[g.Key].AreaSqFt * Measure.FloorArea.SqMInSqFt
                )),
        ];
    }

    /// <summary>What a room has, each by itself, as it follows along its walls.</summary>
    internal List<PlacedRoom> AroundRoom(PlacedRoom room) =>
        [
            .. room
                .Things.OrderBy(t => t[0].Wall is { } wall ? House[room.Room].ToPerimeter(wall, t[0].Along) : House[room.Room].Perimeter)
                .ThenBy(t => t[0].Id, StringComparer.Ordinal)
                .Select(t => new PlacedRoom(room.Room, [t], Points(t), 0)),
        ];

    /// <summary>Puts what is new beside what stands and takes it: a switch to its lights, a socket to its room.</summary>
    internal void Join()
    {
        foreach (var thing in Loose().ToList())
        {
            var use = Use(thing);
            var held = circuits.Where(c => c.Boxes.Length > 0 && !c.Locked && OfUse(c, use) && SameBuilding(c, thing)).ToList();
            var mate = held.Find(c => c.Boxes.Any(m => Tied(boxes[m.Box], thing)));
            mate ??= use switch
            {
                BoardUse.Sockets when thing.All(b => b.Rating != LargeSocket) => held.Find(c => Room(c, thing) && SameRoom(c, thing)),
                BoardUse.Lighting or BoardUse.GardenLighting => held.Where(c => Light(c, thing))
                    .OrderByDescending(c => SameRoom(c, thing))
                    .ThenBy(c => Load(c))
                    .FirstOrDefault(),
                _ => null,
            };
            if (mate is not null)
                Put(mate, thing);
        }
    }

    internal void Take(List<List<PlacedRoom>> parts)
    {
        foreach (var part in parts)
            New([.. part.SelectMany(r => r.Things)]);
    }

    internal void New(IReadOnlyList<ImmutableArray<Box>> parts)
    {
        Box[] all = [.. parts.SelectMany(t => t)];
        if (all.Length == 0)
            return;
        var circuit = new Circuit
        {
            Number = circuits.Select(c => c.Number).DefaultIfEmpty(0).Max() + 1,
            Purpose = BoardUses.OfCircuit(Job, all) switch
            {
                BoardUse.Lighting or BoardUse.GardenLighting => CircuitPurpose.Lighting,
                BoardUse.Sockets => CircuitPurpose.Receptacles,
                _ => CircuitPurpose.Appliance,
            },
        };
        circuits.Add(circuit);
        Put(circuit, all);
    }

    internal ImmutableArray<Circuit> Result() =>
        [.. circuits.Where(c => c.Boxes.Length > 0 || c.By == Origin.Person).OrderBy(c => c.Number)];

    private void Put(Circuit circuit, IReadOnlyList<Box> more)
    {
        var boxesNow = circuit.Boxes.AddRange(more.Select(b => new CircuitBox { Box = b.Id }));
        assigned.UnionWith(more.Select(b => b.Id));
        Box[] all = [.. boxesNow.Select(b => boxes[b.Box])];
        var ring = circuit.By == Origin.Planner && BoardUses.OfCircuit(Job, all) == BoardUse.Sockets ? IsRing(all) : circuit.Ring;
        circuits[circuits.FindIndex(c => c.Number == circuit.Number)] = circuit with { Boxes = boxesNow, Ring = ring };
    }

    // What a radial does not serve is a ring.
    private bool IsRing(Box[] all)
    {
        var area = all.Select(b => b.Room).Distinct().Sum(r => House[r].AreaSqFt) * Measure.FloorArea.SqMInSqFt;
        var most = (double)Edition.Number("radialAreaSqM");
        return all.Sum(b => BoardUses.Points(Edition, b)) > Edition.Number("radialPointsMost").Whole || (most > 0 && area > most);
    }

    private bool OfUse(Circuit c, BoardUse use) => BoardUses.OfCircuit(Job, c.Boxes.Select(m => boxes[m.Box])) == use;

    private bool SameBuilding(Circuit c, ImmutableArray<Box> thing) => House.BuildingOf(boxes[c.Boxes[0].Box].Room).Contains(thing[0].Room);

    private bool SameRoom(Circuit c, ImmutableArray<Box> thing) => c.Boxes.Any(m => thing.Any(b => b.Room == boxes[m.Box].Room));

    private bool Room(Circuit c, ImmutableArray<Box> thing) =>
        c.Boxes.All(m => boxes[m.Box].Rating != LargeSocket)
        && c.Boxes.Sum(m => BoardUses.Points(Edition, boxes[m.Box])) + Points(thing)
            <= Edition.Number(c.By == Origin.Planner || c.Ring ? "ringPointsMost" : "radialPointsMost").Whole;

    private double Load(Circuit c) => c.Boxes.Sum(m => BoxLoad.Of(Job, boxes[m.Box]).Load.Value);

    private bool Light(Circuit c, ImmutableArray<Box> thing) =>
        Load(c) + Watts(thing) <= Edition.Number("lampMostW")
        && House[boxes[c.Boxes[0].Box].Room].Room.Storey == House[thing[0].Room].Room.Storey;

    private static bool Tied(Box there, ImmutableArray<Box> thing) =>
        thing.Any(b =>
            there.Gangs.Any(g => g.Lights.Contains(b.Id))
            || b.Gangs.Any(g => g.Lights.Contains(there.Id) || g.Lights.Any(l => there.Gangs.Any(x => x.Lights.Contains(l))))
        );

    // A switch and its lights, and switches that work the same lights, are one thing.
    private List<ImmutableArray<Box>> Together()
    {
        var loose = Job.Decisions.Boxes.Where(b => b.Serves is null && !assigned.Contains(b.Id)).ToList();
        var group = loose.ToDictionary(b => b.Id, b => b.Id);
        string Find(string id)
        {
            while (group[id] != id)
                id = group[id];
            return id;
        }

        foreach (var box in loose)
        {
            foreach (var light in box.Gangs.SelectMany(g => g.Lights).Where(group.ContainsKey))
                group[Find(box.Id)] = Find(light);
        }

        return [.. loose.GroupBy(b => Find(b.Id)).Select(g => g.OrderBy(b => b.Kind == BoxKind.Light ? 0 : 1).ToImmutableArray())];
    }
}
