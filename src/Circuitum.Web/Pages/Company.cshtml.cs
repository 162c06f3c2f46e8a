using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>What holds for all new jobs of the firm.</summary>
[Authorize(Roles.Owner)]
public sealed class CompanyModel(JobDesk desk) : PageModel
{
    /// <summary>The firm's document.</summary>
    public Company Company { get; private set; } = new();

    /// <summary>Which change it stands at.</summary>
    public int Stamp { get; private set; }

    /// <summary>A sentence about an edit that was not made.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The newest edition, over which the layers are shown.</summary>
    public CodeEdition Edition { get; } = CodeLibrary.Newest;

    /// <summary>Sample layers that are not taken yet.</summary>
    public ImmutableArray<AmendmentLayer> Offered =>
        [.. CodeLibrary.SampleLayers.Where(s => Company.Amendments.All(l => l.Name != s.Name))];

    /// <summary>Jobs whose house can be saved to begin with.</summary>
    public IReadOnlyList<JobListing> Jobs { get; private set; } = [];

    /// <summary>Shows it.</summary>
    public Task OnGetAsync(CancellationToken cancel) => Load(cancel);

    private async Task Load(CancellationToken cancel)
    {
        (Company, Stamp) = await desk.CompanyAsync(cancel);
        Jobs = await desk.ListAsync(cancel);
    }

    /// <summary>Makes an edit.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        await Load(cancel);
        var (changed, problem) = await Changed(cancel);
        Refusal = changed is null ? problem : await desk.SaveCompanyAsync(stamp, changed, cancel);
        if (Refusal.Length == 0)
            return Redirect("/company");
        await Load(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task<(Company? Company, string Problem)> Changed(CancellationToken cancel)
    {
        var form = new EditForm(Request.Form);
        if (form.Word == "edit-company")
        {
            var (preferences, wrong) = form.ReadPreferences(Company.Preferences);
            return preferences is null ? (null, wrong) : (Company with { Name = form.Text("name").Trim(), Preferences = preferences }, "");
        }

        if (form.Word == "keep-starter")
        {
            if (await desk.OpenAsync(form.Text("job"), cancel) is not { Analysis.Job: { Rooms.Length: > 0 } job })
                return (null, "House of: choose a job that has rooms.");
            return (Company with { Starters = Company.Starters.Add(StarterHouse.Of(job, form.Text("name").Trim())) }, "");
        }

        if (form.Word == "drop-starter")
        {
            return int.TryParse(form.Text("number"), out var number) && number >= 0 && number < Company.Starters.Length
                ? (Company with { Starters = Company.Starters.RemoveAt(number) }, "")
                : (null, "That starter house is not there any more.");
        }

        var (edit, problem) = new LayerEditForm(Request.Form).Read(Offered);
        if (edit is null)
            return (null, problem);
        var (layers, refused) = edit.Apply(Company.Amendments);
        return refused.Length > 0 ? (null, refused) : (Company with { Amendments = layers }, "");
    }
}
