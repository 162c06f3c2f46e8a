using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Entry;

/// <summary>A typed list while its lines are taken into the job one by one.</summary>
/// <param name="job">The job as it was.</param>
/// <param name="storey">The storey.</param>
/// <param name="wrong">Lines that could not be read.</param>
internal sealed class ListUnderWay(Job job, string storey, List<string> wrong)
{
    private readonly Dictionary<int, string> rooms = [];
    private readonly List<LineProblem> problems = [];

    /// <summary>The job so far.</summary>
    internal Job Job { get; private set; } = job;

    /// <summary>The storey.</summary>
    internal string Storey => storey;

    /// <summary>What is wrong so far.</summary>
    internal List<LineProblem> Problems => problems;

    /// <summary>The room that was made last, or the last of the storey.</summary>
    internal Room? Last { get; private set; } = job.Rooms.LastOrDefault(r => r.Storey == storey);

    /// <summary>The room of a line; none when it could not be made.</summary>
    internal Room? RoomOf(RoomLine line) =>
        rooms.TryGetValue(line.Number, out var id) ? Job.RoomById(id)
        : line.Size is null ? Named(storey, line.Name).FirstOrDefault()
        : null;

    /// <summary>Takes a room in.</summary>
    internal void Add(RoomLine line, Room room)
    {
        Job = Job with { Rooms = Job.Rooms.Add(room) };
        rooms[line.Number] = room.Id;
        Last = room;
    }

    /// <summary>Takes a change in if the document stays right; else tells what is wrong with the line.</summary>
    internal bool Try(RoomLine line, string field, Job changed)
    {
        if (JobRules.Check(changed) is [var first, ..])
            return Wrong(line, field, first.Sentence);
        Job = changed;
        return true;
    }

    /// <summary>Notes what is wrong with a line.</summary>
    internal bool Wrong(RoomLine line, string field, string sentence)
    {
        problems.Add(new(line.Number, JobRules.Short(field), sentence));
        return false;
    }

    /// <summary>The room that a line names: by its whole name, else by how it begins where only one does.</summary>
    internal Room? Find(RoomLine line, string field, string name, string? on = null)
    {
        if (Named(on ?? storey, name) is [.., var found])
            return found;
        Wrong(
            line,
            field,
            wrong.Exists(w => w.StartsWith(name, StringComparison.OrdinalIgnoreCase))
                ? $"the line of {JobRules.Short(name)} has to be right first."
                : $"there is no room called '{JobRules.Short(name)}'. There are: {Known(on ?? storey)}."
        );
        return null;
    }

    /// <summary>Gives the line's room its usual furniture.</summary>
    internal void Furnish(RoomLine line)
    {
        if (RoomOf(line) is not { } room)
            return;
        var (changed, problem) = Furnishing.Of(Job, room.Id);
        if (changed is null)
            Wrong(line, "furnished", problem);
        else
            Try(line, "furnished", changed);
    }

    private string Known(string on)
    {
        var names = Job.Rooms.Where(r => r.Storey == on).Select(r => JobRules.Short(r.Name)).Distinct().ToList();
        return names.Count == 0 ? "none yet" : string.Join(", ", names.TakeLast(12));
    }

    private List<Room> Named(string on, string name)
    {
        var here = Job.Rooms.Where(r => r.Storey == on).ToList();
        var whole = here.FindAll(r => r.Name.Equals(name, StringComparison.OrdinalIgnoreCase));
        if (whole.Count > 0)
            return whole;
        var begun = here.FindAll(r => r.Name.StartsWith(name, StringComparison.OrdinalIgnoreCase));
        return begun.Count == 1 ? begun : [];
    }
}
