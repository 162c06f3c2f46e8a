namespace Circuitum.Formats.Tests;

public class RulesDocumentTests
{
    // What the documents say is what the data and the checks say: every rule once, in all editions of a family, in its present words.
    [Theory]
    [InlineData("us", "rules.md")]
    [InlineData("ca", "rules-ca.md")]
    [InlineData("sb", "rules-sb.md")]
    public void The_document_of_the_rules_is_the_table_the_program_writes(string family, string name)
    {
        var document = File.ReadAllText(Path.Combine(JobFileTests.Root(), "docs", name));
        var table = RulesMarkdown.Write(family);
        document.ShouldContain(table);
        table.ShouldNotContain("{");
        table.Split('\n').Count(l => l.StartsWith("| box.", StringComparison.Ordinal)).ShouldBeGreaterThan(family == "sb" ? 8 : 30);
    }
}
