using Circuitum.Core.Commands;
using Circuitum.Core.Review;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// What an edit would bring, before it is made.
public sealed partial class StageModel
{
    /// <summary>Shows what an edit would bring. Nothing is changed.</summary>
    /// <param name="only">Of the fields of the job, the one preference that is asked about.</param>
    /// <param name="brief">Whether a few lines are enough.</param>
    /// <param name="cancel">Ends it.</param>
    public async Task<IActionResult> OnPostWhatIfAsync(string? only, bool brief, CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        var (command, problem) = await ReadAsync(new EditForm(Request.Form), cancel);
        if (command is EditJob { Preferences: var typed } job && only is not null)
            command = job with { Preferences = typed.RemoveRange(typed.Keys.Where(k => k != only)) };
        var totals = PlanTotals.Of(A);
        var preview = command is null ? new(problem, false, totals, totals, []) : EditPreview.Of(A, command);
        ViewData["cost"] = preview.Cost(await supply.PricesAsync(cancel));
        if (brief)
            return Partial("Findings/_Foresight", preview);
        return Partial("Findings/_WhatIf", ("now", "then", preview));
    }
}
