using System.Collections.Immutable;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Every rule the product knows, for the rules page and the document of the rules.</summary>
public static class RuleBook
{
    /// <summary>The areas in the order of the work: the beginning of a rule's id, and its heading.</summary>
    public static ImmutableArray<(string Prefix, string Name)> Areas { get; } =
    [
        ("plan.", "The plan"),
        ("box.", "Boxes"),
        ("circuit.", "Circuits"),
        ("wire.", "Wire and breaker"),
        ("protect.", "Protection"),
        ("panel.", "Panel"),
        ("board.", "Split board"),
        ("feeder.", "Feeders"),
        ("service.", "Service"),
        ("appliance.", "Appliances"),
        ("switch.", "Switches"),
        ("local.", "Added by the authority"),
    ];

    /// <summary>The rules of an edition by area, each with its sections in others.</summary>
    /// <param name="edition">Whose rules, words and numbers.</param>
    /// <param name="columns">The editions whose sections are told.</param>
    public static IEnumerable<IGrouping<string, RuleLine>> Of(CodeEdition edition, IReadOnlyList<CodeEdition> columns) =>
        edition
            // Where a family goes by rules of its own, those of the others are no business of its page.
            .Rules.Keys.Where(id => edition.Board is null || columns.Any(c => c.InForce(id)))
            .OrderBy(Area)
            .ThenBy(id => id, StringComparer.Ordinal)
            .Select(id =>
                edition.Rule(id) is var r
                    ? new RuleLine(id, r.Title, r.Text, [.. columns.Select(c => Cite(c, id))], r.Severity, r.Doubt, State(id))
                    : null!
            )
            .GroupBy(l => Areas[Area(l.Id)].Name);

    /// <summary>What the product does with a rule.</summary>
    public static string State(string rule) =>
        Area(rule) == Areas.Length - 1 || CheckList.Checked.Contains(rule) ? "checked"
        : CheckList.LeftToTheInspector.Contains(rule) ? "left to the inspector"
        : "applied in planning and sizing";

    private static int Area(string rule) => Areas.IndexOf(Areas.First(a => rule.StartsWith(a.Prefix, StringComparison.Ordinal)));

    private static string Cite(CodeEdition edition, string rule) =>
        !edition.Rules.TryGetValue(rule, out var r) ? ""
        : r.Applies ? r.Cite
        : r.Amended is { } layer ? $"off: {layer}"
        : r.Cite == Rule.NoCite ? "none"
        : "not in force";
}
