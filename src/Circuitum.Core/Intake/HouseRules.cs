using System.Text.RegularExpressions;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Intake;

/// <summary>The rules of the document for walls, ceilings, wishes and traced pictures.</summary>
internal static partial class HouseRules
{
    private const int MostWalls = 2000;
    private const int MostWishes = 500;

    internal static void Check(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        Rooms(job, problems);
        Walls(job, shapes, problems);
        Wishes(job, shapes, problems);
        Underlays(job, problems);
        foreach (var (opening, i) in job.Openings.Select((o, i) => (o, i)))
        {
            if (opening.Sill is { } sill)
                JobRules.Range($"openings[{i}].sill", sill, Length.Zero, Length.Feet(20), problems);
            if (opening.Head is { } head)
                JobRules.Range($"openings[{i}].head", head, Length.Feet(1), Length.Feet(40), problems);
            if (opening.Foot >= opening.Top && (opening.Head is not null || opening.Sill is not null))
                problems.Add(
                    new(
                        $"openings[{i}].head",
                        $"The head, at {LengthText.Show(opening.Top, job.Units)}, is not over the sill, at "
                            + $"{LengthText.Show(opening.Foot, job.Units)}."
                    )
                );
        }

        foreach (var (fixture, i) in job.Fixtures.Select((f, i) => (f, i)))
        {
            if (fixture.Bottom is { } bottom)
                JobRules.Range($"fixtures[{i}].bottom", bottom, Length.Zero, Length.Feet(40), problems);
        }
    }

    private static void Rooms(Job job, List<Problem> problems)
    {
        foreach (var (storey, i) in job.Storeys.Select((s, i) => (s, i)))
        {
            if (storey.Ceiling is { } ceiling)
                JobRules.Range($"storeys[{i}].ceiling", ceiling, Length.Feet(4), Length.Feet(40), problems);
        }

        foreach (var (room, i) in job.Rooms.Select((r, i) => (r, i)))
        {
            if (room.JoistDepth is { } joist)
                JobRules.Range($"rooms[{i}].joistDepth", joist, Length.Inches(3), Length.Inches(36), problems);
            if (room.ShelfDepth is { } shelf)
                JobRules.Range($"rooms[{i}].shelfDepth", shelf, Length.Inches(4), Length.Inches(48), problems);
            if (room.Risers is { } risers)
                JobRules.Range($"rooms[{i}].risers", risers, 1, 40, problems);
        }
    }

    private static void Walls(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        if (job.Walls.Length > MostWalls)
            problems.Add(new("walls", $"There are {job.Walls.Length:#,0}; a job holds {MostWalls:#,0} at most."));
        var seen = new HashSet<(string, int)>();
        foreach (var (wall, i) in job.Walls.Take(MostWalls).Select((w, i) => (w, i)))
        {
            var field = $"walls[{i}]";
            if (!shapes.TryGetValue(wall.Room, out var shape))
                problems.Add(new($"{field}.room", $"There is no room '{JobRules.Short(wall.Room)}'."));
            else if (!JobRules.OnWall(field, shape, job.Units, wall.Wall, Length.Zero, Length.Zero, problems))
                continue;
            else if (!seen.Add((wall.Room, wall.Wall)))
                problems.Add(new(field, $"Wall {wall.Wall} of {JobRules.Short(shape.Room.Name)} is stated twice."));
            if (wall.StudSpacing is { } spacing)
                JobRules.Range($"{field}.studSpacing", spacing, Length.Inches(8), Length.Inches(48), problems);
            if (wall.Thickness is { } thick)
                JobRules.Range($"{field}.thickness", thick, Length.Inches(1), Length.Inches(24), problems);
            if (wall.ChaseHeight is { } height)
                JobRules.Range($"{field}.chaseHeight", height, Length.Inches(4), Length.Feet(10), problems);
            if (wall.ChaseStations is { } stations)
                JobRules.Range($"{field}.chaseStations", stations, Length.Feet(1), Length.Feet(20), problems);
        }
    }

    private static void Wishes(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        if (job.Wishes.Length > MostWishes)
            problems.Add(new("wishes", $"There are {job.Wishes.Length:#,0}; a job holds {MostWishes:#,0} at most."));
        JobRules.Ids("wishes", job.Wishes.Take(MostWishes).Select(w => w.Id), problems);
        foreach (var (wish, i) in job.Wishes.Take(MostWishes).Select((w, i) => (w, i)))
        {
            JobRules.Text($"wishes[{i}].note", wish.Note, JobRules.LongestName, problems);
            if (!shapes.TryGetValue(wish.Room, out var shape))
                problems.Add(new($"wishes[{i}].room", $"There is no room '{JobRules.Short(wish.Room)}'."));
            else if (wish.At.X < shape.MinX || wish.At.X > shape.MaxX || wish.At.Y < shape.MinY || wish.At.Y > shape.MaxY)
                problems.Add(new($"wishes[{i}].at", $"It does not lie inside {JobRules.Short(shape.Room.Name)}."));
        }
    }

    private static void Underlays(Job job, List<Problem> problems)
    {
        foreach (var (under, i) in job.Underlays.Select((u, i) => (u, i)))
        {
            var field = $"underlays[{i}]";
            if (job.StoreyById(under.Storey) is null)
                problems.Add(new($"{field}.storey", $"There is no storey '{JobRules.Short(under.Storey)}'."));
            if (job.Underlays.Count(u => u.Storey == under.Storey) > 1)
                problems.Add(new(field, "A storey has one picture under it at most."));
            if (!Hash().IsMatch(under.Picture))
                problems.Add(new($"{field}.picture", "A picture is named by 64 hexadecimal digits."));
            JobRules.Range($"{field}.width", under.Width, Length.Inches(1), Length.Feet(2000), problems);
            JobRules.Range($"{field}.height", under.Height, Length.Inches(1), Length.Feet(2000), problems);
            JobRules.Range($"{field}.strength", under.Strength, 0, 100, problems);
            if (under.At.X.Abs() > JobRules.Farthest || under.At.Y.Abs() > JobRules.Farthest)
                problems.Add(new($"{field}.at", $"It lies over {LengthText.Far(JobRules.Farthest, job.Units)} from the origin."));
        }
    }

    [GeneratedRegex("^[0-9a-f]{64}$", RegexOptions.CultureInvariant)]
    private static partial Regex Hash();
}
