using Circuitum.Formats;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>The plan with its circuits, every storey and building, as a phone keeps it.</summary>
[Authorize(Roles.Reader)]
public sealed class FieldPlanModel(FieldDesk desk) : PageModel
{
    // Twice as wide as a phone, so that labels have room: it is looked at by moving it under the glass.
    private static readonly (double, double) Canvas = (760, 700);

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>The plans with their names.</summary>
    public IEnumerable<(string Name, string Plan)> Plans
    {
        get
        {
            var a = Field.Job.Analysis;
            return a.Job.Storeys.SelectMany(s =>
                Shown
                    .On(a, s.Id, s.Name)
                    .Where(v => v.Rooms is not null || v.Key.Length == 0)
                    .Select(v =>
                        (
                            v.Name == s.Name ? s.Name : $"{s.Name}, {v.Name}",
                            PlanSvg.Draw(a, new PlanView(s.Id, PlanStage.Circuits) { Canvas = Canvas, Among = v.Rooms })
                        )
                    )
            );
        }
    }

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } field || field.Job.Analysis.Job.Storeys.Length == 0)
            return NotFound();
        Field = field;
        return Page();
    }
}
