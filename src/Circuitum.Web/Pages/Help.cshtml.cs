using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>How it thinks and what the words mean, in the words of one family of rules.</summary>
public sealed class HelpModel : PageModel
{
    /// <summary>The rules in whose words it is told; those of a new job where none of that name are known.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Rules { get; set; }

    /// <summary>The latest edition of each family that has words of its own.</summary>
    public static IReadOnlyList<string> Families { get; } =
    [.. CodeLibrary.EditionIds.GroupBy(id => CodeLibrary.Edition(id).Family).Select(g => g.Order(StringComparer.Ordinal).Last())];

    /// <summary>The edition in whose words it is told.</summary>
    public CodeEdition Edition =>
        Rules is not null && CodeLibrary.Editions.TryGetValue(Rules, out var rules) ? rules : CodeLibrary.Edition(new Job().CodeEdition);
}
