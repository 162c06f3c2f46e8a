using System.Collections.Immutable;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats;
using Circuitum.Formats.Dxf;
using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>The list of jobs; new job and import.</summary>
[RequestSizeLimit(App.MostArchiveBytes)]
[RequestFormLimits(MultipartBodyLengthLimit = App.MostArchiveBytes)]
public sealed class IndexModel(JobDesk desk, DrawingTray tray, Notes notes) : PageModel
{
    /// <summary>All jobs.</summary>
    public IReadOnlyList<JobListing> Jobs { get; private set; } = [];

    /// <summary>Jobs that were put away.</summary>
    public IReadOnlyList<JobListing> PutAway { get; private set; } = [];

    /// <summary>A key by which a form that is sent twice is known.</summary>
    public string FormKey { get; } = Guid.NewGuid().ToString("N");

    /// <summary>What was wrong with a file or a new job.</summary>
    public IReadOnlyList<string> Problems { get; private set; } = [];

    /// <summary>The starter houses.</summary>
    public IReadOnlyList<(string File, string Text)> Starters { get; } = desk.Starters;

    /// <summary>Houses that the firm saved to begin with.</summary>
    public ImmutableArray<StarterHouse> Own { get; private set; } = [];

    /// <summary>Shows the list.</summary>
    public async Task OnGetAsync(string? note, CancellationToken cancel)
    {
        await Load(cancel);
        if (notes.Take(note) is { Length: > 0 } sentence)
            Problems = [sentence];
    }

    /// <summary>Puts a job away.</summary>
    public async Task<IActionResult> OnPostPutAwayAsync(string? job, CancellationToken cancel) =>
        await desk.PutAwayAsync(job ?? "", true, cancel) ? Redirect("/") : NotFound();

    /// <summary>Takes a job back that was put away.</summary>
    public async Task<IActionResult> OnPostTakeBackAsync(string? job, CancellationToken cancel) =>
        await desk.PutAwayAsync(job ?? "", false, cancel) ? Redirect("/") : NotFound();

    /// <summary>Deletes an archived job for good.</summary>
    public async Task<IActionResult> OnPostDeleteAsync(string? job, string? name, CancellationToken cancel)
    {
        if (await desk.DeleteAsync(job ?? "", name ?? "", cancel) is not { Length: > 0 } problem)
            return Redirect("/");
        (Problems, Refused) = ([problem], job ?? "");
        await Load(cancel);
        return Page();
    }

    /// <summary>The archived job that was not deleted: its form stays open; empty for none.</summary>
    public string Refused { get; private set; } = "";

    /// <summary>Makes another job of one.</summary>
    public async Task<IActionResult> OnPostCopyAsync(string? job, string? key, CancellationToken cancel) =>
        await desk.CopyAsync(job ?? "", key, cancel) is not null ? Redirect("/") : NotFound();

    private async Task Load(CancellationToken cancel)
    {
        (Jobs, PutAway) = (await desk.ListAsync(cancel), await desk.DeletedAsync(cancel));
        Own = (await desk.CompanyAsync(cancel)).Company.Starters;
    }

    /// <summary>Starts a job with one empty storey, or from a starter house.</summary>
    public async Task<IActionResult> OnPostNewAsync(string? name, string? storey, string? start, string? key, CancellationToken cancel)
    {
        var job = new Job
        {
            Storeys =
            [
                new Storey
                {
                    Id = "first",
                    Name = string.IsNullOrWhiteSpace(storey) ? "First floor" : storey.Trim(),
                    Floor = Length.Zero,
                },
            ],
        };
        var company = (await desk.CompanyAsync(cancel)).Company;
        if (start is ['o', 'w', 'n', ':', .. var own])
        {
            if (!int.TryParse(own, out var which) || company.Starters.ElementAtOrDefault(which) is not { House: var house })
                return await Finish(null, [new Problem("start", "That starter house is not there any more.")], "", cancel);
            job = house;
        }
        else if (!string.IsNullOrEmpty(start))
        {
            var reading = await desk.StarterAsync(start, cancel);
            if (reading.Job is null)
                return await Finish(null, reading.Problems, "", cancel);
            job = reading.Job;
        }

        job = company.Begin(job) with { Name = name?.Trim() ?? "" };
        var problems = JobRules.Check(job);
        return await Finish(problems.Count == 0 ? job : null, problems, "new job", cancel, key);
    }

    /// <summary>Imports a job file, or reads a drawing whose layers are chosen next.</summary>
    public async Task<IActionResult> OnPostImportAsync(IFormFile? file, string? job, string? storey, string? key, CancellationToken cancel)
    {
        if (file is null)
            return await Finish(null, [new Problem("file", "Choose a job file or a drawing.")], "", cancel);
        var isArchive = file.FileName.EndsWith(".zip", StringComparison.OrdinalIgnoreCase);
        if (!isArchive && file.Length > App.MostRequestBytes)
            return await Finish(
                null,
                [new Problem("file", $"It is larger than {App.MostRequestBytes / 1_000_000} MB, the most of a job file or a drawing.")],
                "",
                cancel
            );
        await using var stream = file.OpenReadStream();
        if (isArchive)
        {
            var (taken, problem) = await desk.TakeInAsync(stream, cancel);
            return taken is not null ? Redirect($"/jobs/{taken}/rooms") : await Finish(null, [new Problem("file", problem)], "", cancel);
        }

        if (!file.FileName.EndsWith(".dxf", StringComparison.OrdinalIgnoreCase))
        {
            var reading = await JobFile.ReadAsync(stream, cancel);
            return await Finish(reading.Job, reading.Problems, "import", cancel, key);
        }

        var drawing = await DxfReader.ReadAsync(stream, cancel);
        if (drawing.Drawing is null)
            return await Finish(null, [new Problem("file", drawing.Problem)], "", cancel);
        var name = new string([.. Path.GetFileNameWithoutExtension(file.FileName).Where(c => !char.IsControl(c)).Take(80)]).Trim();
        return Redirect(
            "/drawing/"
                + tray.Keep(
                    new WaitingDrawing(
                        name.Length == 0 ? "Imported plan" : name,
                        drawing.Drawing,
                        string.IsNullOrEmpty(job) ? null : job,
                        storey
                    )
                )
        );
    }

    private async Task<IActionResult> Finish(
        Job? job,
        IReadOnlyList<Problem> problems,
        string title,
        CancellationToken cancel,
        string? key = null
    )
    {
        if (job is not null)
            return Redirect($"/jobs/{await desk.CreateAsync(job, title, key, cancel)}/rooms");
        Problems = [.. problems.Select(p => p.ToString())];
        await Load(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
