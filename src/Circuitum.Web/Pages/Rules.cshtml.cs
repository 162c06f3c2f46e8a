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
    /// <summary>A rule as the page shows it.</summary>
    /// <param name="Id">Its id.</param>
    /// <param name="Title">A few words.</param>
    /// <param name="Text">In plain words, as the newest edition has it.</param>
    /// <param name="Cites">Its section in each edition.</param>
    /// <param name="Severity">How a breach is graded.</param>
    /// <param name="State">Checked, applied, or left to the inspector.</param>
    public sealed record Line(string Id, string Title, string Text, ImmutableArray<string> Cites, string Severity, string State);

    /// <summary>A job whose amendments are shown beside the editions, or none.</summary>
    [BindProperty(SupportsGet = true)] public string? Job { get; set; }

    /// <summary>The job's name and its edition with the layers laid over it, or none.</summary>
    public (string Name, CodeEdition Edition)? Local { get; private set; }

    /// <summary>Shows the rules.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (string.IsNullOrEmpty(Job)) return Page();
        if (await desk.OpenAsync(Job, cancel) is not { } open) return NotFound();
        Local = (open.Analysis.Job.Name, open.Analysis.Edition);
        return Page();
    }

    private static readonly (string Prefix, string Name)[] Areas = [("plan.", "The plan"), ("box.", "Boxes"), ("circuit.", "Circuits"), ("wire.", "Wire and breaker"), ("protect.", "Protection"), ("panel.", "Panel"), ("feeder.", "Feeders"), ("service.", "Service"), ("appliance.", "Appliances"), ("switch.", "Switches"), ("local.", "Added by the authority")];

    /// <summary>The editions, newest first.</summary>
    public ImmutableArray<CodeEdition> Editions { get; } = [.. CodeLibrary.EditionIds.Select(CodeLibrary.Edition)];

    /// <summary>The rules by area.</summary>
    public IEnumerable<IGrouping<string, Line>> Groups => (Local?.Edition ?? Editions[0]).Rules
        .OrderBy(r => Array.FindIndex(Areas, a => r.Key.StartsWith(a.Prefix, StringComparison.Ordinal))).ThenBy(r => r.Key, StringComparer.Ordinal)
        .Select(r => new Line(r.Key, r.Value.Title, r.Value.Text, [.. Editions.Append(Local?.Edition).OfType<CodeEdition>().Select(e => CiteIn(e, r.Key))], r.Value.Severity, State(r.Key)))
        .GroupBy(l => Areas.First(a => l.Id.StartsWith(a.Prefix, StringComparison.Ordinal)).Name);

    private static string CiteIn(CodeEdition edition, string rule) => !edition.Rules.TryGetValue(rule, out var r) ? "" : r.Applies ? r.Cite : r.Amended is { } layer ? $"off: {layer}" : r.Cite == Rule.NoCite ? "none" : "not in force";

    private static string State(string rule) => rule.StartsWith("local.", StringComparison.Ordinal) || CheckList.Checked.Contains(rule) ? "checked" : CheckList.LeftToTheInspector.Contains(rule) ? "left to the inspector" : "applied in planning and sizing";
}
