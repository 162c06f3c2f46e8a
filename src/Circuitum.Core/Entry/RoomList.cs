using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>
/// Rooms typed a line each: <c>Kitchen 14-6 x 16 e of Great room, door to Hall, 2 windows n</c>. A line without a size is of a room that is
/// there. Rooms are made first, then closets in them, openings, furniture, so that a line may name a room that
/// comes later. A line <c>storey Attic 9</c> begins another storey.
/// </summary>
public static class RoomList
{
    /// <summary>A line that is good.</summary>
    public const string Example = RoomLineReader.Example;

    /// <summary>Lines of a list at most.</summary>
    public const int MostLines = 200;

    /// <summary>Letters of a line at most.</summary>
    public const int LongestLine = 300;

    /// <summary>The job with all lines that are right, and what is wrong with the others.</summary>
    /// <param name="job">The job.</param>
    /// <param name="storey">The storey.</param>
    /// <param name="lines">The lines.</param>
    public static (Job Job, ImmutableArray<LineProblem> Problems) Take(Job job, string storey, IReadOnlyList<string> lines)
    {
        if (lines.Count > MostLines)
            return (job, [new(MostLines + 1, "list", $"it has more than {MostLines} lines. Type the rest as a second list.")]);
        if (lines.Index().FirstOrDefault(l => l.Item.Length > LongestLine) is { Item: not null } tooLong)
            return (
                job,
                [new(tooLong.Index + 1, "line", $"it has more than {LongestLine} letters. Begin a new line with the room's name.")]
            );
        var reader = new RoomLineReader(job.Units);
        var (from, problems) = (0, ImmutableArray.CreateBuilder<LineProblem>());
        for (var to = 0; to <= lines.Count; to++)
        {
            var next = to < lines.Count ? reader.ReadStorey(to + 1, lines[to]) : null;
            if (to < lines.Count && next is null)
                continue;
            (job, var wrong) = TakeStorey(job, storey, lines, from, to, reader);
            problems.AddRange(wrong);
            from = to + 1;
            if (next is not var (name, floor))
                continue;
            (job, storey) = Open(job, name, floor);
        }

        return (job, [.. problems.Concat(reader.Problems).Distinct().OrderBy(p => p.Line)]);
    }

    // A storey that is there goes on, another one is new.
    private static (Job Job, string Storey) Open(Job job, string name, Length floor)
    {
        if (job.Storeys.FirstOrDefault(s => s.Name.Equals(name, StringComparison.OrdinalIgnoreCase)) is { } there)
            return (job, there.Id);
        var made = new Storey
        {
            Id = Names.Free(name, job.Storeys.Select(s => s.Id)),
            Name = name,
            Floor = floor,
        };
        return (job with { Storeys = job.Storeys.Add(made) }, made.Id);
    }

    private static (Job Job, IReadOnlyList<LineProblem> Problems) TakeStorey(
        Job job,
        string storey,
        IReadOnlyList<string> lines,
        int from,
        int to,
        RoomLineReader reader
    )
    {
        var (read, wrong) = (new List<RoomLine>(), new List<string>());
        var known = job.Rooms.Where(r => r.Storey == storey).Select(r => r.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        for (var i = from; i < to; i++)
        {
            var before = reader.Problems.Count;
            if (reader.Read(i + 1, lines[i], known.Contains) is { } line)
            {
                read.Add(line);
                known.Add(line.Name);
            }
            else if (reader.Problems.Count > before)
                wrong.Add(lines[i]);
        }

        var list = new ListUnderWay(job, storey, wrong);
        foreach (var line in read.Where(l => l.Size is not null))
            RoomPlacer.Place(list, line);
        foreach (var (line, part) in Parts<NookPart>(read))
            NookMaker.Make(list, line, part);
        foreach (var (line, part) in Parts<OpeningPart>(read))
            OpeningMaker.Make(list, line, part);
        foreach (var (line, _) in Parts<FurnishedPart>(read))
            list.Furnish(line);
        foreach (var (line, part) in Parts<ThingPart>(read).OrderBy(p => p.Part.Word == WallThings.SubPanel))
            ThingMaker.Make(list, line, part);
        return (list.Job, list.Problems);
    }

    private static IEnumerable<(RoomLine Line, T Part)> Parts<T>(List<RoomLine> lines)
        where T : LinePart => lines.SelectMany(l => l.Parts.OfType<T>().Select(p => (l, p)));
}
