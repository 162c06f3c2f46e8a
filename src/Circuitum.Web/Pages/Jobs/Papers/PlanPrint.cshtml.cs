using Circuitum.Core.Analysis;
using Circuitum.Formats;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>The dimensioned plan of a storey on paper.</summary>
[Authorize(Roles.Reader)]
public sealed class PlanPrintModel(JobDesk desk) : PageModel
{
    // What is left of a page between its margins, in pixels.
    private static readonly (double, double) Paper = (720, 900);

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The storey.</summary>
    [BindProperty(SupportsGet = true)]
    public string Storey { get; set; } = "";

    /// <summary>The analysis.</summary>
    public JobAnalysis A { get; private set; } = null!;

    /// <summary>Which change of the job it shows.</summary>
    public int Stamp { get; private set; }

    /// <summary>The storey's name.</summary>
    public string StoreyName => A.Job.StoreyById(Storey)!.Name;

    /// <summary>The plan as SVG.</summary>
    public string Plan() => PlanSvg.Draw(A, new PlanView(Storey, PlanStage.Dimensioned) { Canvas = Paper });

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job || job.Analysis.Job.Storeys.Length == 0)
            return NotFound();
        (A, Stamp) = (job.Analysis, job.Stored.Stamp);
        if (A.Job.StoreyById(Storey) is null)
            Storey = A.Job.Storeys[0].Id;
        return Page();
    }
}
