using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Kept;

/// <summary>Backups: made, looked into, saved elsewhere; a job of one brought back.</summary>
[Authorize(Roles.Owner)]
public sealed class BackupsModel(BackupDesk desk) : PageModel
{
    /// <summary>The backup that is looked into, or none.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Look { get; set; }

    /// <summary>All backups, the last one first.</summary>
    public IReadOnlyList<FileInfo> All { get; private set; } = [];

    /// <summary>How often one is made by itself, and how many are kept.</summary>
    public (TimeSpan Every, int Most) Schedule => (desk.Every, desk.Most);

    /// <summary>What differs from the backup that is looked into.</summary>
    public IReadOnlyList<JobDifference>? Different { get; private set; }

    /// <summary>What was done.</summary>
    public string Done { get; private set; } = "";

    /// <summary>Why something was not done, or what went wrong by the clock.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        Refusal = desk.Problem;
        All = desk.All;
        if (Look is null)
            return Page();
        if (desk.Of(Look) is not { } backup)
            return NotFound();
        try
        {
            Different = await desk.CompareAsync(backup, cancel);
        }
        catch (StoreException e)
        {
            Refusal = e.Message;
        }

        return Page();
    }

    /// <summary>Makes one.</summary>
    public async Task<IActionResult> OnPostMakeAsync(CancellationToken cancel)
    {
        var (facts, problem) = await desk.MakeAsync(cancel);
        (Done, Refusal, All) = (facts is null ? "" : $"Backed up: {facts.InWords}. It was opened and is whole.", problem, desk.All);
        return Page();
    }

    /// <summary>Brings a job of one back as another job.</summary>
    public async Task<IActionResult> OnPostBringBackAsync(string? job, CancellationToken cancel)
    {
        if (desk.Of(Look ?? "") is not { } backup)
            return NotFound();
        try
        {
            var (id, problem) = await desk.BringBackAsync(backup, job ?? "", cancel);
            if (id is not null)
                return Redirect($"/jobs/{id}/rooms");
            Refusal = problem;
        }
        catch (StoreException e)
        {
            Refusal = e.Message;
        }

        All = desk.All;
        return Page();
    }

    /// <summary>Saves one elsewhere.</summary>
    public IActionResult OnGetFile(string? name) =>
        desk.Of(name ?? "") is { } backup ? PhysicalFile(backup.FullName, "application/vnd.sqlite3", backup.Name) : NotFound();
}
