using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Circuits;

/// <summary>How far a division into circuits is that takes its time, and its early end.</summary>
public sealed class PlanningModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>Says how far it is; nothing when nothing is planned.</summary>
    public IActionResult OnGet() => desk.Planning(Id) is { } says ? Content(says) : NoContent();

    /// <summary>Ends it with the best so far.</summary>
    public IActionResult OnPost() => desk.StopPlanning(Id) ? Content("The best so far is taken.") : NoContent();

    private static NoContentResult NoContent() => new();
}
