using Circuitum.Core.Analysis;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>The panel schedule on paper.</summary>
public sealed class PrintModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The analysis.</summary>
    public JobAnalysis A { get; private set; } = null!;

    /// <summary>Which change of the job it shows.</summary>
    public int Stamp { get; private set; }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return NotFound();
        (A, Stamp) = (job.Analysis, job.Stored.Stamp);
        return Page();
    }
}
