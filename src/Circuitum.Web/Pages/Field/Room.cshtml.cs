using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>What there is to do in a room, one thing at a time; ticked with a thumb.</summary>
[Authorize(Roles.Crew)]
public sealed class FieldRoomModel(FieldDesk desk, PhotoDesk photos) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The room's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Room { get; set; } = "";

    /// <summary>The sort of work that is shown; none for the first that is not done.</summary>
    [BindProperty(SupportsGet = true, Name = "work")]
    public FieldWork? Asked { get; set; }

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>Why something was not taken down.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>What there is to do in it.</summary>
    public ImmutableArray<FieldTask> Tasks { get; private set; } = [];

    private IReadOnlyList<PhotoRow> Photos { get; set; } = [];

    private JobAnalysis A => Field.Job.Analysis;

    /// <summary>Its name.</summary>
    public string RoomName => A.Job.RoomById(Room)!.Name;

    /// <summary>How far each sort of work is in it.</summary>
    public ImmutableArray<FieldProgress> Progress => FieldProgress.Of(Tasks, Field.State);

    /// <summary>The sort of work that is shown.</summary>
    public FieldWork Work =>
        Asked is { } asked && Tasks.Any(t => t.Work == asked)
            ? asked
            : (Tasks.Where(t => !Field.State.IsDone(t)).OrderBy(t => t.Work).FirstOrDefault() ?? Tasks.FirstOrDefault())?.Work
                ?? FieldWork.Set;

    private ImmutableArray<Room> Rooms =>
        field.IsDefault
            ? field = [
                .. A.Job.Storeys.SelectMany(s => A.Job.Rooms.Where(r => r.Storey == s.Id)).Where(r => Field.Tasks.Any(t => t.Room == r.Id)),
            ]
            : field;

    /// <summary>The room before, or none.</summary>
    public Room? Before => Rooms.TakeWhile(r => r.Id != Room).LastOrDefault();

    /// <summary>The room after, or none.</summary>
    public Room? After => Rooms.SkipWhile(r => r.Id != Room).Skip(1).FirstOrDefault();

    /// <summary>A room's page, at the same sort of work.</summary>
    public string LinkTo(string room) => $"/jobs/{Id}/field/{Uri.EscapeDataString(room)}?work={Work}";

    /// <summary>What to mind at a sort of work.</summary>
    public string Caution(FieldWork work) =>
        work switch
        {
            FieldWork.Test when A.Job.Preferences.RoughTesting == RoughTesting.Live =>
                "Live tests only by or under a licensed electrician, one circuit at a time. Treat every wire as live until you have "
                    + "proven it dead.",
            FieldWork.Test => "Power off, proven dead: the tester on something live, on the wires, on something live again.",
            FieldWork.MakeUp => "Power off and locked, proven dead with a tester that was tried before and after.",
            _ => "",
        };

    /// <summary>The open reels that hold a cable.</summary>
    public IReadOnlyList<Reel> ReelsFor(FieldTask task) =>
        task.HomeRun is { } number && A.CircuitByNumber(number) is { } c
            ? [.. (A.Job.Stock ?? Stock.None).Reels.Where(r => r.Cable == $"{c.Cable}")]
            : [];

    /// <summary>The pictures of a task.</summary>
    public IEnumerable<PhotoRow> PhotosOf(FieldTask task) => Photos.Where(p => p.Task == task.Key);

    /// <summary>What was last said, in words.</summary>
    public static string Say(TaskState said)
    {
        var what = said.State switch
        {
            FieldSaid.Done => "Done",
            FieldSaid.Wrong => "Wrong",
            _ => "Not done",
        };
        var when = said.At.ToLocalTime().ToString("d MMM HH:mm", System.Globalization.CultureInfo.InvariantCulture);
        return $"{what}{(said.Value.Length > 0 ? $": {said.Value}" : "")}, by {said.By}, {when}";
    }

    /// <summary>The walls that the tasks are seen on.</summary>
    public IReadOnlyList<int> Walls => [.. Tasks.Select(t => t.Wall).OfType<int>().Distinct().Order()];

    /// <summary>Which way a wall faces.</summary>
    public string WallName(int wall) => LabelWriter.Facing(A.House[Room], wall);

    /// <summary>A wall as a drawing.</summary>
    public string Strip(int wall) =>
        SvgWriter.Text(
            StripComposer.Compose(
                A,
                A.House[Room],
                wall,
                new()
                {
                    Cables = WallCables.Of(A, A.House[Room], wall),
                    Wide = 360,
                    LeastScale = 1.6,
                }
            )
        );

    /// <summary>The way of a cable, storey by storey, or where a box is that no strip shows: as drawings with their names.</summary>
    public IEnumerable<(string Name, string Sketch)> Sketches(FieldTask task) =>
        task switch
        {
            { Cable: { } cable } => PlaceSketch
                .Way(A, cable)
                .Select(s => ($"{s.Storey}, from {cable.From} (square) to {cable.To} (dot)", SvgWriter.Text(s.Drawing))),
            { Wall: null } when A.Boxes.GetValueOrDefault(task.Box) is { } box => [("From above", SvgWriter.Text(PlaceSketch.Box(A, box)))],
            _ => [],
        };

    /// <summary>What is joined in a box, as a drawing; empty where nothing is.</summary>
    public string Joined(FieldTask task) =>
        A.Boxes.GetValueOrDefault(task.Subject.Id) is { } box && JointDrawing.Of(MakeUpGuide.Of(A, box)) is { } drawing
            ? SvgWriter.Text(drawing)
            : "";

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Takes down what was said, by a browser that runs no script.</summary>
    public async Task<IActionResult> OnPostAsync(
        string? task,
        string? mark,
        FieldSaid state,
        string? value,
        string? reel,
        string? note,
        IFormFile? picture,
        CancellationToken cancel
    )
    {
        if (!await Load(cancel))
            return NotFound();
        var words = state is FieldSaid.Wrong or FieldSaid.Note ? note : value;
        var said = (words ?? "").Trim() + (state == FieldSaid.Done && !string.IsNullOrEmpty(reel) ? $" from {reel}" : "");
        var entry = FieldDesk.Said(task, mark, state, said, Roles.NameOf(User));
        Refusal = picture is null
            ? (await desk.TakeAsync(Id, entry, cancel)).Problem
            : (await photos.TakeAsync(Id, entry, picture, cancel)).Problem;
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/field/{Uri.EscapeDataString(Room)}?work={Field.Task(task ?? "")?.Work}");
        await Load(cancel);
        return Page();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } field || field.Job.Analysis.Job.RoomById(Room) is null)
            return false;
        (Field, Tasks) = (field, [.. field.Tasks.Where(t => t.Room == Room)]);
        Photos = await photos.ListAsync(Id, cancel);
        return true;
    }
}
