using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>A job to look at: its plan, papers and pictures, without money and without anything to change.</summary>
[Authorize(Roles.Reader)]
public sealed class LookModel(FieldDesk desk, PhotoDesk photos) : PageModel
{
    private static readonly string[] Shown =
    [
        "schedule",
        "one-line",
        "load",
        "boxes",
        "findings",
        "resets",
        "check-rough",
        "check-final",
        "corrections",
        "tests",
        "as-built",
        "booklet",
    ];

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>How many pictures there are.</summary>
    public int Photos { get; private set; }

    /// <summary>The papers: name and title.</summary>
    public static IReadOnlyList<(string Name, string Title)> Papers { get; } =
    [.. Formats.Documents.Papers.Titles.Where(p => Shown.Contains(p.Name))];

    /// <summary>Whether the inspections can be worked on.</summary>
    public bool MayCheck => !User.IsInRole(Roles.Guest);

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } field)
            return NotFound();
        (Field, Photos) = (field, (await photos.ListAsync(Id, cancel)).Count);
        return Page();
    }
}
