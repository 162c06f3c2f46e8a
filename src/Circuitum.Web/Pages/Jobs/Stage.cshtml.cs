using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;
using Circuitum.Formats;
using Circuitum.Web.Stages;
using Circuitum.Web.Work;
using Htmx;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs;

/// <summary>A stage of a job: the plan or the panel, the list, and the ticket of what is picked.</summary>
public sealed class StageModel(JobDesk desk, DrawnPlans drawn, Notes notes) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The stage.</summary>
    [BindProperty(SupportsGet = true)]
    public string Stage { get; set; } = "";

    /// <summary>The stage, as it is declared.</summary>
    public Stage At => StageList.Find(Stage)!;

    /// <summary>What is picked: a kind, a colon and an id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Pick
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>A sentence from a file that was not taken.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Note { get; set; }

    /// <summary>The storey that is shown.</summary>
    [BindProperty(SupportsGet = true)]
    public string Storey
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>What is switched off to see the house without it, or empty.</summary>
    [BindProperty(SupportsGet = true)]
    public string Dark
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>The house without it.</summary>
    public Outage? Without => Dark.Length > 0 ? Outage.Of(A, Dark) : null;

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>What holds for the firm; looked up for the job's own stage.</summary>
    public Company Company { get; private set; } = new();

    /// <summary>A sentence about an edit that was not made.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The analysis.</summary>
    public JobAnalysis A => Open.Analysis;

    /// <summary>The document.</summary>
    public Job Job => A.Job;

    /// <summary>What is picked, as a reference; none when nothing is.</summary>
    public Subject? Picked => Subject.TryParse(Pick);

    /// <summary>The picked box, room, circuit or appliance, where it is one.</summary>
    public Box? PickedBox => IdOf(SubjectKind.Box) is { } id ? A.Boxes.GetValueOrDefault(id) : null;

    /// <summary>The picked room.</summary>
    public RoomShape? PickedRoom => IdOf(SubjectKind.Room) is { } id && Job.RoomById(id) is { } room ? A.House[room.Id] : null;

    /// <summary>The picked circuit.</summary>
    public CircuitAnalysis? PickedCircuit => Picked is { Kind: SubjectKind.Circuit, Number: { } n } ? A.CircuitByNumber(n) : null;

    /// <summary>The picked cable, with its circuit.</summary>
    public (CircuitAnalysis Circuit, CableSegment CableSegment)? PickedRun =>
        Picked is { Kind: SubjectKind.Run } run
        && A.CircuitOf(run.Id) is { } c
        && c.Run.Cables.FirstOrDefault(h => h.To == run.Id && h.From == run.Part) is { } segment
            ? (c, segment)
            : null;

    /// <summary>What the last edit changed beside what it says, where cable is looked at and the state before is remembered.</summary>
    public ImmutableArray<Consequence> ConsequencesOfEdit =>
        Open is { Before: { } before, Stored.Undo: not null }
        && (Stage == "panel" ? before.Circuits.Length > 0 : Stage == "runs" && CablesLed(before.Job, Job))
            ? Consequences.Of(before, A)
            : [];

    // Edits that are made at this stage; after others the list would only be in the way.
    private static bool CablesLed(Job before, Job now) =>
        !before.Panels.SequenceEqual(now.Panels)
        || before.Decisions.Ways != now.Decisions.Ways
        || before.Walls != now.Walls
        || before.Decisions.Circuits.Any(c =>
            now.Decisions.Circuits.FirstOrDefault(n => n.Number == c.Number) is { } n && (n.First != c.First || n.Run != c.Run)
        );

    /// <summary>The panel that is looked at: the picked one, that of the picked circuit, else the one at the service.</summary>
    public PanelAnalysis? PickedPanel => A.PanelById(IdOf(SubjectKind.Panel) ?? PickedCircuit?.Panel);

    /// <summary>The picked appliance.</summary>
    public ApplianceFacts? PickedAppliance =>
        IdOf(SubjectKind.Appliance) is { } id && Job.ApplianceById(id) is { } x ? ApplianceFacts.Of(x) : null;

    /// <summary>The picked wall.</summary>
    public (RoomShape Shape, int Wall)? PickedWall =>
        Picked is { Kind: SubjectKind.Wall, Number: { } n } wall && Job.RoomById(wall.Id) is { } room && n < room.Outline.Length
            ? (A.House[room.Id], n)
            : null;

    /// <summary>The picked opening, seen in the room on whose wall it is given.</summary>
    public (RoomShape Shape, Opening Opening)? PickedOpening =>
        IdOf(SubjectKind.Opening) is { } id && Job.Openings.FirstOrDefault(o => o.Id == id) is { } o ? (A.House[o.Room], o) : null;

    /// <summary>The picked counter, fixture or appliance: its room and place.</summary>
    public (string Room, Spot Spot, string Name)? PickedThing =>
        Picked switch
        {
            { Kind: SubjectKind.Counter, Id: var id } when Job.Counters.FirstOrDefault(c => c.Id == id) is { } c => (
                c.Room,
                c.Spot,
                c.Spot.Wall is null ? "island" : "counter"
            ),
            { Kind: SubjectKind.Fixture, Id: var id } when Job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f => (
                f.Room,
                f.Spot,
                Words.Of(f.Kind)
            ),
            { Kind: SubjectKind.Appliance, Id: var id } when Job.ApplianceById(id) is { } x => (x.Room, x.Spot, ApplianceFacts.Of(x).Name),
            _ => null,
        };

    /// <summary>The picked wish.</summary>
    public Wish? PickedWish => IdOf(SubjectKind.Wish) is { } id ? Job.Wishes.FirstOrDefault(w => w.Id == id) : null;

    /// <summary>The picture under the shown storey.</summary>
    public Underlay? Under => Job.Underlays.FirstOrDefault(u => u.Storey == Storey);

    /// <summary>Address of this stage with something picked.</summary>
    public string Link(string pick, string? stage = null, string? storey = null) =>
        $"/jobs/{Id}/{stage ?? Stage}?pick={Uri.EscapeDataString(pick)}&storey={Uri.EscapeDataString(storey ?? StoreyOf(pick) ?? Storey)}";

    /// <summary>The plan as SVG: the whole of it, or for an edit the parts that changed.</summary>
    public string Plan { get; private set; } = "";

    /// <summary>Shows the stage.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        if (notes.Take(Note) is { Length: > 0 } sentence)
            Refusal = sentence;
        return Show();
    }

    /// <summary>Makes an edit and shows the stage as it then stands.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        var form = new EditForm(Request.Form);
        var act = form.Word;
        if (act is "undo" or "redo")
            Refusal = await desk.StepAsync(Id, stamp, act == "undo", cancel);
        else
        {
            // What a bare number means, the job says.
            if (!await Load(cancel))
                return NotFound();
            var (command, problem) = act == "company-preferences" ? (await FromCompany(cancel), "") : form.Read(Job.Units);

            // After a drawing edit the new thing is picked, so what was there before is looked at first.
            var drawing = command is DrawRoom or PlaceHere or AddBox or AddBoxHere;
            var before = drawing ? Known() : [];
            Refusal = command is null ? problem : await desk.EditAsync(Id, stamp, command, cancel, Repeats());
            if (drawing && Refusal.Length == 0 && await Load(cancel))
                Pick = Known().Except(before).FirstOrDefault() ?? Pick;
        }

        if (!await Load(cancel))
            return NotFound();
        return !Request.IsHtmx() && Refusal.Length == 0 ? Redirect(Link(Pick)) : Show();
    }

    private async Task<JobCommand> FromCompany(CancellationToken cancel)
    {
        var preferences = (await desk.CompanyAsync(cancel)).Company.Preferences;
        return new SetPreferences(preferences);
    }

    // What the form says, in a few letters: sent again with the same stamp it is the same edit, made once.
    private string Repeats() =>
        Convert.ToHexString(
            System.Security.Cryptography.SHA256.HashData(
                System.Text.Encoding.UTF8.GetBytes(
                    string.Join(
                        '\n',
                        Request
                            .Form.Where(f => f.Key != "__RequestVerificationToken")
                            .OrderBy(f => f.Key, StringComparer.Ordinal)
                            .Select(f => $"{f.Key}={f.Value}")
                    )
                )
            )
        );

    // What can be picked on the plan.
    private HashSet<string> Known() =>
        [
            .. Job.Rooms.Select(r => $"room:{r.Id}"),
            .. Job.Openings.Select(o => $"opening:{o.Id}"),
            .. Job.Counters.Select(c => $"counter:{c.Id}"),
            .. Job.Fixtures.Select(f => $"fixture:{f.Id}"),
            .. Job.Appliances.Select(x => $"appliance:{x.Id}"),
            .. Job.Wishes.Select(w => $"wish:{w.Id}"),
            .. Job.Decisions.Boxes.Select(b => $"box:{b.Id}"),
            .. Job.Panels.Select(p => $"panel:{p.Id}"),
        ];

    private IActionResult Show()
    {
        if (At.Plan is not null)
            DrawPlan();
        return Request.IsHtmx() ? Partial("_Work", this) : Page();
    }

    private void DrawPlan()
    {
        var pictures = Under is { } under && Open.Pictures.Contains(under.Picture) ? $"/jobs/{Id}/pictures/" : "";
        var view = new PlanView(Storey, At.Plan!.Value, Pick, Pictures: pictures, Without: Without);
        var shown = Request.IsHtmx() ? Uri.UnescapeDataString(Request.Headers["X-Drawn"].ToString()) : "";
        (Plan, var part) = drawn.Answer(
            Id,
            shown,
            $"{Open.Stored.Stamp}|{Stage}|{Storey}|{Pick}{(Dark.Length > 0 ? $"|{Dark}" : "")}",
            PlanSvg.Parts(A, view)
        );
        if (part)
            Response.Headers["X-Plan"] = "part";
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        Open = job;
        if (Refusal.Length == 0 && job.Stored.Notice.Length > 0)
            Refusal = job.Stored.Notice;
        if (Stage == "job")
            Company = (await desk.CompanyAsync(cancel)).Company;
        if (Job.StoreyById(Storey) is null)
            Storey = StoreyOf(Pick) ?? Job.Storeys.FirstOrDefault()?.Id ?? "";
        return true;
    }

    private string? IdOf(SubjectKind kind) => Picked is { } picked && picked.Kind == kind ? picked.Id : null;

    private string? StoreyOf(string pick) =>
        Subject.TryParse(pick) switch
        {
            null => null,
            { Kind: SubjectKind.Storey, Id: var id } => Job.StoreyById(id)?.Id,
            { } subject => Job.RoomById(RoomOf(subject))?.Storey,
        };

    private string? RoomOf(Subject subject)
    {
        var id = subject.Id;
        return subject.Kind switch
        {
            SubjectKind.Room or SubjectKind.Wall => id,
            SubjectKind.Box or SubjectKind.Run => A.Boxes.GetValueOrDefault(id)?.Room,
            SubjectKind.Opening => Job.Openings.FirstOrDefault(o => o.Id == id)?.Room,
            SubjectKind.Wish => Job.Wishes.FirstOrDefault(w => w.Id == id)?.Room,
            SubjectKind.Counter => Job.Counters.FirstOrDefault(c => c.Id == id)?.Room,
            SubjectKind.Fixture => Job.Fixtures.FirstOrDefault(f => f.Id == id)?.Room,
            SubjectKind.Appliance => Job.ApplianceById(id)?.Room,
            SubjectKind.Circuit when subject.Number is { } n => A.CircuitByNumber(n)?.Boxes.FirstOrDefault()?.Room,
            _ => null,
        };
    }
}
