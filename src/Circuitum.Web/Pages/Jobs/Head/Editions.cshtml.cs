using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Review;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Head;

/// <summary>What two editions ask for differently in one house.</summary>
public sealed class EditionsModel(JobDesk desk, WorkQueue queue) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>One edition; none takes the job's.</summary>
    [BindProperty(SupportsGet = true)]
    public string? One { get; set; }

    /// <summary>The other; none takes the next older one.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Other { get; set; }

    /// <summary>The analysis.</summary>
    public JobAnalysis A { get; private set; } = null!;

    /// <summary>How far the comparison is that is not made yet; none when it is.</summary>
    public string? Waiting { get; private set; }

    private sealed record Made(ImmutableArray<EditionDifference> Differences);

    /// <summary>The differences.</summary>
    public ImmutableArray<EditionDifference> Differences { get; private set; } = [];

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return NotFound();
        A = job.Analysis;
        List<string> known = [.. CodeLibrary.IdsOf(A.Edition.Family)];
        if (One is null || !known.Contains(One))
            One = A.Job.CodeEdition;
        if (Other is null || !known.Contains(Other))
            Other = known.FirstOrDefault(e => e != One, One);
        var turn = await queue.AskAsync(
            $"editions {Id} {job.Stored.Stamp} {desk.Deletions} {One} {Other}",
            watch => new Made(EditionCompare.Of(A.Job, One, Other, watch)),
            cancel
        );
        Differences = turn.Done?.Differences ?? [];
        Waiting = turn.Done is null ? turn.Says : null;
        return Page();
    }
}
