using Circuitum.Core.Explain;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>A paper of a job that only shows: the load sheet, the make-up, the test before the walls close.</summary>
public sealed class PaperModel(JobDesk desk) : PageModel
{
    // Deeper steps are inputs of inputs; they are on the screen, not on paper.
    private const int Deepest = 2;

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

    /// <summary>The steps of a derivation, each after the one that it is part of.</summary>
    public static IEnumerable<(Derivation Step, int Deep)> Lines(Derivation d, int deep = 0)
    {
        foreach (var step in d.Steps)
        {
            yield return (step, deep);
            if (deep + 1 >= Deepest)
                continue;
            foreach (var below in Lines(step, deep + 1))
                yield return below;
        }
    }
}
