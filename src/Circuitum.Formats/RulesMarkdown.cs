using System.Text;
using Circuitum.Core.Checks;
using Circuitum.Core.Codes;

namespace Circuitum.Formats;

/// <summary>The table of docs/rules.md, so that the document says what the data and the checks say.</summary>
public static class RulesMarkdown
{
    /// <summary>A heading and a table for each area, sections by edition, oldest first.</summary>
    /// <param name="family">The family of rules.</param>
    public static string Write(string family)
    {
        var editions = CodeLibrary.IdsOf(family).Select(CodeLibrary.Edition).OrderBy(e => e.Id, StringComparer.Ordinal).ToList();
        var text = new StringBuilder();
        foreach (var area in RuleBook.Of(editions[^1], editions))
        {
            text.Append(
                $"### {area.Key}\n\n| rule | about | in plain words | {string.Join(" | ", editions.Select(e => e.Id))} | a "
                    + "breach is a | state |\n"
            );
            text.Append($"|---|---|---|{string.Concat(editions.Select(_ => "---|"))}---|---|\n");
            foreach (var l in area)
                text.Append(
                    $"| {l.Id} | {Cell(l.Title)} | {Cell(l.Text + Doubt(l))} | {string.Join(" | ", l.Cites.Select(Cell))} | {l.Severity} | "
                        + $"{l.State} |\n"
                );
            text.Append('\n');
        }

        return text.ToString().TrimEnd('\n') + "\n";
    }

    private static string Doubt(RuleLine line) => line.Doubt.Length > 0 ? $" *To be looked up: {line.Doubt}.*" : "";

    private static string Cell(string text) => text.Replace("|", "\\|", StringComparison.Ordinal);
}
