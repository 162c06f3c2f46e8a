using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>Codes that open rooms and home runs on a phone, to print and stick up.</summary>
[Authorize(Roles.Crew)]
public sealed class CodesModel(FieldDesk desk, Reach reach) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>Whether a phone reaches the program.</summary>
    public bool Reached => reach.FromElsewhere;

    private string At => reach.Address.Length > 0 ? reach.Address : $"{Request.Scheme}://{Request.Host}";

    /// <summary>The rooms with their addresses.</summary>
    public IEnumerable<(string Name, string Address)> Rooms =>
        Field
            .Tasks.Select(t => t.Room)
            .Distinct()
            .Select(r => (Field.Job.Analysis.Job.RoomById(r)!.Name, $"{At}/jobs/{Id}/field/{Uri.EscapeDataString(r)}"));

    /// <summary>The home runs with their addresses.</summary>
    public IEnumerable<(string Name, string Address)> Runs =>
        Field.Tasks.Where(t => t.HomeRun is not null).OrderBy(t => t.HomeRun).Select(t => (t.Label, $"{At}/jobs/{Id}/run/{t.HomeRun}"));

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } field)
            return NotFound();
        Field = field;
        return Page();
    }
}
