using Circuitum.Core.Analysis;
using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>Sets of papers that were issued, and what has changed since.</summary>
public sealed class IssuedModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The set to compare with, or none.</summary>
    [BindProperty(SupportsGet = true)]
    public int? Since { get; set; }

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>The sets, last first.</summary>
    public IReadOnlyList<IssuedSet> Sets { get; private set; } = [];

    /// <summary>The set that is compared with.</summary>
    public IssuedSet? Picked => Sets.FirstOrDefault(s => s.Number == Since);

    /// <summary>What has changed since it.</summary>
    public ChangesSince? Changes { get; private set; }

    /// <summary>A sentence about a set that was not issued.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>Shows the sets.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Issues a set.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, string? name, CancellationToken cancel)
    {
        Refusal = await desk.IssueAsync(Id, stamp, name ?? "", cancel);
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/issued");
        return await Load(cancel) ? Page() : NotFound();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        (Open, Sets) = (job, await desk.IssuedAsync(Id, cancel));
        if (Picked is null)
            return Since is null;
        if (await desk.IssuedAsync(Id, Picked.Number, cancel) is { } before)
            Changes = ChangesSince.Of(before, job.Analysis);
        return true;
    }
}
