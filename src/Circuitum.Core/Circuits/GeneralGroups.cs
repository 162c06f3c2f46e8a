using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>Groups general lights and receptacles by neighbourhood.</summary>
internal static class GeneralGroups
{
    private const int MostLights = 14;

    // A bath or a closet between two rooms, in feet: they are neighbours all the same.
    private const double Neighbourhood = 9;

    internal static void Lights(CircuitDraft work)
    {
        var loose = work.Loose(CircuitPurpose.Lighting);
        if (loose.Count == 0) return;
        var clusters = Clusters(work.Job, loose);

        // A cluster that touches a switch or light already on a circuit follows it.
        foreach (var cluster in clusters.ToList())
        {
            var lights = cluster.SelectMany(b => b.Gangs).SelectMany(g => g.Lights).Concat(cluster.Select(b => b.Id)).ToHashSet();
            var home = work.Existing(CircuitPurpose.Lighting).FirstOrDefault(n => work.On(n).Any(b => lights.Contains(b.Id) || b.Gangs.Any(g => g.Lights.Any(lights.Contains))));
            if (home == 0) continue;
            foreach (var box in cluster) work.Put(home, box);
            clusters.Remove(cluster);
        }

        var rating = CircuitPlanning.GeneralRating(work.Job.Preferences, CircuitPurpose.Lighting);
        var capacity = rating * 120 * 0.8;
        var alarms = clusters.Where(c => c.All(b => b.Kind == BoxKind.SmokeAlarm)).SelectMany(c => c).ToList();
        foreach (var storey in work.Job.Storeys)
        {
            var here = clusters.Where(c => c.Any(b => b.Kind != BoxKind.SmokeAlarm) && work.House[c[0].Room].Room.Storey == storey.Id).ToList();
            if (here.Count == 0) continue;
            var existing = work.Existing(CircuitPurpose.Lighting).Where(n => work.On(n).Any(b => work.House[b.Room].Room.Storey == storey.Id)).ToList();
            if (existing.Count > 0)
            {
                foreach (var cluster in here)
                {
                    var near = existing.Where(n => Sum(work, work.On(n)) + Sum(work, cluster) <= capacity).OrderBy(n => work.On(n).Min(b => Distance(work, b, cluster[0]))).FirstOrDefault();
                    if (near == 0) existing.Add(near = work.New(CircuitPurpose.Lighting, []));
                    foreach (var box in cluster) work.Put(near, box);
                }

                continue;
            }

            Split(work, here, capacity);
        }

        foreach (var alarm in alarms)
        {
            // All alarms interconnect on one circuit, that of a bedroom's lights, where people notice when it is dead.
            var withAlarms = work.Existing(CircuitPurpose.Lighting).FirstOrDefault(n => work.On(n).Any(b => b.Kind == BoxKind.SmokeAlarm));
            var bedroom = work.Existing(CircuitPurpose.Lighting).FirstOrDefault(n => work.On(n).Any(b => work.House[b.Room].Room.Kind == RoomKind.Bedroom));
            var any = work.Existing(CircuitPurpose.Lighting).FirstOrDefault();
            var to = withAlarms > 0 ? withAlarms : bedroom > 0 ? bedroom : any > 0 ? any : work.New(CircuitPurpose.Lighting, []);
            work.Put(to, alarm);
        }
    }

    // At least two circuits a storey once it has many lights, so that one trip never darkens a whole floor.
    private static void Split(CircuitDraft work, List<List<Box>> clusters, double capacity)
    {
        var lights = clusters.Sum(c => c.Count(b => b.Kind == BoxKind.Light));
        var load = clusters.Sum(c => Sum(work, c));
        var count = Math.Min(clusters.Count, Math.Max(lights > 6 ? 2 : 1, Math.Max((int)Math.Ceiling(load / capacity), (int)Math.Ceiling(lights / (double)MostLights))));
        var points = clusters.Select(c => Places.Of(work.House, c[0])).ToList();
        var wide = points.Max(p => p.X) - points.Min(p => p.X) >= points.Max(p => p.Y) - points.Min(p => p.Y);
        var ordered = clusters.OrderBy(c => wide ? Places.Of(work.House, c[0]).X : Places.Of(work.House, c[0]).Y).ThenBy(c => c[0].Id, StringComparer.Ordinal).ToList();
        var number = 0;
        double done = 0, on = 0;
        var made = 0;
        foreach (var cluster in ordered)
        {
            var own = Sum(work, cluster);
            if (number == 0 || on + own > capacity || (made < count && done + (own / 2) > load * made / count && on > 0))
            {
                number = work.New(CircuitPurpose.Lighting, []);
                made++;
                on = 0;
            }

            foreach (var box in cluster) work.Put(number, box);
            on += own;
            done += own;
        }
    }

    /// <summary>Lights and the switches that control them belong together, and so do all lights of one switch box.</summary>
    private static List<List<Box>> Clusters(Job job, List<Box> boxes)
    {
        var root = boxes.ToDictionary(b => b.Id, b => b.Id);
        foreach (var box in boxes)
        {
            foreach (var light in box.Gangs.SelectMany(g => g.Lights).Where(root.ContainsKey)) root[Find(light)] = Find(box.Id);
        }

        // A fan or a light without a switch goes with its room.
        foreach (var group in boxes.Where(b => b.Kind != BoxKind.SmokeAlarm).GroupBy(b => b.Room))
        {
            var first = group.First().Id;
            foreach (var box in group.Skip(1).Where(b => b.Kind != BoxKind.Switch)) root[Find(box.Id)] = Find(first);
        }

        return [.. boxes.GroupBy(b => Find(b.Id)).Select(g => g.OrderBy(b => b.Kind == BoxKind.Light ? 0 : 1).ThenBy(b => b.Id, StringComparer.Ordinal).ToList()).OrderBy(g => g[0].Id, StringComparer.Ordinal)];

        string Find(string id)
        {
            while (root[id] != id) id = root[id];
            return id;
        }
    }

    private static double Sum(CircuitDraft work, IEnumerable<Box> boxes) => boxes.Sum(b => BoxLoad.Of(work.Job, b).Load.Value);

    private static double Distance(CircuitDraft work, Box a, Box b) => Places.Of(work.House, a).InchesTo(Places.Of(work.House, b));

    internal static void Receptacles(CircuitDraft work, bool mixed)
    {
        var purpose = mixed ? CircuitPurpose.Mixed : CircuitPurpose.Receptacles;
        var loose = work.Loose(CircuitPurpose.Receptacles);
        var rating = CircuitPlanning.GeneralRating(work.Job.Preferences, purpose);
        var most = rating == 15 ? work.Job.Preferences.ReceptaclesPer15 : work.Job.Preferences.ReceptaclesPer20;
        var lights = mixed ? work.Loose(CircuitPurpose.Lighting) : [];
        var rooms = loose.Concat(lights).GroupBy(b => b.Room).Select(g => g.ToList()).ToList();

        // Loose boxes beside a circuit that has room join it: adding one never reshuffles the rest.
        var standing = work.Existing(purpose);
        foreach (var room in rooms.ToList())
        {
            var home = standing.FirstOrDefault(n => work.On(n).Any(b => b.Room == room[0].Room) && Fits(work, n, room, most, rating));
            if (home == 0) continue;
            foreach (var box in room) work.Put(home, box);
            rooms.Remove(room);
        }

        foreach (var storey in work.Job.Storeys)
        {
            var here = rooms.Where(r => work.House[r[0].Room].Room.Storey == storey.Id).OrderByDescending(r => Minor(work, r) ? 0 : 1)
                .ThenBy(r => work.House[r[0].Room].Centre.X).ThenBy(r => r[0].Room, StringComparer.Ordinal).ToList();
            while (here.Count > 0)
            {
                var room = here[0];
                here.RemoveAt(0);
                if (Minor(work, room) && Nearest(work, purpose, room, most, rating) is > 0 and var join)
                {
                    foreach (var box in room) work.Put(join, box);
                    continue;
                }

                var number = 0;
                foreach (var part in room.Chunk(most))
                {
                    number = work.New(purpose, []);
                    foreach (var box in part) work.Put(number, box);
                }

                for (var joined = 1; joined < work.Job.Preferences.RoomsPerCircuit; joined++)
                {
                    var next = here.Where(r => !Minor(work, r) && Fits(work, number, r, most, rating) && Adjoins(work, number, r)).MinBy(r => Distance(work, r[0], room[0]));
                    if (next is null) break;
                    here.Remove(next);
                    foreach (var box in next) work.Put(number, box);
                }
            }
        }
    }

    private static bool Minor(CircuitDraft work, List<Box> room) => room.Count <= 2 && work.House[room[0].Room].Room.Kind is RoomKind.Hallway or RoomKind.Stairs or RoomKind.Closet or RoomKind.Utility or RoomKind.Foyer;

    private static int Nearest(CircuitDraft work, CircuitPurpose purpose, List<Box> room, int most, int rating) => work.Existing(purpose)
        .Where(n => Fits(work, n, room, most, rating) && work.On(n).Any(b => work.House[b.Room].Room.Storey == work.House[room[0].Room].Room.Storey))
        .OrderBy(n => work.On(n).Min(b => Distance(work, b, room[0]))).FirstOrDefault();

    private static bool Fits(CircuitDraft work, int number, List<Box> more, int most, int rating)
    {
        var all = work.On(number).Concat(more).ToList();
        return all.Count(b => b.Kind == BoxKind.Receptacle) <= most && Sum(work, all) <= rating * 120;
    }

    private static bool Adjoins(CircuitDraft work, int number, List<Box> room)
    {
        var shape = work.House[room[0].Room];
        return work.On(number).Select(b => work.House[b.Room]).Distinct().Any(o => o.Room.Storey == shape.Room.Storey
            && Gap(o.MinX, o.MaxX, shape.MinX, shape.MaxX) <= Length.Feet(Neighbourhood) && Gap(o.MinY, o.MaxY, shape.MinY, shape.MaxY) <= Length.Feet(Neighbourhood));
    }

    private static Length Gap(Length aFrom, Length aTo, Length bFrom, Length bTo) => Length.Max(Length.Zero, Length.Max(aFrom - bTo, bFrom - aTo));
}
