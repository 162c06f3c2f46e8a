using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>The jobs as an inspector begins with them.</summary>
[Authorize(Roles.Checker)]
public sealed class LooksModel(JobDesk desk) : PageModel
{
    /// <summary>The jobs, last changed first.</summary>
    public IReadOnlyList<JobListing> Jobs { get; private set; } = [];

    /// <summary>Shows them.</summary>
    public async Task OnGetAsync(CancellationToken cancel) => Jobs = await desk.ListAsync(cancel);
}
