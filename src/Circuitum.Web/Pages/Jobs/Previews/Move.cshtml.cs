using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Previews;

/// <summary>
/// What moving boxes or a room to a circuit would do, in whole, or a sentence that says why it cannot be done. Nothing is changed.
/// </summary>
public sealed class MoveModel(JobDesk desk) : PageModel
{
    /// <summary>Why it cannot be done, or empty.</summary>
    public string Problem { get; private set; } = "";

    /// <summary>What it would do, when it can be done.</summary>
    public CircuitPreview? Preview { get; private set; }

    /// <summary>The units of the job.</summary>
    public LengthUnits Units { get; private set; }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(string id, string[] box, string? room, string? circuit, CancellationToken cancel)
    {
        if (await desk.OpenAsync(id, cancel) is not { Analysis: var a })
            return NotFound();
        Units = a.Units;
        int? to =
            circuit == "new" ? null
            : int.TryParse(circuit, out var n) ? n
            : 0;
        JobCommand command = room is null ? new AssignBoxes([.. box], to) : new AssignRoom(room, to);
        var moved = command.Apply(a.Job);
        Problem = moved.Problem;
        Preview = moved.Job is null ? null : CircuitPreview.Of(a, moved.Job);
        return Page();
    }
}
