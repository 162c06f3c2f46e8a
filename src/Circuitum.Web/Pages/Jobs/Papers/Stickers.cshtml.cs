using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>Sheets of stickers for cables and breakers.</summary>
public sealed class StickersModel(JobDesk desk, Reach reach) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>What is shown.</summary>
    public StickerChoice Choice { get; private set; } = null!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } open)
            return NotFound();
        (Open, Choice) = (open, StickerChoice.Of(Request.Query).For(reach, Id));
        return Page();
    }
}
