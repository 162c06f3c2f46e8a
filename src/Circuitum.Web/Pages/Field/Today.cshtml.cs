using System.Collections.Immutable;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>What there is to do in a house: how far it is, and where it goes on.</summary>
[Authorize(Roles.Crew)]
public sealed class TodayModel(FieldDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>How far each sort of work is.</summary>
    public ImmutableArray<FieldProgress> Progress => FieldProgress.Of(Field.Tasks, Field.State);

    /// <summary>What is next: the earliest sort of work that is not done, in the room where it stands first.</summary>
    public FieldTask? Next => Field.Tasks.Where(t => !Field.State.IsDone(t)).OrderBy(t => t.Work).FirstOrDefault();

    /// <summary>Tasks that two people measured differently.</summary>
    public IReadOnlyList<FieldTask> Contested => [.. Field.Tasks.Where(t => Field.State[t.Key].Contested)];

    /// <summary>The storeys with their rooms.</summary>
    public IEnumerable<(string Name, IReadOnlyList<(Room Room, ImmutableArray<FieldProgress> Progress)> Rooms)> Storeys
    {
        get
        {
            var job = Field.Job.Analysis.Job;
            var tasks = Field.Tasks.ToLookup(t => t.Room);
            return job
                .Storeys.Select(s =>
                    (
                        s.Name,
                        (IReadOnlyList<(Room, ImmutableArray<FieldProgress>)>)
                            [
                                .. job
                                    .Rooms.Where(r => r.Storey == s.Id && tasks[r.Id].Any())
                                    .Select(r => (r, FieldProgress.Of(tasks[r.Id], Field.State))),
                            ]
                    )
                )
                .Where(s => s.Item2.Count > 0);
        }
    }

    /// <summary>The name of a room.</summary>
    public string RoomName(string id) => Field.Job.Analysis.Job.RoomById(id)?.Name ?? id;

    /// <summary>Where a task is done.</summary>
    public string LinkTo(FieldTask task) =>
        $"/jobs/{Id}/field/{Uri.EscapeDataString(task.Room)}?work={task.Work}#{Uri.EscapeDataString(task.Key)}";

    /// <summary>Where a remark is answered.</summary>
    public string LinkTo(FieldRemark remark) =>
        remark.Task is { } task && task.Work != FieldWork.Inspect ? LinkTo(task) : $"/jobs/{Id}/check-off";

    /// <summary>Where a sort of work goes on: the first room in which some of it is open.</summary>
    public string LinkTo(FieldWork work) =>
        LinkTo(Field.Tasks.FirstOrDefault(t => t.Work == work && !Field.State.IsDone(t)) ?? Field.Tasks.First(t => t.Work == work));

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } field)
            return NotFound();
        Field = field;
        return Page();
    }
}
