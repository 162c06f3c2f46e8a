using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Review;
using Circuitum.Core.Simulation;
using Circuitum.Formats;
using Circuitum.Web.Stages;
using Circuitum.Web.Work;
using Htmx;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs;

/// <summary>A stage of a job: the plan or the panel, the list, and the ticket of what is picked.</summary>
public sealed partial class StageModel(JobDesk desk, Supply.SupplyDesk supply, Web.Field.FieldDesk fieldDesk, DrawnPlans drawn, Notes notes)
    : PageModel
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

    /// <summary>What of the storey is shown, as <see cref="Shown"/> names it.</summary>
    [BindProperty(SupportsGet = true, Name = "show")]
    public string ShowKey
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>What one can choose on this storey.</summary>
    public ImmutableArray<Shown> Views(Storey storey) => Shown.On(A, storey.Id, storey.Name);

    /// <summary>What of the storey is shown.</summary>
    public Shown Sight =>
        Job.StoreyById(Storey) is { } storey
            ? Shown.Of(A, Views(storey), ShowKey, Picked is { } picked ? RoomOf(picked) : null)
            : new("", "", null);

    /// <summary>What is switched off to see the house without it, or empty.</summary>
    [BindProperty(SupportsGet = true)]
    public string Dark
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>The house without it.</summary>
    public Outage? Without => Dark.Length > 0 ? Tried?.Outage() ?? Outage.Of(A, Dark) : null;

    /// <summary>The circuit that is tried, or none.</summary>
    public Trial? Tried => Dark.Length > 0 ? field ??= Trial.Parse(A, Dark) : null;

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

    /// <summary>What the last edit changed beside what it says, where cable is looked at and the state before is remembered.</summary>
    public ImmutableArray<Consequence> ConsequencesOfEdit =>
        Open is { Before: { } before, Stored.Undo: not null }
        && (
            Stage == "panel" ? before.Circuits.Length > 0
            : Stage == "rooms" ? before.Circuits.Length > 0 && (IsPlanned || !before.Job.Panels.SequenceEqual(Job.Panels))
            : Stage == "runs" && CablesLed(before.Job, Job)
        )
            ? Consequences.Of(before, A)
            : [];

    /// <summary>What was decided when the house was planned in one step, as long as that was the last edit.</summary>
    public ImmutableArray<Consequence> HouseDecisions =>
        Open is { Before: { } before } && IsPlanned && before.Circuits.Length == 0 ? HousePlanned.Of(before, A) : [];

    private bool IsPlanned => Open.Stored.Undo == new PlanHouse().Title;

    // Edits that are made at this stage; after others the list would only be in the way.
    private static bool CablesLed(Job before, Job now) =>
        !before.Panels.SequenceEqual(now.Panels)
        || before.Decisions.Ways != now.Decisions.Ways
        || before.Walls != now.Walls
        || before.Decisions.Circuits.Any(c =>
            now.Decisions.Circuits.FirstOrDefault(n => n.Number == c.Number) is { } n && (n.First != c.First || n.Run != c.Run)
        );

    /// <summary>The picture under the shown storey.</summary>
    public Underlay? Under => Job.Underlays.FirstOrDefault(u => u.Storey == Storey);

    /// <summary>Address of this stage with something picked.</summary>
    public string Link(string pick, string? stage = null, string? storey = null, string? show = null)
    {
        var to = storey ?? StoreyOf(pick) ?? Storey;
        var sight = show
            ?? (to == Storey && Shown.Stays(ShowKey, Subject.TryParse(pick) is { } thing ? RoomOf(thing) : null) ? ShowKey : "");
        return $"/jobs/{Id}/{stage ?? Stage}?pick={Uri.EscapeDataString(pick)}&storey={Uri.EscapeDataString(to)}"
            + (sight.Length > 0 ? $"&show={Uri.EscapeDataString(sight)}" : "")
            + ((stage ?? Stage) == "material" ? MaterialLink : "");
    }

    /// <summary>The plan as SVG: the whole of it, or for an edit the parts that changed.</summary>
    public string Plan { get; private set; } = "";

    /// <summary>Whether the answer carries only the changed parts of the plan, so its tools and dialogs stay as they are.</summary>
    public bool IsPart { get; private set; }

    /// <summary>Shows the stage.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        if (!At.AppliesTo(A.Edition))
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
            var (command, problem) =
                form.Word == "square-picture" ? (null, await Squared(form, stamp, cancel)) : await ReadAsync(form, cancel);

            // After a drawing edit the new thing is picked, so what was there before is looked at first.
            var drawing = command is DrawRoom or PlaceHere or AddBox or AddBoxHere or AddCloset;
            var before = drawing ? Known() : [];
            Refusal = command is null ? problem : await desk.EditAsync(Id, stamp, command, cancel, Repeats());
            if (command is BringReels && Refusal.Length == 0)
                Refusal = await GiveUp(form.Text("from"), cancel);
            if (drawing && Refusal.Length == 0 && await Load(cancel))
                Pick = Known().Except(before).FirstOrDefault() ?? Pick;

            // The next room stands beside the last one unless one says otherwise.
            if (command is AddRoom or TypeRooms or CopyRoom or BringRoom && Refusal.Length == 0)
                Pick = "";

            // Who adds a storey wants to draw on it.
            if (command is AddStorey or CopyStorey && Refusal.Length == 0 && await Load(cancel))
                (Pick, Storey, ShowKey) = ("", Job.Storeys[^1].Id, "");
        }

        if (!await Load(cancel))
            return NotFound();
        return !Request.IsHtmx() && Refusal.Length == 0 ? Redirect(Link(Pick)) : Show();
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
        var sight = Sight;
        var view = new PlanView(Storey, At.Plan!.Value, Pick, Pictures: pictures, Only: sight.Only, Without: Without)
        {
            Among = sight.Rooms,
            Canvas = Shown.Canvas(Request.Cookies["canvas"]),
            Zoom = Shown.Zoom(Request.Headers["X-Zoom"]),
        };
        var shown = Request.IsHtmx() ? Uri.UnescapeDataString(Request.Headers["X-Drawn"].ToString()) : "";
        (Plan, IsPart) = drawn.Answer(
            $"{Id} {desk.Deletions}",
            shown,
            $"{Open.Stored.Stamp}|{Stage}|{Storey}|{Pick}|{ShowKey}{(Dark.Length > 0 ? $"|{Dark}" : "")}",
            PlanSvg.Parts(A, view)
        );
        if (IsPart)
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
        if (Stage == "material")
            await LoadMaterial(cancel);
        await LoadField(cancel);
        if (Job.StoreyById(Storey) is null)
            Storey = StoreyOf(Pick) ?? Job.Storeys.FirstOrDefault()?.Id ?? "";
        return true;
    }
}
