using Circuitum.Core.Field;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>The tests before the walls close, circuit by circuit in the order of the shortest walk.</summary>
[Authorize(Roles.Crew)]
public sealed class TestsModel(FieldDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>Why something was not taken down.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Takes down what was said, by a browser that runs no script.</summary>
    public async Task<IActionResult> OnPostAsync(
        string? task,
        string? mark,
        FieldSaid state,
        string? value,
        string? note,
        CancellationToken cancel
    )
    {
        var words = state is FieldSaid.Wrong or FieldSaid.Note ? note : value;
        Refusal = (await desk.TakeAsync(Id, FieldDesk.Said(task, mark, state, words, Roles.NameOf(User)), cancel)).Problem;
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/tests#{Uri.EscapeDataString(task ?? "")}");
        return await Load(cancel) ? Page() : NotFound();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } field)
            return false;
        Field = field;
        return true;
    }
}
