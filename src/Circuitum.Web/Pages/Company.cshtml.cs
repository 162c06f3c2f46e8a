using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>What holds for all new jobs of the firm.</summary>
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

    /// <summary>Shows it.</summary>
    public async Task OnGetAsync(CancellationToken cancel) => (Company, Stamp) = await desk.CompanyAsync(cancel);

    /// <summary>Makes an edit.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        (Company, Stamp) = await desk.CompanyAsync(cancel);
        var (changed, problem) = Changed();
        Refusal = changed is null ? problem : await desk.SaveCompanyAsync(stamp, changed, cancel);
        if (Refusal.Length == 0)
            return Redirect("/company");
        (Company, Stamp) = await desk.CompanyAsync(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private (Company? Company, string Problem) Changed()
    {
        var form = new EditForm(Request.Form);
        if (form.Word == "edit-company")
        {
            var (preferences, wrong) = form.ReadPreferences(Company.Preferences);
            return preferences is null ? (null, wrong) : (Company with { Name = form.Text("name").Trim(), Preferences = preferences }, "");
        }

        var (edit, problem) = new LayerEditForm(Request.Form).Read(Offered);
        if (edit is null)
            return (null, problem);
        var (layers, refused) = edit.Apply(Company.Amendments);
        return refused.Length > 0 ? (null, refused) : (Company with { Amendments = layers }, "");
    }
}
