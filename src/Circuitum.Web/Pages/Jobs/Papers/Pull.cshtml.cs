using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Takeoff;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>The pull sheet: home runs in pulling order, to be ticked off on a phone or on paper, and stickers for their ends.</summary>
[Authorize(Roles.Crew)]
public sealed class PullModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>A sentence about an edit that was not made.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The runs in their groups.</summary>
    public ImmutableArray<PullGroup> Groups { get; private set; } = [];

    /// <summary>What is drilled for all cables.</summary>
    public DrillList Drill => DrillList.Of(Open.Analysis);

    private ImmutableArray<CutPlan> Cuts => field.IsDefault ? field = CutPlan.Of(Open.Analysis) : field;

    private ReelCuts? Reel(PullLine line) =>
        Cuts.SelectMany(p => p.Reels).FirstOrDefault(r => r.Cuts.Any(c => c.Circuit == line.Circuit.Number && c.From is null));

    /// <summary>From which reel a run is cut, in words; none for one that is pulled.</summary>
    public string? ReelOf(PullLine line) => Reel(line)?.Name;

    /// <summary>The open reel that a run is cut from; none for a new coil.</summary>
    public string? OpenReelOf(PullLine line) => Reel(line)?.Reel?.Id;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Ticks a run off, or takes the tick back.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        var form = new EditForm(Request.Form);
        var (command, problem) = form.Word == "pulled" ? form.Read() : (null, "That is not something this page can do.");
        Refusal = command is null ? problem : await desk.EditAsync(Id, stamp, command, cancel);
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/pull#run-{form.Text("circuit")}");
        return await Load(cancel) ? Page() : NotFound();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        Open = job;
        Groups = PullList.Of(job.Analysis);
        return true;
    }
}
