using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// The same house by the rules of another family.
public sealed partial class StageModel
{
    /// <summary>Makes a copy of the job, planned by another edition.</summary>
    public async Task<IActionResult> OnPostOtherRulesAsync(string? edition, CancellationToken cancel) =>
        await desk.CopyUnderAsync(Id, edition ?? "", cancel) is { } copy ? Redirect($"/jobs/{copy}/circuits") : NotFound();
}
