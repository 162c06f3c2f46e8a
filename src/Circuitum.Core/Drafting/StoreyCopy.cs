using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Drafting;

/// <summary>Makes a further storey out of one that is there.</summary>
public static class StoreyCopy
{
    /// <summary>
    /// Copies rooms with their openings, walls, counters and fixtures. Appliances, the panel and decisions stay where they are.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="from">The storey to copy.</param>
    /// <param name="copy">The new storey.</param>
    public static Job Make(Job job, string from, Storey copy)
    {
        var ids = job.Rooms.Select(r => r.Id).ToHashSet();
        var names = new Dictionary<string, string>();
        foreach (var room in job.Rooms.Where(r => r.Storey == from))
            ids.Add(names[room.Id] = Names.Free(room.Id, ids));
        return job with
        {
            Storeys = job.Storeys.Add(copy),
            Rooms = [.. job.Rooms, .. job.Rooms.Where(r => r.Storey == from).Select(r => r with { Id = names[r.Id], Storey = copy.Id })],
            Openings = More(
                job.Openings,
                o => names.ContainsKey(o.Room),
                o => o.Id,
                (o, id) => o with { Id = id, Room = names[o.Room], To = o.To == Opening.Outside ? o.To : names[o.To] }
            ),
            Counters = More(job.Counters, c => names.ContainsKey(c.Room), c => c.Id, (c, id) => c with { Id = id, Room = names[c.Room] }),
            Fixtures = More(job.Fixtures, c => names.ContainsKey(c.Room), c => c.Id, (c, id) => c with { Id = id, Room = names[c.Room] }),
            Walls = [.. job.Walls, .. job.Walls.Where(w => names.ContainsKey(w.Room)).Select(w => w with { Room = names[w.Room] })],
        };

        ImmutableArray<T> More<T>(ImmutableArray<T> all, Func<T, bool> which, Func<T, string> id, Func<T, string, T> to)
        {
            var taken = all.Select(id).ToHashSet();
            var added = new List<T>();
            foreach (var x in all.Where(which))
            {
                var name = Names.Free(id(x), taken);
                taken.Add(name);
                added.Add(to(x, name));
            }

            return [.. all, .. added];
        }
    }
}
