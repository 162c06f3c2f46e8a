using Circuitum.Core.Analysis;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Panels;

/// <summary>All labels in one place, and the directory card as it goes into the door.</summary>
public sealed class LabelsModel(JobDesk desk) : PageModel
{
    private Dictionary<int, string> written = [];

    private EditForm? posted;

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>A sentence about an edit that was not made.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>An edit was just made.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Saved { get; set; }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Saves labels, or the size of a card.</summary>
    public async Task<IActionResult> OnPostAsync(int stamp, CancellationToken cancel)
    {
        var form = new EditForm(Request.Form);
        var (command, problem) = form.Word is "labels" or "edit-panel" ? form.Read() : (null, "That is not something this page can do.");
        Refusal = command is null ? problem : await desk.EditAsync(Id, stamp, command, cancel);
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/labels?saved=true");
        (posted, Saved) = (form, false);
        return await Load(cancel) ? Page() : NotFound();
    }

    /// <summary>The text that is written for a circuit when a person says none.</summary>
    public string Written(CircuitAnalysis c) => written.GetValueOrDefault(c.Number, c.Label);

    /// <summary>What stands in a circuit's field: what was typed just now, when it could not be saved, else its own label.</summary>
    public string Typed(CircuitAnalysis c) =>
        posted is { } form && form.Word == "labels" ? form.Text($"label.{c.Number}") : c.Circuit.Label ?? "";

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        Open = job;

        // What would be written if nobody had said anything.
        var plain = job.Analysis.Job with
        {
            Decisions = job.Analysis.Job.Decisions with
            {
                Circuits = [.. job.Analysis.Job.Decisions.Circuits.Select(c => c with { Label = null })],
            },
        };
        written = LabelWriter.Write(Core.Geometry.HouseShape.Of(plain)).ToDictionary();
        return true;
    }
}
