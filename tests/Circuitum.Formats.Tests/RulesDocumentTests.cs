namespace Circuitum.Formats.Tests;

public class RulesDocumentTests
{
    // What the document says is what the data and the checks say: every rule once, in all editions, in its present words.
    [Fact]
    public void The_document_of_the_rules_is_the_table_the_program_writes()
    {
        var document = File.ReadAllText(Path.Combine(JobFileTests.Root(), "docs", "rules.md"));
        var table = RulesMarkdown.Write();
        document.ShouldContain(table);
        table.ShouldNotContain("{");
        table.Split('\n').Count(l => l.StartsWith("| box.", StringComparison.Ordinal)).ShouldBeGreaterThan(30);
    }
}
