using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>Any paper of a job, on the screen in the words of its PDF.</summary>
public sealed class PaperPageModel(JobDesk desk) : PageModel
{
    /// <summary>The paper.</summary>
    public PaperSheet Sheet { get; private set; } = null!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(string id, string name, CancellationToken cancel)
    {
        if (!Formats.Documents.Papers.Names.Contains(name) || await desk.OpenAsync(id, cancel) is not { } open)
            return NotFound();
        Sheet = new(id, open, name, "panel", "panel");
        return Page();
    }
}
