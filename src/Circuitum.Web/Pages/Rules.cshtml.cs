using System.Collections.Immutable;
using Circuitum.Core.Checks;
using Circuitum.Core.Codes;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>The rules by edition and whether each is checked.</summary>
public sealed class RulesModel(JobDesk desk) : PageModel
{
    /// <summary>A job whose amendments are shown beside the editions, or none.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Job { get; set; }

    /// <summary>The job's name and its edition with the layers laid over it, or none.</summary>
    public (string Name, CodeEdition Edition)? Local { get; private set; }

    /// <summary>Shows the rules.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (string.IsNullOrEmpty(Job))
            return Page();
        if (await desk.OpenAsync(Job, cancel) is not { } open)
            return NotFound();
        Local = (open.Analysis.Job.Name, open.Analysis.Edition);
        return Page();
    }

    /// <summary>The editions, newest first.</summary>
    public ImmutableArray<CodeEdition> Editions { get; } = [.. CodeLibrary.EditionIds.Select(CodeLibrary.Edition)];

    /// <summary>The rules by area.</summary>
    public IEnumerable<IGrouping<string, RuleLine>> Groups =>
        RuleBook.Of(Local?.Edition ?? Editions[0], [.. Editions, .. new[] { Local?.Edition }.OfType<CodeEdition>()]);
}
