using System.Text.RegularExpressions;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Intake;

/// <summary>
/// The door that every document passes before anything is worked out from it: limits on counts and sizes, references
/// that lead somewhere, shapes that are shapes. What passes here never makes the analysis fail.
/// </summary>
public static partial class JobRules
{
    /// <summary>Most rooms in a job.</summary>
    public const int MostRooms = 500;

    /// <summary>Most storeys in a job.</summary>
    public const int MostStoreys = 12;

    /// <summary>Most openings in a job.</summary>
    public const int MostOpenings = 2500;

    /// <summary>Most boxes in a job.</summary>
    public const int MostBoxes = 6000;

    /// <summary>Most corners of a room's outline.</summary>
    public const int MostCorners = 64;

    private const int MostStarters = 20;

    /// <summary>Most circuits in a job.</summary>
    public const int MostCircuits = 500;

    /// <summary>Most appliances, counters or fixtures in a job, each.</summary>
    public const int MostThings = 2000;

    /// <summary>Most characters in a name.</summary>
    public const int LongestName = 120;

    // No panel's label names more.
    private const int MostFamilies = 12;

    /// <summary>Farthest a corner may lie from the origin.</summary>
    public static readonly Length Farthest = Length.Feet(1000);

    private const int MostProblems = 20;

    /// <summary>What is wrong with a job; empty when it can be worked with.</summary>
    public static IReadOnlyList<Problem> Check(Job job)
    {
        var problems = new List<Problem>();
        CheckHead(job, problems);
        CheckCounts(job, problems);
        if (problems.Count > 0)
            return problems;
        CheckIds(job, problems);
        CheckRooms(job, problems);
        if (problems.Count > 0)
            return Cut(problems);
        CheckExtents(job, problems);
        if (problems.Count > 0)
            return Cut(problems);
        var shapes = job.Rooms.ToDictionary(r => r.Id, r => new RoomShape(r));
        CheckOpenings(job, shapes, problems);
        CheckThings(job, shapes, problems);
        HouseRules.Check(job, shapes, problems);
        DecisionRules.Check(job, shapes, problems);
        StockRules.Check(job, problems);
        return Cut(problems);
    }

    /// <summary>What is wrong with a company's document; empty when it can be worked with.</summary>
    public static IReadOnlyList<Problem> Check(Company company)
    {
        var problems = new List<Problem>();
        Text("name", company.Name, LongestName, problems);
        if (company.Starters.Length > MostStarters)
            problems.Add(new("starters", $"There are {company.Starters.Length}; a company keeps {MostStarters} at most."));
        foreach (var (starter, i) in company.Starters.Take(MostStarters).Select((s, i) => (s, i)))
        {
            if (string.IsNullOrWhiteSpace(starter.Name))
                problems.Add(new($"starters[{i}].name", "Say what the house is called."));
            problems.AddRange(Check(starter.House).Take(1).Select(p => new Problem($"starters[{i}].{p.Field}", p.Sentence)));
        }

        CheckHead(
            new Job
            {
                Name = "company",
                Preferences = company.Preferences,
                Amendments = company.Amendments,
            },
            problems
        );
        return Cut(problems);
    }

    private static IReadOnlyList<Problem> Cut(List<Problem> problems) =>
        problems.Count <= MostProblems
            ? problems
            : [.. problems.Take(MostProblems), new Problem("", $"and {problems.Count - MostProblems} more")];

    private static void CheckHead(Job job, List<Problem> problems)
    {
        if (job.Format != Job.FormatName)
            problems.Add(new("format", $"This is not a job file; its format must be \"{Job.FormatName}\"."));
        if (job.Version != Job.FormatVersion)
            problems.Add(new("version", $"Version {job.Version} is not known here; this program reads version {Job.FormatVersion}."));
        if (string.IsNullOrWhiteSpace(job.Name))
            problems.Add(new("name", "Give the job a name."));
        Text("name", job.Name, LongestName, problems);
        Text("buildersTold", job.BuildersTold ?? "", LongestName, problems);
        Text("place", job.Place, 400, problems);
        if (!CodeLibrary.Editions.ContainsKey(job.CodeEdition))
            problems.Add(
                new(
                    "codeEdition",
                    $"'{Short(job.CodeEdition)}' is not shipped. Use one of: {string.Join(", ", CodeLibrary.Editions.Keys.Order())}."
                )
            );
        AmendmentRules.Check(job, problems);
        Range("frame.partition", job.Frame.Partition, Length.Inches(1), Length.Inches(12), problems);
        Range("frame.outsideWall", job.Frame.OutsideWall, Length.Inches(3), Length.Inches(16), problems);
        Range("frame.studSpacing", job.Frame.StudSpacing, Length.Inches(8), Length.Inches(48), problems);
        var p = job.Preferences;
        if (p.TerminationC is not (60 or 75))
            problems.Add(new("preferences.terminationC", "Terminals are rated 60 or 75 C."));
        foreach (var field in PreferenceFields.All)
        {
            if (field.Write(p, field.Read(p)).Problem is { Length: > 0 } problem)
                problems.Add(
                    new(
                        field.Key.StartsWith("weight.", StringComparison.Ordinal)
                            ? $"preferences.weights.{field.Key[7..]}"
                            : $"preferences.{field.Key}",
                        problem
                    )
                );
        }
    }

    private static void CheckCounts(Job job, List<Problem> problems)
    {
        Count("storeys", job.Storeys.Length, MostStoreys, problems);
        Count("rooms", job.Rooms.Length, MostRooms, problems);
        Count("openings", job.Openings.Length, MostOpenings, problems);
        Count("counters", job.Counters.Length, MostThings, problems);
        Count("fixtures", job.Fixtures.Length, MostThings, problems);
        Count("appliances", job.Appliances.Length, MostThings, problems);
        Count("panels", job.Panels.Length, 8, problems);
        Count("decisions.boxes", job.Decisions.Boxes.Length, MostBoxes, problems);
        Count("decisions.refused", job.Decisions.Refused.Length, MostBoxes, problems);
        Count("decisions.circuits", job.Decisions.Circuits.Length, MostCircuits, problems);
        Count("decisions.spaces", job.Decisions.Spaces.Length, MostCircuits, problems);
    }

    private static void CheckIds(Job job, List<Problem> problems)
    {
        Ids("storeys", job.Storeys.Select(s => s.Id), problems);
        Ids("rooms", job.Rooms.Select(r => r.Id), problems);
        Ids("openings", job.Openings.Select(o => o.Id), problems);
        Ids("counters", job.Counters.Select(c => c.Id), problems);
        Ids("fixtures", job.Fixtures.Select(f => f.Id), problems);
        Ids("appliances", job.Appliances.Select(a => a.Id), problems);
        Ids("panels", job.Panels.Select(p => p.Id), problems);
        Ids("decisions.boxes", job.Decisions.Boxes.Select(b => b.Id), problems);
    }

    /// <summary>A text cut to what a sentence can hold.</summary>
    public static string Short(string text) => text.Length > 40 ? text[..40] + "..." : text;

    internal static void Text(string field, string? text, int longest, List<Problem> problems)
    {
        if (text is null)
            return;
        if (text.Length > longest)
            problems.Add(new(field, $"It has {text.Length} characters; the most is {longest}."));
        if (text.Any(char.IsControl))
            problems.Add(new(field, "It holds a control character. Use plain text on one line."));
    }

    internal static void Range(string field, int value, int least, int most, List<Problem> problems)
    {
        if (value < least || value > most)
            problems.Add(new(field, $"{value} is outside {least} to {most}."));
    }

    internal static void Range(string field, Length value, Length least, Length most, List<Problem> problems)
    {
        if (value < least || value > most)
            problems.Add(new(field, $"{LengthText.Show(value)} is outside {LengthText.Show(least)} to {LengthText.Show(most)}."));
    }

    private static void Count(string field, int count, int most, List<Problem> problems)
    {
        if (count > most)
            problems.Add(new(field, $"There are {count:#,0}; a job holds {most:#,0} at most."));
    }

    internal static void Ids(string field, IEnumerable<string> ids, List<Problem> problems)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (id, i) in ids.Select((id, i) => (id, i)))
        {
            if (!IdPattern().IsMatch(id))
                problems.Add(
                    new($"{field}[{i}].id", "An id has 1 to 60 small letters, digits, dots or dashes and starts with a letter or digit.")
                );
            else if (!seen.Add(id))
                problems.Add(new($"{field}[{i}].id", $"The id '{id}' is used twice."));
        }
    }

    [GeneratedRegex("^[a-z0-9][a-z0-9.-]{0,59}$", RegexOptions.CultureInvariant)]
    private static partial Regex IdPattern();
}
