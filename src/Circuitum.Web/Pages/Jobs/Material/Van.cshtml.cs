using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;
using Circuitum.Formats;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Material;

/// <summary>What goes into the van for a stage, or for some rooms of it on one day; ticked on a phone.</summary>
[Authorize(Roles.Crew)]
public sealed class VanModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The stage in a word.</summary>
    [BindProperty(SupportsGet = true, Name = "stage")]
    public string? StageWord { get; set; }

    /// <summary>The rooms that are worked in; none for the whole house.</summary>
    [BindProperty(SupportsGet = true, Name = "room")]
    public List<string> Rooms { get; set; } = [];

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>The stage.</summary>
    public BuyStage At => MaterialWords.Stage(StageWord) ?? BuyStage.RoughIn;

    /// <summary>The list.</summary>
    public VanList List { get; private set; } = null!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return NotFound();
        Open = job;
        Rooms = [.. Rooms.Where(r => job.Analysis.Job.RoomById(r) is not null)];
        List = VanList.Of(job.Analysis, At, Rooms.Count > 0 ? Rooms.ToHashSet() : null);
        return Page();
    }
}
