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

    /// <summary>The part of the pick after the first colon.</summary>
    public string PickId => Pick[(Pick.IndexOf(':', StringComparison.Ordinal) + 1)..];

    /// <summary>The picked box, room, circuit or appliance, where it is one.</summary>
    public Box? PickedBox => Pick.StartsWith("box:", StringComparison.Ordinal) ? A.Boxes.GetValueOrDefault(PickId) : null;

    /// <summary>The picked room.</summary>
    public RoomShape? PickedRoom =>
        Pick.StartsWith("room:", StringComparison.Ordinal) && Job.RoomById(PickId) is { } room ? A.House[room.Id] : null;

    /// <summary>The picked circuit.</summary>
    public CircuitAnalysis? PickedCircuit =>
        Pick.StartsWith("circuit:", StringComparison.Ordinal) && int.TryParse(PickId, out var n) ? A.CircuitByNumber(n) : null;

    /// <summary>The picked cable, with its circuit.</summary>
    public (CircuitAnalysis Circuit, CableSegment CableSegment)? PickedRun =>
        Pick.Split(':') is ["run", var to, .. var from]
        && A.CircuitOf(to) is { } c
        && c.Run.Cables.FirstOrDefault(h => h.To == to && h.From == from.FirstOrDefault()) is { } segment
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
    public PanelAnalysis? PickedPanel => A.PanelById(Pick.StartsWith("panel:", StringComparison.Ordinal) ? PickId : PickedCircuit?.Panel);

    /// <summary>The picked appliance.</summary>
    public ApplianceFacts? PickedAppliance =>
        Pick.StartsWith("appliance:", StringComparison.Ordinal) && Job.ApplianceById(PickId) is { } x ? ApplianceFacts.Of(x) : null;

    /// <summary>The picked wall.</summary>
    public (RoomShape Shape, int Wall)? PickedWall =>
        Pick.Split(':') is ["wall", var room, var wall]
        && Job.RoomById(room) is { } r
        && int.TryParse(wall, out var n)
        && n >= 0
        && n < r.Outline.Length
            ? (A.House[room], n)
            : null;

    /// <summary>The picked opening, seen in the room on whose wall it is given.</summary>
    public (RoomShape Shape, Opening Opening)? PickedOpening =>
        Pick.StartsWith("opening:", StringComparison.Ordinal) && Job.Openings.FirstOrDefault(o => o.Id == PickId) is { } o
            ? (A.House[o.Room], o)
            : null;

    /// <summary>The picked counter, fixture or appliance: its room and place.</summary>
    public (string Room, Spot Spot, string Name)? PickedThing =>
        Pick.Split(':') switch
        {
            ["counter", var id] when Job.Counters.FirstOrDefault(c => c.Id == id) is { } c => (
                c.Room,
                c.Spot,
                c.Spot.Wall is null ? "island" : "counter"
            ),
            ["fixture", var id] when Job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f => (f.Room, f.Spot, Words.Of(f.Kind)),
            ["appliance", var id] when Job.ApplianceById(id) is { } x => (x.Room, x.Spot, ApplianceFacts.Of(x).Name),
            _ => null,
        };

    /// <summary>The picked wish.</summary>
    public Wish? PickedWish => Pick.StartsWith("wish:", StringComparison.Ordinal) ? Job.Wishes.FirstOrDefault(w => w.Id == PickId) : null;

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
            var (command, problem) = act == "company-preferences" ? (await FromCompany(cancel), "") : form.Read();

            // After a drawing edit the new thing is picked, so what was there before is looked at first.
            var drawing = command is DrawRoom or PlaceHere or AddBox or AddBoxHere;
            if (drawing && !await Load(cancel))
                return NotFound();
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

    private string? StoreyOf(string pick)
    {
        var parts = pick.Split(':');
        if (parts.Length < 2)
            return null;
        var room = parts[0] switch
        {
            "room" or "wall" => parts[1],
            "box" or "run" => A.Boxes.GetValueOrDefault(parts[1])?.Room,
            "opening" => Job.Openings.FirstOrDefault(o => o.Id == parts[1])?.Room,
            "wish" => Job.Wishes.FirstOrDefault(w => w.Id == parts[1])?.Room,
            "counter" or "fixture" or "appliance" => PickedThingRoom(parts[0], parts[1]),
            "circuit" when int.TryParse(parts[1], out var n) => A.CircuitByNumber(n)?.Boxes.FirstOrDefault()?.Room,
            _ => null,
        };
        return parts[0] == "storey" ? Job.StoreyById(parts[1])?.Id : Job.RoomById(room)?.Storey;
    }

    private string? PickedThingRoom(string kind, string id) =>
        kind switch
        {
            "counter" => Job.Counters.FirstOrDefault(c => c.Id == id)?.Room,
            "fixture" => Job.Fixtures.FirstOrDefault(c => c.Id == id)?.Room,
            _ => Job.ApplianceById(id)?.Room,
        };
}
