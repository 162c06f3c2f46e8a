using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Circuits;

/// <summary>Whole plans side by side: as it stands, and one for each aim.</summary>
public sealed class PlansModel(JobDesk desk, WorkQueue queue) : PageModel
{
    // Five stand beside each other.
    private static readonly (double, double) Small = (300, 300);

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The storey that is drawn.</summary>
    [BindProperty(SupportsGet = true)]
    public string Storey { get; set; } = "";

    /// <summary>How far the plans are that are not made yet; none when they are.</summary>
    public string? Waiting { get; private set; }

    private sealed record Made(ImmutableArray<PlanChoice> Choices);

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>The plans.</summary>
    public ImmutableArray<PlanChoice> Choices { get; private set; } = [];

    /// <summary>A sentence about a plan that was not taken.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The plan of a choice.</summary>
    public string Plan(PlanChoice choice) =>
        PlanSvg.Draw(choice.Analysis, new PlanView(Storey, PlanStage.Circuits, Changed: choice.Moved) { Canvas = Small });

    /// <summary>The circuits of a plan that are not as they stand now.</summary>
    public IEnumerable<CircuitAnalysis> Parts(PlanChoice choice) =>
        choice.Analysis.Circuits.Where(c => c.Boxes.Any(b => choice.Moved.Contains(b.Id)));

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Takes one.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, string aim, int? part, CancellationToken cancel)
    {
        Core.Edits.JobCommand command = part is { } number
            ? new Core.Commands.TakePart(aim ?? "", number)
            : new Core.Commands.TakePlan(aim ?? "");
        Refusal = await desk.EditAsync(Id, stamp, command, cancel);
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/circuits");
        return await Load(cancel) ? Page() : NotFound();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        Open = job;
        if (job.Analysis.Job.StoreyById(Storey) is null)
            Storey = job.Analysis.Job.Storeys.FirstOrDefault()?.Id ?? "";
        if (job.Analysis.Job.Decisions.Boxes.Length == 0)
            return true;
        var turn = await queue.AskAsync(
            $"plans {Id} {job.Stored.Stamp} {desk.Deletions}",
            watch => new Made(PlanChoices.Of(job.Analysis.Job, watch)),
            cancel
        );
        Choices = turn.Done?.Choices ?? [];
        Waiting = turn.Done is null ? turn.Says : null;
        return true;
    }
}
