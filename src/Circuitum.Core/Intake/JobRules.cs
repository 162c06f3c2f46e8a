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
    public const int MostRooms = 150;

    /// <summary>Most storeys in a job.</summary>
    public const int MostStoreys = 12;

    /// <summary>Most openings in a job.</summary>
    public const int MostOpenings = 800;

    /// <summary>Most boxes in a job.</summary>
    public const int MostBoxes = 1200;

    /// <summary>Most corners of a room's outline.</summary>
    public const int MostCorners = 64;

    /// <summary>Most circuits in a job.</summary>
    public const int MostCircuits = 150;

    /// <summary>Most appliances, counters or fixtures in a job, each.</summary>
    public const int MostThings = 1000;

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
        return Cut(problems);
    }

    /// <summary>What is wrong with a company's document; empty when it can be worked with.</summary>
    public static IReadOnlyList<Problem> Check(Company company)
    {
        var problems = new List<Problem>();
        Text("name", company.Name, LongestName, problems);
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

    private static void CheckOpenings(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        var held = new List<(string Room, int Wall, Length From, Length To, string Field)>();
        foreach (var (opening, i) in job.Openings.Select((o, i) => (o, i)))
        {
            var field = $"openings[{i}]";
            if (!shapes.TryGetValue(opening.Room, out var shape))
            {
                problems.Add(new($"{field}.room", $"There is no room '{Short(opening.Room)}'."));
                continue;
            }

            if (!OnWall(field, shape, opening.Wall, opening.From, opening.Width, problems))
                continue;
            held.Add((opening.Room, opening.Wall, opening.From, opening.From + opening.Width, field));
            if (opening.To == Opening.Outside)
                continue;
            if (!shapes.TryGetValue(opening.To, out var beyond))
                problems.Add(
                    new($"{field}.to", $"There is no room '{Short(opening.To)}'; an opening to the open air leads to \"outside\".")
                );
            else if (beyond.Room.Storey != shape.Room.Storey)
                problems.Add(new($"{field}.to", $"{Short(beyond.Room.Name)} is on another storey."));
            else if (HouseShape.Mirror(opening, shape, beyond) is { } other)
                held.Add((opening.To, other.Wall, other.From, other.To, field));
            else
                problems.Add(
                    new(
                        $"{field}.to",
                        $"{Short(beyond.Room.Name)} has no wall right behind this opening. Move the opening or one of the two rooms."
                    )
                );
        }

        foreach (var wall in held.GroupBy(h => (h.Room, h.Wall)))
        {
            var inOrder = wall.OrderBy(h => h.From).ToList();
            for (var n = 1; n < inOrder.Count; n++)
            {
                if (inOrder[n].From < inOrder[n - 1].To)
                    problems.Add(
                        new(
                            $"{inOrder[n].Field}.from",
                            $"It overlaps the opening at {LengthText.Show(inOrder[n - 1].From)} on the same wall of "
                                + $"{Short(shapes[wall.Key.Room].Room.Name)}."
                        )
                    );
            }
        }
    }

    private static void CheckThings(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        foreach (var (counter, i) in job.Counters.Select((c, i) => (c, i)).Where(c => c.c.Peninsula && c.c.Spot.Wall is null))
            problems.Add(new($"counters[{i}].peninsula", "A peninsula stands out from a wall; one that stands free is an island."));
        foreach (var (counter, i) in job.Counters.Select((c, i) => (c, i)))
            CheckSpot($"counters[{i}]", counter.Room, counter.Spot, shapes, problems);
        foreach (var (fixture, i) in job.Fixtures.Select((f, i) => (f, i)))
            CheckSpot($"fixtures[{i}]", fixture.Room, fixture.Spot, shapes, problems);
        foreach (var (appliance, i) in job.Appliances.Select((a, i) => (a, i)))
        {
            var field = $"appliances[{i}]";
            CheckSpot(field, appliance.Room, appliance.Spot, shapes, problems);
            Text($"{field}.name", appliance.Name, LongestName, problems);
            if (!CodeLibrary.Appliances.ContainsKey(appliance.Type))
                problems.Add(
                    new(
                        $"{field}.type",
                        $"'{Short(appliance.Type)}' is not in the appliance library. Use one of: "
                            + $"{string.Join(", ", CodeLibrary.Appliances.Keys.Order())}."
                    )
                );
            var plate = appliance.Nameplate;
            if (plate.Volts is { } volts && volts is not (120 or 240))
                problems.Add(new($"{field}.nameplate.volts", "A dwelling appliance is 120 or 240 V."));
            if (plate.VoltAmperes is { } va && va is not (>= 1 and <= 60_000))
                problems.Add(new($"{field}.nameplate.voltAmperes", "A load lies between 1 and 60,000 VA."));
            if (plate.Amperes is { } amps && amps is not (>= 0.05 and <= 250))
                problems.Add(new($"{field}.nameplate.amperes", "A rated current lies between 0.05 and 250 A."));
            if (plate.MinimumCircuitAmpacity is { } mca && mca is not (>= 0.5 and <= 200))
                problems.Add(new($"{field}.nameplate.minimumCircuitAmpacity", "A minimum circuit ampacity lies between 0.5 and 200 A."));
            if (plate.MaximumBreaker is { } most && most is < 10 or > 200)
                problems.Add(new($"{field}.nameplate.maximumBreaker", "A maximum breaker lies between 10 and 200 A."));
        }

        foreach (var (panel, i) in job.Panels.Select((p, i) => (p, i)))
        {
            var field = $"panels[{i}]";
            Text($"{field}.name", panel.Name, LongestName, problems);
            Text($"{field}.breakerFamily", panel.BreakerFamily, LongestName, problems);
            Range($"{field}.spaces", panel.Spaces, 4, 84, problems);
            if (panel.Spaces % 2 != 0)
                problems.Add(new($"{field}.spaces", "A panel has an even number of spaces."));
            if (panel.TandemSpaces.Any(s => s < 1 || s > 84))
                problems.Add(new($"{field}.tandemSpaces", "Spaces lie between 1 and 84."));
            Count($"{field}.tandemSpaces", panel.TandemSpaces.Length, 84, problems);
            Count($"{field}.alsoTakes", panel.AlsoTakes.Length, MostFamilies, problems);
            foreach (var family in panel.AlsoTakes.Take(MostFamilies))
                Text($"{field}.alsoTakes", family, LongestName, problems);
            Range($"{field}.cardWide", panel.CardWide, Length.Inches(3), Length.Inches(7), problems);
            Range($"{field}.cardTall", panel.CardTall, Length.Inches(4), Length.Inches(9), problems);
            Range($"{field}.mainBreaker", panel.MainBreaker, 30, 400, problems);
            Range($"{field}.top", panel.Top, Length.Feet(3), Length.Feet(8), problems);
            if (panel.FeederBreaker is { } feeder && feeder is < 15 or > 400)
                problems.Add(new($"{field}.feederBreaker", "A feeder's breaker lies between 15 and 400 A."));
            if (i == 0 && panel.FedFrom is not null)
                problems.Add(new($"{field}.fedFrom", "The first panel is the one at the service."));
            if (i > 0 && job.Panels.Take(i).All(p => p.Id != panel.FedFrom))
                problems.Add(new($"{field}.fedFrom", "Say which panel feeds it; that panel comes before it in the list."));
            if (!shapes.TryGetValue(panel.Room, out var shape))
                problems.Add(new($"{field}.room", $"There is no room '{Short(panel.Room)}'."));
            else
                OnWall(field, shape, panel.Wall, panel.Along, Length.Zero, problems, "along");
        }
    }

    private static void CheckSpot(string field, string room, Spot spot, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        if (!shapes.TryGetValue(room, out var shape))
        {
            problems.Add(new($"{field}.room", $"There is no room '{Short(room)}'."));
            return;
        }

        Range($"{field}.spot.depth", spot.Depth, Length.Zero, Length.Feet(40), problems);
        if (spot.Wall is { } wall)
            OnWall($"{field}.spot", shape, wall, spot.From, spot.Width, problems);
        else if (spot.At is { } at)
        {
            Range($"{field}.spot.width", spot.Width, Length.Zero, Length.Feet(60), problems);
            if (at.X < shape.MinX || at.Y < shape.MinY || at.X + spot.Width > shape.MaxX || at.Y + spot.Depth > shape.MaxY)
                problems.Add(new($"{field}.spot.at", $"It does not stand inside {Short(shape.Room.Name)}."));
        }
        else
            problems.Add(new($"{field}.spot", "Say where it stands: a wall and a distance, or a place on the floor."));
    }

    internal static bool OnWall(
        string field,
        RoomShape shape,
        int wall,
        Length from,
        Length width,
        List<Problem> problems,
        string fromName = "from"
    )
    {
        var name = Short(shape.Room.Name);
        if (wall < 0 || wall >= shape.Walls.Length)
            problems.Add(new($"{field}.wall", $"{name} has walls 0 to {shape.Walls.Length - 1}; there is no wall {wall}."));
        else if (from < Length.Zero)
            problems.Add(new($"{field}.{fromName}", $"{LengthText.Show(from)} is before the wall's corner. Use zero or more."));
        else if (width < Length.Zero)
            problems.Add(new($"{field}.width", "A width cannot be negative."));
        else if (from + width > shape.Walls[wall].Length + Length.Inches(0.125))
            problems.Add(
                new(
                    $"{field}.{fromName}",
                    $"It runs off its wall: {LengthText.Show(from)}{(width > Length.Zero ? $" + {LengthText.Show(width)}" : "")} "
                        + $"on a wall of {LengthText.Show(shape.Walls[wall].Length)} in {name}."
                )
            );
        else
            return true;
        return false;
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
