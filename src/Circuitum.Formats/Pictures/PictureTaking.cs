using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Pictures;

/// <summary>Takes rooms that were read out of a picture into a job.</summary>
public static class PictureTaking
{
    private const double LeastSqFt = 0.1;

    /// <summary>The job with the chosen rooms, where the picture lies, and with those of their openings that fit.</summary>
    /// <param name="job">The job.</param>
    /// <param name="under">The picture under the storey.</param>
    /// <param name="plan">What was read out of it.</param>
    /// <param name="chosen">
    /// What the rooms to take are called, by their number, the first being 0; an empty name leaves it as it is. The kind is told by the
    /// name.
    /// </param>
    /// <returns>The job, or a sentence when a room would lie over one that is there.</returns>
    public static (Job? Job, string Problem) Into(Job job, Underlay under, PicturePlan plan, IReadOnlyDictionary<int, string> chosen)
    {
        var names = new Dictionary<string, string>();
        foreach (var (i, room) in plan.Rooms.Index())
        {
            if (!chosen.TryGetValue(i, out var called))
                continue;
            var name = Names.Next(called.Length > 0 ? called : room.Name, job.Rooms.Select(r => r.Name));
            var id = names[room.Id] = Names.Free(name, job.Rooms.Select(r => r.Id));
            var outline = room.Outline.Select(p => new Point(p.X + under.At.X, p.Y + under.At.Y));
            var made = room with { Id = id, Name = name, Kind = RoomNames.KindOf(name), Outline = [.. outline] };
            if (job.Rooms.FirstOrDefault(r => r.Storey == made.Storey && HouseShape.OverlapSqFt(r, made) > LeastSqFt) is { } below)
                return (null, $"{room.Name} would lie over {below.Name}. Untick it.");
            job = job with { Rooms = job.Rooms.Add(made) };
        }

        // An opening that does not fit its wall is left for the person to put.
        foreach (var opening in plan.Openings.Where(o => names.ContainsKey(o.Room)))
        {
            var put = opening with
            {
                Id = Names.Free($"{opening.Kind}", job.Openings.Select(o => o.Id)),
                Room = names[opening.Room],
                To = names.GetValueOrDefault(opening.To, Opening.Outside),
            };
            var with = job with { Openings = job.Openings.Add(put) };
            if (JobRules.Check(with).Count == 0)
                job = with;
        }

        return (job, "");
    }
}
