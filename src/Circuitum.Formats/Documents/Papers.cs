using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Field;
using Circuitum.Core.Measure;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Documents;

/// <summary>The papers of a job: each by itself, or all in one packet.</summary>
public static class Papers
{
    internal const string Caution =
        "A planning aid: the local authority and its amendments win over anything shown here; a licensed electrician "
        + "decides. Work only with power off and proven dead.";

    private static readonly (string Name, string Title, Action<PaperDraft, PaperAsk> Write)[] All =
    [
        ("schedule", "Panel schedule", (s, r) => PanelPapers.Schedules(s, r.Analysis)),
        ("directory", "Directory", (s, r) => PanelPapers.Directories(s, r.Analysis, r.Change)),
        ("load", "Load sheet", (s, r) => PanelPapers.Loads(s, r.Analysis)),
        ("one-line", "One-line drawing", (s, r) => PanelPapers.OneLinePaper(s, r.Analysis)),
        ("make-up", "Make-up", (s, r) => PanelPapers.MakeUps(s, r.Analysis)),
        ("feeders", "Feeders", (s, r) => PanelPapers.Feeders(s, r.Analysis)),
        ("home-runs", "Home runs", (s, r) => RunPapers.HomeRuns(s, r.Analysis)),
        ("plans", "Plans", Plans),
        ("boxes", "Box schedule", (s, r) => BoxPapers.Schedule(s, r.Analysis)),
        ("rough-test", "Before the walls close", (s, r) => RunPapers.RoughTests(s, r.Analysis)),
        ("findings", "Findings", (s, r) => BoxPapers.Findings(s, r.Analysis)),
        ("material", "Material", (s, r) => MoneyPapers.Material(s, r.Analysis)),
        ("estimate", "Estimate", (s, r) => MoneyPapers.Estimate(s, r.Analysis, r.Money)),
        ("change-order", "Change order", (s, r) => MoneyPapers.Change(s, r.Analysis, r.Money)),
        ("builders", "Before others build", (s, r) => BuilderPapers.Write(s, r.Analysis)),
        ("van", "Van list", (s, r) => VanPapers.Write(s, r.Analysis)),
        ("resets", "If a receptacle is dead", (s, r) => ResetPapers.Write(s, r.Analysis)),
        ("check-rough", "Rough-in inspection", (s, r) => FieldPapers.List(s, r.Analysis, r.Field, Inspection.RoughIn)),
        ("check-final", "Final inspection", (s, r) => FieldPapers.List(s, r.Analysis, r.Field, Inspection.Final)),
        ("corrections", "Corrections", (s, r) => FieldPapers.Corrections(s, r.Analysis, r.Field)),
        ("tests", "Tests", (s, r) => FieldPapers.Tests(s, r.Analysis, r.Field)),
        ("as-built", "As built", (s, r) => FieldPapers.AsBuilt(s, r.Analysis, r.Field, r.Photos)),
        ("booklet", "Owner's booklet", (s, r) => FieldPapers.Booklet(s, r.Analysis, r.Change)),
        ("owner", "Walk with the owner", (s, r) => OwnerPapers.Walk(s, r.Analysis)),
        ("packet", "Packet", Packet),
    ];

    /// <summary>The papers: their file's name and their title.</summary>
    public static IReadOnlyList<(string Name, string Title)> Titles { get; } = [.. All.Select(p => (p.Name, p.Title))];

    /// <summary>The papers by their file's name.</summary>
    public static IReadOnlyList<string> Names { get; } = [.. All.Select(p => p.Name)];

    // What has been made for split boards; the others speak of panels, conductors and forms of another family.
    private static readonly ImmutableHashSet<string> OfBoards = ["schedule", "directory", "plans", "findings", "packet"];

    /// <summary>Whether a paper means anything under an edition.</summary>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="edition">The edition.</param>
    public static bool AppliesTo(string name, CodeEdition edition) => edition.Board is null || OfBoards.Contains(name);

    /// <summary>A title in the words of a trade: its first word is a thing of it, or an ordinary word.</summary>
    /// <param name="title">One of <see cref="Titles"/>.</param>
    /// <param name="edition">The edition.</param>
    public static string TitleIn(string title, CodeEdition edition) =>
        string.Join(' ', title.Split(' ').Select((w, i) => i == 0 ? edition.Word(w) : w));

    /// <summary>A paper.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="change">The job's change number, which stands for the revision.</param>
    /// <param name="size">Of its pages.</param>
    /// <param name="money">Prices, and the state before a change; none takes the made-up prices.</param>
    /// <param name="field">What was said in the field; none for nothing.</param>
    /// <param name="photos">Pictures from the field, for papers that show them.</param>
    /// <param name="cancel">Gives up; asked before each part.</param>
    /// <exception cref="ArgumentException">There is no such paper.</exception>
    /// <exception cref="OperationCanceledException">Nobody waits for it.</exception>
    public static Paper Of(
        JobAnalysis a,
        string name,
        int change,
        PaperSize size = PaperSize.Letter,
        PaperMoney? money = null,
        FieldState? field = null,
        ImmutableArray<FieldPhoto> photos = default,
        CancellationToken cancel = default
    )
    {
        var paper = Array.Find(All, p => p.Name == name);
        if (paper.Write is null)
            throw new ArgumentException($"There is no paper '{name}'.", nameof(name));
        var draft = new PaperDraft(cancel);
        paper.Write(
            draft,
            new(a, change, size, money ?? PaperMoney.MadeUp, field ?? FieldState.None) { Photos = photos.IsDefault ? [] : photos }
        );
        return new($"{TitleIn(paper.Title, a.Edition)}, {a.Job.Name}", draft.Done())
        {
            Contents = name == "packet",
            Cover = name == "packet" ? Cover(a, change) : [],
        };
    }

    /// <summary>A paper as PDF.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <param name="change">The job's change number.</param>
    /// <param name="size">Of its pages.</param>
    /// <param name="set">The issued set that this is, or that it differs from; empty before the first.</param>
    /// <param name="money">Prices, and the state before a change; none takes the made-up prices.</param>
    /// <param name="field">What was said in the field; none for nothing.</param>
    /// <param name="photos">Pictures from the field, for papers that show them.</param>
    /// <param name="cancel">Gives up; asked before each part.</param>
    /// <exception cref="ArgumentException">There is no such paper.</exception>
    /// <exception cref="OperationCanceledException">Nobody waits for it.</exception>
    public static byte[] Make(
        JobAnalysis a,
        string name,
        int change,
        PaperSize size,
        string set = "",
        PaperMoney? money = null,
        FieldState? field = null,
        ImmutableArray<FieldPhoto> photos = default,
        CancellationToken cancel = default
    )
    {
        var (line, caution) = Foot(a, change, set);
        return PaperLayout.Pdf(Of(a, name, change, size, money, field, photos, cancel), size, $"{line}\n{caution}", cancel);
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

    private static ImmutableArray<string> Cover(JobAnalysis a, int change) =>
        [
            a.Job.Name,
            a.Job.Place,
            $"Rough-in of a house of {FloorArea.Show(a.AreaSqFt, a.Units)}. {a.Edition.FullName}. Change {change}"
                + (a.Job.PermitDate is { } permit ? $", permit of {permit.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}" : "")
                + ".",
            $"{a.Circuits.Length} circuits, {a.Job.Decisions.Boxes.Length} {a.Edition.Word("boxes")}, "
                + $"{LengthText.Far(a.CableFeet, a.Units, "#,0")} of cable. "
                + $"Service load {a.Service.Current.Value:0.0} A of {a.Panel?.MainBreaker ?? 0} A.",
            Caution,
        ];

    private static void Packet(PaperDraft s, PaperAsk r)
    {
        var a = r.Analysis;
        if (a.Edition.Board is not null)
        {
            PanelPapers.Schedules(s, a);
            Plans(s, r);
            BoxPapers.Findings(s, a);
            return;
        }

        PanelPapers.Loads(s, a);
        PanelPapers.OneLinePaper(s, a);
        PanelPapers.Schedules(s, a);
        PanelPapers.Directories(s, a, r.Change);
        Plans(s, r);
        BoxPapers.Schedule(s, a);
        RunPapers.HomeRuns(s, a);
        PanelPapers.Feeders(s, a);
        BoxPapers.Fills(s, a);
        BoxPapers.Findings(s, a);
    }

    private static void Plans(PaperDraft s, PaperAsk r)
    {
        foreach (var storey in r.Analysis.Job.Storeys)
            PlanPaper.Lay(s, r.Size, r.Analysis, storey);
    }

    /// <summary>What stands at the foot of a directory card.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="change">The job's change number.</param>
    public static string CardFoot(JobAnalysis a, int change) =>
        $"{a.Job.Name}, change {change}, {DateTime.UtcNow.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}. Numbers in amperes.";
}
