using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Pdf;

/// <summary>The papers of a job as PDF: each by itself, or all in one packet.</summary>
public static class Papers
{
    private const string Caution =
        "A planning aid: the local authority and its amendments win over anything shown here; a licensed electrician "
        + "decides. Work only with power off and proven dead.";

    private const double AlmostFull = 0.8;

    /// <summary>The papers by their file's name.</summary>
    public static IReadOnlyList<string> Names { get; } =
    ["schedule", "directory", "load", "one-line", "make-up", "feeders", "home-runs", "packet"];

    /// <summary>A paper.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="change">The job's change number, which stands for the revision.</param>
    /// <param name="size">Of its pages.</param>
    /// <param name="set">The issued set that this is, or that it differs from; empty before the first.</param>
    /// <exception cref="ArgumentException">There is no such paper.</exception>
    public static byte[] Make(JobAnalysis a, string name, int change, PaperSize size, string set = "")
    {
        var (line, caution) = Foot(a, change, set);
        var foot = $"{line}\n{caution}";
        var (title, lay) = Of(a, name, change);
        return PdfSheet.Make($"{title}, {a.Job.Name}", size, foot, lay);
    }

    /// <summary>What stands at the foot of every paper: job, set, change, day, edition with its amendments, and the caution.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="change">The job's change number.</param>
    /// <param name="set">The issued set, or empty.</param>
    public static (string Line, string Caution) Foot(JobAnalysis a, int change, string set) =>
        (
            $"{a.Job.Name}{(a.Job.Place.Length > 0 ? $", {a.Job.Place}" : "")}. {(set.Length > 0 ? $"{set}. " : "")}Change "
                + $"{change}, {DateTime.UtcNow.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}. {a.Edition.FullName}"
                + $"{(a.Edition.Layers.Length == 0 ? ", no local amendments" : "")}.",
            Caution
        );

    /// <summary>The lines of a paper as text.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="change">The job's change number.</param>
    /// <exception cref="ArgumentException">There is no such paper.</exception>
    public static IReadOnlyList<string> Text(JobAnalysis a, string name, int change) => PdfSheet.Said(Of(a, name, change).Lay);

    private static (string Title, Action<PdfSheet> Lay) Of(JobAnalysis a, string name, int change) =>
        name switch
        {
            "schedule" => ("Panel schedule", s => PanelPapers.Schedules(s, a)),
            "directory" => ("Directory", s => PanelPapers.Directories(s, a, change)),
            "load" => ("Load sheet", s => PanelPapers.Loads(s, a)),
            "one-line" => ("One-line drawing", s => PanelPapers.OneLinePaper(s, a)),
            "make-up" => ("Make-up", s => PanelPapers.MakeUps(s, a)),
            "feeders" => ("Feeders", s => PanelPapers.Feeders(s, a)),
            "home-runs" => ("Home runs", s => HomeRuns(s, a)),
            "packet" => ("Packet", s => Packet(s, a, change)),
            _ => throw new ArgumentException($"There is no paper '{name}'.", nameof(name)),
        };

    private static void Packet(PdfSheet s, JobAnalysis a, int change)
    {
        s.Page();
        s.Space(120);
        s.Text(a.Job.Name, 30, bold: true);
        if (a.Job.Place.Length > 0)
            s.Text(a.Job.Place, 16);
        s.Space(20);
        s.Text(
            $"Rough-in of a house of {a.AreaSqFt:#,0} sq ft. {a.Edition.FullName}. Change {change}"
                + (a.Job.PermitDate is { } permit ? $", permit of {permit.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}" : "")
                + ".",
            11
        );
        s.Text(
            $"{a.Circuits.Length} circuits, {a.Job.Decisions.Boxes.Length} boxes, {a.CableFeet:#,0} ft of cable. Service load "
                + $"{a.Service.Current.Value:0.0} A of {a.Panel?.MainBreaker ?? 0} A.",
            11
        );
        s.Space(20);
        s.Text(Caution, 11);
        s.Space(20);
        s.Text(
            "In this packet: load sheet; one-line drawing; panel schedules; directories; plans with circuits; home runs and "
                + "feeders; box fills over 80 percent; open findings.",
            11
        );
        PanelPapers.Loads(s, a);
        PanelPapers.OneLinePaper(s, a);
        PanelPapers.Schedules(s, a);
        PanelPapers.Directories(s, a, change);
        foreach (var storey in a.Job.Storeys)
            PlanPaper.Lay(s, a, storey);
        HomeRuns(s, a);
        PanelPapers.Feeders(s, a);
        BoxFills(s, a);
        Findings(s, a);
    }

    private static void HomeRuns(PdfSheet s, JobAnalysis a)
    {
        s.Page();
        s.Heading("Home runs");
        s.Text(
            $"Lengths are to cut, with {LengthText.Show(a.Job.Preferences.PanelMakeUp)} in the panel and "
                + $"{LengthText.Show(a.Job.Preferences.BoxMakeUp)} at the box, waste not counted. Label both ends."
        );
        foreach (var group in PullList.Of(a))
        {
            s.Heading(group.Name, 11);
            s.Table(
                [new("Label", 36), new("To", 13), new("Way", 30), new("ft", 6, true), new("Took", 8)],
                group.Lines.Select(l =>
                    new[]
                    {
                        l.Label,
                        l.To,
                        l.Way,
                        $"{l.Cut.InFeet:0}",
                        l.Pulled?.Measured is { } m ? $"{m.InFeet:0} ft"
                        : l.Pulled is not null ? "pulled"
                        : "",
                    }
                ),
                8
            );
        }

        Holes(s, a);
    }

    private static void Holes(PdfSheet s, JobAnalysis a)
    {
        var drill = DrillList.Of(a);
        if (drill.Lines.Length == 0)
            return;
        s.Heading("Drill and protect", 11);
        s.Text(drill.InWords(a.Job.Preferences));
        foreach (var mind in drill.Open)
            s.Text(mind);
        Column[] columns =
        [
            new("Where", 36),
            new("Holes", 7, true),
            new("Cables", 7, true),
            new("In one", 7, true),
            new("Bit", 9),
            new("Mind", 34),
        ];
        s.Table(columns, drill.Lines.Select(l => new[] { l.Where, $"{l.Holes}", $"{l.Cables}", $"{l.Fullest}", l.Bit, l.Note }), 8);
    }

    private static void BoxFills(PdfSheet s, JobAnalysis a)
    {
        s.Page();
        s.Heading("Box fills over 80 percent");
        var full = a
            .Specs.Where(b => b.Value is { Fill: { } fill, Entry: { } entry } && fill.Inches3 > entry.Volume * AlmostFull)
            .OrderBy(b => b.Key, StringComparer.Ordinal)
            .ToList();
        if (full.Count == 0)
            s.Text("None.");
        else
            s.Table(
                [
                    new("Box", 12),
                    new("Room", 18),
                    new("Size", 34),
                    new("In it, in3", 10, true),
                    new("Holds, in3", 10, true),
                    new("Full", 8, true),
                ],
                full.Select(b =>
                    new[]
                    {
                        b.Key,
                        a.Job.RoomById(a.Boxes[b.Key].Room)!.Name,
                        b.Value.Entry!.Name,
                        $"{b.Value.Fill!.Inches3:0.00}",
                        $"{b.Value.Entry.Volume:0.0}",
                        $"{b.Value.Fill.Inches3 / b.Value.Entry.Volume * 100:0} %",
                    }
                ),
                8
            );
    }

    private static void Findings(PdfSheet s, JobAnalysis a)
    {
        s.Page();
        s.Heading("Open findings");
        if (a.Findings.Length == 0)
            s.Text("None. What is not checked is left to the electrician and the inspector.");
        else
            s.Table(
                [new("", 8), new("Section", 18), new("Finding", 74)],
                a.Findings.Select(f => new[] { f.Severity.ToString().ToLowerInvariant(), f.Citation, f.Sentence }),
                8
            );
        s.Heading("Cautions", 12);
        foreach (var caution in RoughTest.Of(a).Cautions.Append(Caution))
            s.Text($"- {caution}");
    }

    /// <summary>What stands at the foot of a directory card.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="change">The job's change number.</param>
    public static string CardFoot(JobAnalysis a, int change) =>
        $"{a.Job.Name}, change {change}, {DateTime.UtcNow.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}. Numbers in amperes.";
}
