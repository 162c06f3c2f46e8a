using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Web.Work;
using Htmx;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs;

/// <summary>A stage of a job: the plan or the panel, the list, and the ticket of what is picked.</summary>
public sealed class StageModel(JobDesk desk) : PageModel
{
    /// <summary>The stages in the order of the work.</summary>
    public static readonly string[] Stages = ["job", "rooms", "boxes", "circuits", "panel"];

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)] public string Id { get; set; } = "";

    /// <summary>The stage.</summary>
    [BindProperty(SupportsGet = true)] public string Stage { get; set; } = "";

    /// <summary>What is picked: a kind, a colon and an id.</summary>
    [BindProperty(SupportsGet = true)] public string Pick { get; set => field = value ?? ""; } = "";

    /// <summary>The storey that is shown.</summary>
    [BindProperty(SupportsGet = true)] public string Storey { get; set => field = value ?? ""; } = "";

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>A sentence about an edit that was not made.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The analysis.</summary>
    public JobAnalysis A => Open.Analysis;

    /// <summary>The document.</summary>
    public Job Job => A.Job;

    /// <summary>The part of the pick after the first colon.</summary>
    public string PickId => Pick[(Pick.IndexOf(':', StringComparison.Ordinal) + 1)..];

    /// <summary>The picked box, room, circuit or appliance, where it is one.</summary>
    public Box? PickedBox => Pick.StartsWith("box:", StringComparison.Ordinal) ? A.Boxes.GetValueOrDefault(PickId) : null;

    /// <summary>The picked room.</summary>
    public RoomShape? PickedRoom => Pick.StartsWith("room:", StringComparison.Ordinal) && Job.RoomById(PickId) is { } room ? A.House[room.Id] : null;

    /// <summary>The picked circuit.</summary>
    public CircuitAnalysis? PickedCircuit => Pick.StartsWith("circuit:", StringComparison.Ordinal) && int.TryParse(PickId, out var n) ? A.CircuitByNumber(n) : null;

    /// <summary>The picked appliance.</summary>
    public ApplianceFacts? PickedAppliance => Pick.StartsWith("appliance:", StringComparison.Ordinal) && Job.ApplianceById(PickId) is { } x ? ApplianceFacts.Of(x) : null;

    /// <summary>The picked wall.</summary>
    public (RoomShape Shape, int Wall)? PickedWall => Pick.Split(':') is ["wall", var room, var wall] && Job.RoomById(room) is { } r && int.TryParse(wall, out var n) && n >= 0 && n < r.Outline.Length ? (A.House[room], n) : null;

    /// <summary>Address of this stage with something picked.</summary>
    public string Link(string pick, string? stage = null, string? storey = null) => $"/jobs/{Id}/{stage ?? Stage}?pick={Uri.EscapeDataString(pick)}&storey={Uri.EscapeDataString(storey ?? StoreyOf(pick) ?? Storey)}";

    /// <summary>How far a stage is, in a word.</summary>
    public string Progress(string stage)
    {
        var prefix = stage switch { "boxes" => "box.", "circuits" => "circuit.", "panel" => "panel.", _ => "-" };
        var must = A.Findings.Count(f => f.Severity == Severity.Must && (f.RuleId.StartsWith(prefix, StringComparison.Ordinal) || (stage == "circuits" && (f.RuleId.StartsWith("wire.", StringComparison.Ordinal) || f.RuleId.StartsWith("protect.", StringComparison.Ordinal))) || (stage == "panel" && f.RuleId.StartsWith("service.", StringComparison.Ordinal))));
        return stage switch
        {
            "job" => A.Edition.Id,
            "rooms" => Job.Rooms.Length == 0 ? "none yet" : $"{Job.Rooms.Length} rooms",
            "boxes" when Job.Decisions.Boxes.Length == 0 => "none yet",
            "circuits" when A.Circuits.Length == 0 => "none yet",
            "panel" when A.SpacesUsed == 0 => "none yet",
            _ when must > 0 => $"{must} to mend",
            "boxes" => Job.Decisions.Boxes.All(b => b.By == Maker.Person) ? "decided" : "proposed",
            "circuits" => $"{A.Circuits.Length} circuits",
            _ => "laid out",
        };
    }

    /// <summary>The plan as SVG.</summary>
    public string Plan() => PlanSvg.Draw(A, new PlanView(Storey, Stage switch { "boxes" => PlanStage.Boxes, "circuits" or "findings" => PlanStage.Circuits, _ => PlanStage.Rooms }, Pick));

    /// <summary>Shows the stage.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Show() : NotFound();

    /// <summary>The derivation behind a number.</summary>
    public async Task<IActionResult> OnGetWhyAsync(string key, CancellationToken cancel) =>
        await Load(cancel) && A.Why(key ?? "") is { } why ? Partial("_Why", why) : NotFound();

    /// <summary>Makes an edit and shows the stage as it then stands.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        var form = new EditForm(Request.Form);
        var act = form.Text("do");
        if (act is "undo" or "redo") Refusal = await desk.StepAsync(Id, stamp, act == "undo", cancel);
        else
        {
            var (command, problem) = form.Read();
            Refusal = command is null ? problem : await desk.EditAsync(Id, stamp, command, cancel);
        }

        if (!await Load(cancel)) return NotFound();
        return !Request.IsHtmx() && Refusal.Length == 0 ? Redirect(Link(Pick)) : Show();
    }

    private IActionResult Show() => Request.IsHtmx() ? Partial("_Work", this) : Page();

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job) return false;
        Open = job;
        if (Job.StoreyById(Storey) is null) Storey = StoreyOf(Pick) ?? Job.Storeys.FirstOrDefault()?.Id ?? "";
        return true;
    }

    private string? StoreyOf(string pick)
    {
        var parts = pick.Split(':');
        if (parts.Length < 2) return null;
        var room = parts[0] switch
        {
            "room" or "wall" => parts[1],
            "box" => A.Boxes.GetValueOrDefault(parts[1])?.Room,
            "appliance" => Job.ApplianceById(parts[1])?.Room,
            "circuit" when int.TryParse(parts[1], out var n) => A.CircuitByNumber(n)?.Boxes.FirstOrDefault()?.Room,
            _ => null,
        };
        return Job.RoomById(room)?.Storey;
    }
}
