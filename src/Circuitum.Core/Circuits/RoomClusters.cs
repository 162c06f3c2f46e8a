using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;

namespace Circuitum.Core.Circuits;

/// <summary>Boxes that stay on one circuit: what lights a room, and lights with the switches that control them.</summary>
internal static class RoomClusters
{
    // What lights a room stays whole: its lights, switches and fans, with its closets, its own bath and the porch that is switched
    // from it, as long as one circuit holds them. What a person put somewhere is left there by itself.
    internal static IEnumerable<ImmutableArray<Box>> ByRoom(
        Job job,
        IEnumerable<ImmutableArray<Box>> clusters,
        CircuitPurpose purpose,
        Func<Box, bool> held
    )
    {
        var all = clusters.ToList();
        var free = all.Where(c =>
                !c.Any(held) && (purpose != CircuitPurpose.Mixed || c.All(b => b.Kind is not (BoxKind.Receptacle or BoxKind.Provision)))
            )
            .ToList();
        var root = Enumerable.Range(0, free.Count).ToArray();
        foreach (var room in free.SelectMany((c, i) => c.Select(b => (b.Room, i))).GroupBy(x => x.Room, x => x.i))
        {
            foreach (var i in room)
                root[Find(i)] = Find(room.First());
        }

        foreach (var (room, host) in HouseZones.Hosts(job))
        {
            var (part, whole) = (free.FindIndex(c => c.Any(b => b.Room == room)), free.FindIndex(c => c.Any(b => b.Room == host)));
            if (
                part < 0
                || whole < 0
                || Find(part) == Find(whole)
                || job.Decisions.Pins.Any(p => p.Kind == PinKind.Apart && p.Names(room) && p.Names(host))
            )
                continue;
            var lights = free.Where((_, i) => Find(i) == Find(part) || Find(i) == Find(whole))
                .Sum(c => c.Count(b => b.Kind == BoxKind.Light));
            if (lights <= GeneralGroups.MostLights)
                root[Find(part)] = Find(whole);
        }

        var rooms = free.Select((c, i) => (c, Root: Find(i))).GroupBy(x => x.Root, x => x.c).Select(g => g.SelectMany(c => c));
        return all.Except(free).Concat(rooms.Select(Sorted)).OrderBy(t => t[0].Id, StringComparer.Ordinal);

        int Find(int i)
        {
            while (root[i] != i)
                i = root[i];
            return i;
        }
    }

    // A light first, and of the lights one of the room that has most.
    private static ImmutableArray<Box> Sorted(IEnumerable<Box> boxes)
    {
        var all = boxes.ToList();
        var lights = all.Where(b => b.Kind == BoxKind.Light).GroupBy(b => b.Room).ToDictionary(g => g.Key, g => g.Count());
        return
        [
            .. all.OrderBy(b => b.Kind == BoxKind.Light ? 0 : 1)
                .ThenByDescending(b => lights.GetValueOrDefault(b.Room))
                .ThenBy(b => b.Id, StringComparer.Ordinal),
        ];
    }

    internal static bool Outdoors(Job job, Box box) => box.Kind == BoxKind.Receptacle && (box.Outside || job.KindAt(box).OpenAir());

    internal static bool Heavy(Box box) => box.Kind == BoxKind.Receptacle && box.VoltAmperes >= BoxLoad.HeavyVa;

    // Lights and the switches that control them belong together, and so do all lights of one switch box. A receptacle is by itself.
    internal static IEnumerable<ImmutableArray<Box>> Clusters(List<Box> boxes)
    {
        var root = boxes.ToDictionary(b => b.Id, b => b.Id);
        foreach (var box in boxes)
        {
            foreach (var light in box.Gangs.SelectMany(g => g.Lights).Where(root.ContainsKey))
                root[Find(light)] = Find(box.Id);
        }

        // A fan or a light without a switch goes with its room.
        foreach (var group in boxes.Where(b => b.Kind is not (BoxKind.Receptacle or BoxKind.Provision)).GroupBy(b => b.Room))
        {
            var first = group.First().Id;
            foreach (var box in group.Skip(1).Where(b => b.Kind != BoxKind.Switch))
                root[Find(box.Id)] = Find(first);
        }

        return boxes.GroupBy(b => Find(b.Id)).Select(Sorted).OrderBy(g => g[0].Id, StringComparer.Ordinal);

        string Find(string id)
        {
            while (root[id] != id)
                id = root[id];
            return id;
        }
    }
}
