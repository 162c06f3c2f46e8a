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
    /// <param name="chosen">Numbers of the rooms to take, the first being 0.</param>
    /// <returns>The job, or a sentence when a room would lie over one that is there.</returns>
    public static (Job? Job, string Problem) Into(Job job, Underlay under, PicturePlan plan, IReadOnlySet<int> chosen)
    {
        var names = new Dictionary<string, string>();
        foreach (var (i, room) in plan.Rooms.Index())
        {
            if (!chosen.Contains(i))
                continue;
            var name = Names.Next(room.Name, job.Rooms.Select(r => r.Name));
            var id = names[room.Id] = Names.Free(name, job.Rooms.Select(r => r.Id));
            var outline = room.Outline.Select(p => new Point(p.X + under.At.X, p.Y + under.At.Y));
            var made = room with { Id = id, Name = name, Outline = [.. outline] };
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
