using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;
using Circuitum.Web.Stages;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Head;

/// <summary>A job on the list of jobs: its plan in small, where it is, how far each stage is, what is next.</summary>
public sealed class CardModel(JobDesk desk) : PageModel
{
    private static readonly (double, double) ThumbnailSize = (184, 128);

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>What it waits for.</summary>
    public NextStep Next { get; private set; } = null!;

    /// <summary>Where the work goes on: the stage that is next, or the last one that has anything.</summary>
    public string GoOn => $"/jobs/{Id}/{(Next.Stage.Length > 0 ? Next.Stage : "circuits")}";

    /// <summary>How many findings must be mended.</summary>
    public int Must => Open.Analysis.Findings.Count(f => f.Severity == Severity.Must);

    /// <summary>The stages after the job's own, how far each is, and whether it has anything.</summary>
    public IEnumerable<(Stage Stage, string State, bool Done)> Stages =>
        StageList
            .Tabs.Skip(1)
            .Where(s => s.AppliesTo(Open.Analysis.Edition))
            .Select(s => (s, s.Progress(Open.Analysis), s.HasBegun(Open.Analysis)));

    /// <summary>Its first storey in small: walls and openings only.</summary>
    public string Thumbnail =>
        Open.Analysis.Job.Storeys is [var first, ..] ? SvgWriter.Text(PlanComposer.Thumbnail(Open.Analysis, first.Id, ThumbnailSize)) : "";

    /// <summary>Place, edition, area and service.</summary>
    public IEnumerable<string> Facts
    {
        get
        {
            var a = Open.Analysis;
            if (a.Job.Place.Length > 0)
                yield return a.Job.Place;
            yield return a.Edition.Name;
            if (a.AreaSqFt > 0)
                yield return FloorArea.Show(a.AreaSqFt, a.Units);
            if (a.Panel is { } panel)
                yield return $"{panel.MainBreaker} A";
        }
    }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } open)
            return NotFound();
        (Open, Next) = (open, NextStep.Of(open.Analysis, null));
        return Page();
    }
}
