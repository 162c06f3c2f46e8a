using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Entry;

/// <summary>
/// Rooms typed a line each: <c>Kitchen 14-6 x 16 e of Great room, door to Hall, 2 windows n</c>. A line without a size is of a room that is
/// there. Rooms are made first, then closets in them, openings, furniture, so that a line may name a room that comes later.
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
        var read = Read(job, storey, lines, reader);
        var list = new ListUnderWay(job, storey, [.. reader.Problems], read.Wrong);
        foreach (var line in read.Lines.Where(l => l.Size is not null))
            RoomPlacer.Place(list, line);
        foreach (var (line, part) in Parts<NookPart>(read.Lines))
            NookMaker.Make(list, line, part);
        foreach (var (line, part) in Parts<OpeningPart>(read.Lines))
            OpeningMaker.Make(list, line, part);
        foreach (var (line, _) in Parts<FurnishedPart>(read.Lines))
            list.Furnish(line);
        foreach (var (line, part) in Parts<ThingPart>(read.Lines).OrderBy(p => p.Part.Word == WallThings.SubPanel))
            ThingMaker.Make(list, line, part);
        return (list.Job, [.. list.Problems.OrderBy(p => p.Line)]);
    }

    private static (List<RoomLine> Lines, List<string> Wrong) Read(
        Job job,
        string storey,
        IReadOnlyList<string> texts,
        RoomLineReader reader
    )
    {
        var (lines, wrong) = (new List<RoomLine>(), new List<string>());
        var known = job.Rooms.Where(r => r.Storey == storey).Select(r => r.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        foreach (var (index, text) in texts.Index())
        {
            var before = reader.Problems.Count;
            if (reader.Read(index + 1, text, known.Contains) is { } line)
            {
                lines.Add(line);
                known.Add(line.Name);
            }
            else if (reader.Problems.Count > before)
                wrong.Add(text);
        }

        return (lines, wrong);
    }

    private static IEnumerable<(RoomLine Line, T Part)> Parts<T>(List<RoomLine> lines)
        where T : LinePart => lines.SelectMany(l => l.Parts.OfType<T>().Select(p => (l, p)));
}
