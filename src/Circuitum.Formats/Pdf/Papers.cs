using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Explain;
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
            "schedule" => ("Panel schedule", s => Schedules(s, a)),
            "directory" => ("Directory", s => Directories(s, a, change)),
            "load" => ("Load sheet", s => Loads(s, a)),
            "one-line" => ("One-line drawing", s => OneLinePaper(s, a)),
            "make-up" => ("Make-up", s => MakeUps(s, a)),
            "feeders" => ("Feeders", s => Feeders(s, a)),
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
        Loads(s, a);
        OneLinePaper(s, a);
        Schedules(s, a);
        Directories(s, a, change);
        foreach (var storey in a.Job.Storeys)
            PlanPaper.Lay(s, a, storey);
        HomeRuns(s, a);
        Feeders(s, a);
        BoxFills(s, a);
        Findings(s, a);
    }

    private static void Schedules(PdfSheet s, JobAnalysis a)
    {
        foreach (var at in a.Panels)
        {
            s.Page();
            s.Heading($"Panel schedule: {at.Panel.Name}");
            s.Text(
                $"{Fed(a, at)}, {at.Panel.Spaces} spaces, "
                    + $"{(at.Panel.BreakerFamily.Length > 0 ? at.Panel.BreakerFamily : "breaker family not named")}."
            );
            s.Table(
                [
                    new("Space", 7, true),
                    new("Ckt", 5, true),
                    new("Serves", 30),
                    new("Breaker", 11),
                    new("Protection", 12),
                    new("Wire", 13),
                    new("Leg A VA", 8, true),
                    new("Leg B VA", 8, true),
                ],
                at.Schedule.Select(r => Row(a, r)),
                8
            );
            s.Text($"Connected load: leg A {at.LegA}, leg B {at.LegB}.");
        }

        if (a.Panels.Length == 0)
            NoPanel(s, "Panel schedule");
    }

    private static void NoPanel(PdfSheet s, string heading)
    {
        s.Page();
        s.Heading(heading);
        s.Text("No panel yet.");
    }

    private static string[] Row(JobAnalysis a, PanelRow r)
    {
        string[] legs = [r.LegA.Value > 0 ? $"{r.LegA.Value:#,0}" : "", r.LegB.Value > 0 ? $"{r.LegB.Value:#,0}" : ""];
        if (r.Feeder is { } f)
            return
            [
                r.Place,
                "",
                r.SecondPole ? "second pole" : $"Feeder to {a.PanelById(f.To)!.Panel.Name}",
                r.SecondPole ? "" : $"{f.Breaker} A, 2-pole",
                "",
                r.SecondPole ? "" : f.Made,
                .. legs,
            ];
        if (r.Circuit is not { } c)
            return [r.Place, "", "Spare", "", "", "", "", ""];
        return r.SecondPole
            ? [r.Place, $"{c.Number}", "second pole", "", "", "", .. legs]
            :
            [
                r.Place,
                $"{c.Number}",
                c.Label,
                $"{c.Breaker} A, {c.Poles}-pole",
                c.Protection.Mark,
                c.Cable == c.BranchCable ? c.Cable : $"{c.Cable}, then {c.BranchCable}",
                .. legs,
            ];
    }

    private static string Fed(JobAnalysis a, PanelAnalysis at) =>
        at.Feeder is { } f
            ? $"Fed from {a.PanelById(f.From)!.Panel.Name} by {f.Breaker} A, {f.Made}; "
                + $"{(at.Panel.MainLugs ? "main lugs" : $"{at.Panel.MainBreaker} A main")}"
            : $"{at.Panel.MainBreaker} A main";

    // In the size of the card that goes into the door; cut at its edge.
    private static void Directories(PdfSheet s, JobAnalysis a, int change)
    {
        if (a.Panels.Length == 0)
            NoPanel(s, "Directory");
        foreach (var (at, card) in a.Panels.SelectMany(at => DirectoryCard.Of(a, at, CardFoot(a, change)).Select(card => (at, card))))
        {
            s.Page();
            s.Heading($"Directory: {at.Panel.Name}. Cut along the frame; print without scaling.", 9);
            s.TrueSize(card);
        }
    }

    /// <summary>What stands at the foot of a directory card.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="change">The job's change number.</param>
    public static string CardFoot(JobAnalysis a, int change) =>
        $"{a.Job.Name}, change {change}, {DateTime.UtcNow.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}. Numbers in amperes.";

    private static void Loads(PdfSheet s, JobAnalysis a)
    {
        var sheet = ServiceSheet.Of(a);
        s.Page();
        s.Heading("Load sheet");
        s.Text(
            $"{a.AreaSqFt:#,0} sq ft by the outside line. The {a.Service.Method.ToString().ToLowerInvariant()} method is "
                + $"used: {a.Service.Total}, {a.Service.Current.Value:0.0} A, {sheet.Used * 100:0} percent of the {sheet.Rating} A "
                + "main breaker. Service sizing is for a licensed person to decide."
        );
        foreach (
            var (title, d) in new[]
            {
                ("Optional method", a.Optional.Derivation),
                ("Standard method", a.Standard.Derivation),
                ("Neutral", sheet.Neutral),
                ("Conductors and grounding", sheet.Conductors),
            }
        )
            Worked(s, title, d);
        s.Heading("By other editions", 12);
        s.Table(
            [new("Edition", 22), new("Standard", 18), new("Optional", 18), new("What comes out otherwise", 42)],
            ServiceSheet
                .EditionsOf(a)
                .Select(e =>
                    new[]
                    {
                        $"{e.Edition.FullName}{(e.Edition.Id == a.Edition.Id ? ", this job's" : "")}",
                        $"{e.Standard.Total}, {e.Standard.Current.Value:0.0} A",
                        $"{e.Optional.Total}, {e.Optional.Current.Value:0.0} A",
                        e.Differs.IsEmpty ? "nothing" : string.Join("; ", e.Differs),
                    }
                ),
            8
        );
        foreach (var at in a.Panels.Where(p => p.Feeder is not null))
            Worked(s, $"Feeder of {at.Panel.Name}", at.Feeder!.Derivation);
        if (sheet.Reliefs.Length > 0)
            s.Heading("What would relieve the service", 12);
        foreach (var r in sheet.Reliefs)
            s.Text($"- {r.What}: {r.Saved.Value:0.0} A less");
    }

    private static void Worked(PdfSheet s, string title, Derivation d)
    {
        s.Heading(title, 12);
        s.Table(
            [new("Line", 32), new("How", 34), new("Section", 14), new("Result", 20, true)],
            Lines(d, 0).Append([d.What, d.Formula, d.Citation, d.Result]),
            8
        );
    }

    private static IEnumerable<string[]> Lines(Derivation d, int deep) =>
        d.Steps.SelectMany(step =>
            Lines(step, deep + 1)
                .Where(_ => deep == 0)
                .Prepend([
                    $"{(deep > 0 ? "- " : "")}{step.What}",
                    step.Formula.Length > 0 ? step.Formula : step.Because,
                    step.Citation,
                    step.Result,
                ])
        );

    private static void OneLinePaper(PdfSheet s, JobAnalysis a)
    {
        s.Page();
        s.Heading("One-line drawing");
        s.Space(8);
        s.Drawing(OneLine.Of(a));
    }

    private static void MakeUps(PdfSheet s, JobAnalysis a)
    {
        if (a.Panels.Length == 0)
            NoPanel(s, "Make-up");
        foreach (var at in a.Panels)
        {
            var m = MakeUp.Of(a, at);
            s.Page();
            s.Heading($"Make-up: {at.Panel.Name}");
            s.Drawing(MakeUpDrawing.Of(m));
            s.Page();
            s.Heading($"Order of make-up: {at.Panel.Name}");
            foreach (var (line, n) in MakeUpWords.Of(a, m).Select((l, n) => (l, n + 1)))
                s.Text($"{n}. {line}");
            s.Space(6);
            s.Table(
                [
                    new("Turn", 6, true),
                    new("Space", 8, true),
                    new("Breaker", 13),
                    new("Protection", 12),
                    new("Wire", 14),
                    new("Serves", 35),
                    new("Mind", 26),
                ],
                m.Breakers.Select(b =>
                    new[] { $"{b.Order}", b.Row.Place, $"{b.Amperes} A, {b.Poles}-pole", b.Mark, b.Wire, b.Name, MakeUpWords.Mind(b) }
                ),
                8
            );
        }
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

    private static void Feeders(PdfSheet s, JobAnalysis a)
    {
        var fed = a.Panels.Where(p => p.Feeder is not null).ToList();
        s.Page();
        s.Heading("Feeders");
        if (fed.Count == 0)
            s.Text("No sub-panel, so no feeder.");
        else
            s.Table(
                [
                    new("From", 14),
                    new("To", 16),
                    new("Breaker", 8),
                    new("Made of", 26),
                    new("Load", 12),
                    new("ft", 5, true),
                    new("Drop", 8, true),
                    new("Way", 20),
                ],
                fed.Select(p =>
                    new[]
                    {
                        a.PanelById(p.Feeder!.From)!.Panel.Name,
                        p.Panel.Name,
                        $"{p.Feeder.Breaker} A",
                        p.Feeder.Made,
                        $"{p.Feeder.Load.Current.Value:0.0} A",
                        $"{p.Feeder.Cut.InFeet:0}",
                        $"{p.Feeder.DropPercent:0.0} %",
                        p.Feeder.Route.InFeet,
                    }
                ),
                8
            );
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
}
