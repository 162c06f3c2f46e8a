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

    /// <summary>The family whose rules are shown: that of the job, else the one asked for.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Family { get; set; }

    /// <summary>The newest edition of each family.</summary>
    public static IEnumerable<CodeEdition> Families => CodeLibrary.EditionIds.Select(CodeLibrary.Edition).DistinctBy(e => e.Family);

    /// <summary>The editions of the family, newest first.</summary>
    public ImmutableArray<CodeEdition> Editions =>
        [
            .. CodeLibrary
                .IdsOf((Local?.Edition ?? Families.FirstOrDefault(f => f.Family == Family) ?? CodeLibrary.Newest).Family)
                .Select(CodeLibrary.Edition),
        ];

    /// <summary>The rules by area.</summary>
    public IEnumerable<IGrouping<string, RuleLine>> Groups =>
        RuleBook.Of(Local?.Edition ?? Editions[0], [.. Editions, .. new[] { Local?.Edition }.OfType<CodeEdition>()]);

    /// <summary>Whether something of these rules is to be looked up before anyone builds on it.</summary>
    public bool IsDoubted => Editions[0].Rules.Values.Any(r => r.Doubt.Length > 0);
}
