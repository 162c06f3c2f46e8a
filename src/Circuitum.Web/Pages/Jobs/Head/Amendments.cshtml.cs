using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Head;

/// <summary>The amendment layers of a job.</summary>
public sealed class AmendmentsModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>A sentence about an edit that was not made.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The edition without the layers.</summary>
    public CodeEdition Published => CodeLibrary.Edition(Open.Analysis.Job.CodeEdition);

    /// <summary>Layers that can be taken whole: the company's and the made-up samples.</summary>
    public ImmutableArray<AmendmentLayer> Offered { get; private set; } = [];

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Makes an edit.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        var (edit, problem) = new LayerEditForm(Request.Form).Read(Offered);
        Refusal = edit is null ? problem : await desk.EditAsync(Id, stamp, new EditAmendments(edit), cancel);
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/amendments");
        return await Load(cancel) ? Page() : NotFound();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        Open = job;
        var there = job.Analysis.Job.Amendments.Select(l => l.Name).ToHashSet();
        Offered =
        [
            .. (await desk.CompanyAsync(cancel))
                .Company.Amendments.Concat(CodeLibrary.SampleLayers)
                .DistinctBy(l => l.Name)
                .Where(l => !there.Contains(l.Name) && Amended.Fits(job.Analysis.Edition, l)),
        ];
        return true;
    }
}
