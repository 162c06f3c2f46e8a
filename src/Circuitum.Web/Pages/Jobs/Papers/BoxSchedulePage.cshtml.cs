using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>The box schedule on paper: room by room what is set where, with the room's plan and its walls in studs.</summary>
[Authorize(Roles.Reader)]
public sealed class BoxSchedulePageModel(JobDesk desk) : PageModel
{
    // The room's plan stands over its table, as wide as the page.
    private static readonly (double, double) OverTable = (700, 265);

    // Several walls of a room to a page.
    private const double PaperScale = 2.4;

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The analysis.</summary>
    public JobAnalysis A { get; private set; } = null!;

    /// <summary>Which change of the job it shows.</summary>
    public int Stamp { get; private set; }

    /// <summary>The rooms with their boxes.</summary>
    public ImmutableArray<RoomBoxes> Rooms { get; private set; } = [];

    /// <summary>The boxes that wait for something.</summary>
    public ImmutableArray<Box> Held { get; private set; } = [];

    /// <summary>How many of each box to load on the truck.</summary>
    public IEnumerable<(string What, int Count)> Totals =>
        Rooms
            .SelectMany(r => r.Lines)
            .Where(l => l.Spec.Entry is not null)
            .GroupBy(l => l.Spec.Entry!.Name)
            .OrderByDescending(g => g.Count())
            .Select(g => (g.Key, g.Count()));

    /// <summary>A room's plan.</summary>
    public string Plan(RoomShape room) =>
        PlanSvg.Draw(A, new PlanView(room.Room.Storey, PlanStage.Boxes, Only: room.Room.Id) { Canvas = OverTable });

    /// <summary>A wall in studs.</summary>
    public string Strip(RoomShape room, int wall) => SvgWriter.Text(StripComposer.Compose(A, room, wall, new() { MostScale = PaperScale }));

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return NotFound();
        (A, Stamp) = (job.Analysis, job.Stored.Stamp);
        (Rooms, Held) = (BoxSchedule.Of(A), BoxSchedule.Held(A.Job));
        return Page();
    }
}
