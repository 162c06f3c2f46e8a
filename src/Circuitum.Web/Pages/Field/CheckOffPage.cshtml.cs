using Circuitum.Core.Field;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>What an inspection looks at, ticked on the way through the house.</summary>
[Authorize(Roles.Checker)]
public sealed class CheckOffModel(FieldDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The word of the inspection.</summary>
    [BindProperty(SupportsGet = true, Name = "at")]
    public string? Word { get; set; }

    /// <summary>The inspection.</summary>
    public Inspection At => Word == CheckOff.Word(Inspection.Final) ? Inspection.Final : Inspection.RoughIn;

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
        Refusal = !Roles.MaySay(User, task)
            ? "That is the crew's to say."
            : (await desk.TakeAsync(Id, FieldDesk.Said(task, mark, state, words, Roles.NameOf(User)), cancel)).Problem;
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/check-off?at={CheckOff.Word(At)}#{Uri.EscapeDataString(task ?? "")}");
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
