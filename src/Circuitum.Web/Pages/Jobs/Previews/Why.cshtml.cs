using Circuitum.Core.Explain;
using Circuitum.Core.Review;
using Circuitum.Core.Takeoff;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Previews;

/// <summary>The derivation behind a number of a job.</summary>
public sealed class WhyModel(JobDesk desk, WorkQueue queue) : PageModel
{
    // Planning afresh takes a while, so it is told only when it is asked for, and not part of the analysis.
    private const string Afresh = "afresh";

    private static readonly Derivation Busy = new("Planning afresh", "not worked out")
    {
        Because = "Many others are being served just now. Ask again in a moment.",
    };

    /// <summary>The derivation.</summary>
    public Derivation Derivation { get; private set; } = null!;

    /// <summary>Shows it; not found where there is no such number.</summary>
    public async Task<IActionResult> OnGetAsync(string id, string? key, CancellationToken cancel)
    {
        if (await desk.OpenAsync(id, cancel) is not { Analysis: var a, Stored.Stamp: var stamp })
            return NotFound();
        var why =
            key == Afresh
                ? await queue.WaitAsync($"afresh {id} {stamp} {desk.Deletions}", watch => PlanChoices.Saving(a, watch), cancel) ?? Busy
                : a.Why(key ?? "") ?? MaterialWhy.Of(a, key ?? "");
        if (why is null)
            return NotFound();
        Derivation = why;
        return Page();
    }
}
