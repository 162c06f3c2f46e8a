using System.Collections.Immutable;
using Circuitum.Core.Checks;
using Circuitum.Core.Codes;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>The rules by edition and whether each is checked.</summary>
public sealed class RulesModel : PageModel
{
    /// <summary>A rule as the page shows it.</summary>
    /// <param name="Id">Its id.</param>
    /// <param name="Title">A few words.</param>
    /// <param name="Text">In plain words, as the newest edition has it.</param>
    /// <param name="Cites">Its section in each edition.</param>
    /// <param name="Severity">How a breach is graded.</param>
    /// <param name="State">Checked, applied, or left to the inspector.</param>
    public sealed record Line(string Id, string Title, string Text, ImmutableArray<string> Cites, string Severity, string State);

    private static readonly (string Prefix, string Name)[] Areas = [("plan.", "The plan"), ("box.", "Boxes"), ("circuit.", "Circuits"), ("wire.", "Wire and breaker"), ("protect.", "Protection"), ("panel.", "Panel"), ("service.", "Service"), ("appliance.", "Appliances"), ("switch.", "Switches")];

    /// <summary>The editions, newest first.</summary>
    public ImmutableArray<CodeEdition> Editions { get; } = [.. CodeLibrary.EditionIds.Select(CodeLibrary.Edition)];

    /// <summary>The rules by area.</summary>
    public IEnumerable<IGrouping<string, Line>> Groups => Editions[0].Rules
        .OrderBy(r => Array.FindIndex(Areas, a => r.Key.StartsWith(a.Prefix, StringComparison.Ordinal))).ThenBy(r => r.Key, StringComparer.Ordinal)
        .Select(r => new Line(r.Key, r.Value.Title, r.Value.Text, [.. Editions.Select(e => e.Rules[r.Key].Applies ? e.Cite(r.Key) : "not in force")], r.Value.Severity, State(r.Key)))
        .GroupBy(l => Areas.First(a => l.Id.StartsWith(a.Prefix, StringComparison.Ordinal)).Name);

    private static string State(string rule) => CheckList.Checked.Contains(rule) ? "checked" : CheckList.LeftToTheInspector.Contains(rule) ? "left to the inspector" : "applied in planning and sizing";
}
