using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>A paper of a job that only shows: the schedule, the load sheet, the make-up, the test before the walls close.</summary>
public class PaperModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } open)
            return NotFound();
        Open = open;
        return Page();
    }
}
