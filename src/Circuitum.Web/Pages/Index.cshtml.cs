using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats;
using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>The list of jobs; new job and import.</summary>
public sealed class IndexModel(JobDesk desk) : PageModel
{
    /// <summary>All jobs.</summary>
    public IReadOnlyList<JobListing> Jobs { get; private set; } = [];

    /// <summary>What was wrong with a file or a new job.</summary>
    public IReadOnlyList<string> Problems { get; private set; } = [];

    /// <summary>Shows the list.</summary>
    public async Task OnGetAsync(CancellationToken cancel) => Jobs = await desk.ListAsync(cancel);

    /// <summary>Starts a job with one empty storey.</summary>
    public Task<IActionResult> OnPostNewAsync(string? name, string? storey, CancellationToken cancel)
    {
        var job = new Job { Name = name?.Trim() ?? "", Storeys = [new Storey { Id = "first", Name = storey ?? "First floor", Floor = Length.Zero }] };
        var problems = JobRules.Check(job);
        return Finish(problems.Count == 0 ? job : null, problems, "new job", cancel);
    }

    /// <summary>Imports a job file.</summary>
    public async Task<IActionResult> OnPostImportAsync(IFormFile? file, CancellationToken cancel)
    {
        if (file is null) return await Finish(null, [new Problem("file", "Choose a job file.")], "", cancel);
        await using var stream = file.OpenReadStream();
        var reading = await JobFile.ReadAsync(stream, cancel);
        return await Finish(reading.Job, reading.Problems, "import", cancel);
    }

    private async Task<IActionResult> Finish(Job? job, IReadOnlyList<Problem> problems, string title, CancellationToken cancel)
    {
        if (job is not null) return Redirect($"/jobs/{await desk.CreateAsync(job, title, cancel)}/rooms");
        Problems = [.. problems.Select(p => p.ToString())];
        Jobs = await desk.ListAsync(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
