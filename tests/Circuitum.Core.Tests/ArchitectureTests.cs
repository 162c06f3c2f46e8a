using System.Text.RegularExpressions;
using Circuitum.Core.Codes;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using NetArchTest.Rules;

namespace Circuitum.Core.Tests;

public partial class ArchitectureTests
{
    // The rooms of the core: each may use those before it.
    private static readonly string[] Rooms =
    [
        "Measure",
        "Explain",
        "Jobs",
        "Codes",
        "Geometry",
        "Intake",
        "Edits",
        "BoxLayout",
        "Loads",
        "Protection",
        "Routing",
        "Sizing",
        "Circuits",
        "Panels",
        "Analysis",
        "Simulation",
        "Takeoff",
        "Field",
        "Training",
        "Planning",
        "Drafting",
        "Entry",
        "Commands",
        "Checks",
        "Review",
        "Bench",
    ];

    private static string Core()
    {
        var at = Path.GetDirectoryName(Path.GetDirectoryName(Sample.DemoPath("tamarack-row.json")))!;
        return Path.Combine(at, "src", "Circuitum.Core");
    }

    [Fact]
    public void Rooms_only_use_rooms_before_them()
    {
        foreach (var (room, at) in Rooms.Select((r, i) => (r, i)))
        {
            // Protection looks at the circuit's run, so it may use Routing, which knows nothing of it.
            var later = Rooms
                .Skip(at + 1)
                .Where(r => (room, r) is not ("Protection", "Routing"))
                .Select(r => $"Circuitum.Core.{r}")
                .ToArray();
            if (later.Length == 0)
                continue;
            var result = Types
                .InAssembly(typeof(CodeLibrary).Assembly)
                .That()
                .ResideInNamespace($"Circuitum.Core.{room}")
                .ShouldNot()
                .HaveDependencyOnAny(later)
                .GetResult();
            (result.FailingTypeNames ?? []).ShouldBeEmpty(room);
        }
    }

    [Fact]
    public void Every_type_of_the_core_is_in_a_room() =>
        typeof(CodeLibrary)
            .Assembly.GetTypes()
            .Select(t => t.Namespace)
            .OfType<string>()
            .Where(n => n.StartsWith("Circuitum", StringComparison.Ordinal))
            .Distinct()
            .ShouldBeSubsetOf(Rooms.Select(r => $"Circuitum.Core.{r}"));

    [Fact]
    public void The_core_references_only_the_base_library_and_geometry() =>
        typeof(CodeLibrary)
            .Assembly.GetReferencedAssemblies()
            .Select(a => a.Name!)
            .Where(n => !n.StartsWith("System.", StringComparison.Ordinal))
            .ShouldBe(["NetTopologySuite"]);

    [Fact]
    public void Every_rule_that_code_names_is_in_the_data()
    {
        var rules = CodeLibrary.Editions.Values.SelectMany(e => e.Rules.Keys).ToHashSet();
        foreach (var file in Directory.GetFiles(Core(), "*.cs", SearchOption.AllDirectories))
        {
            foreach (Match named in Named().Matches(File.ReadAllText(file)))
                rules.ShouldContain(named.Groups[1].Value, Path.GetFileName(file));
        }
    }

    [Fact]
    public void A_rule_is_checked_in_one_class_and_one_file_that_are_named_after_it()
    {
        var rules = CodeLibrary.Editions.Values.SelectMany(e => e.Rules.Keys).ToHashSet();
        foreach (var rule in Checks.CheckList.Rules)
        {
            rules.ShouldContain(rule.Id);
            var name = $"{string.Concat(rule.Id.Split('.').Select(w => char.ToUpperInvariant(w[0]) + w[1..]))}Rule";
            rule.GetType().Name.ShouldBe(name);
            File.Exists(Path.Combine(Core(), "Checks", $"{name}.cs")).ShouldBeTrue(name);
        }

        Checks.CheckList.Rules.Select(r => r.Id).ShouldBeUnique();
        Checks.CheckList.LeftToTheInspector.ShouldAllBe(r => rules.Contains(r) && !Checks.CheckList.Checked.Contains(r));
    }

    // A finding is of the class's own rule by construction; this holds that nobody goes round it.
    [Fact]
    public void No_check_makes_a_finding_of_another_rule() =>
        Sources("src", "Circuitum.Core", "Checks")
            .Where(f => Path.GetFileName(f) is not ("CheckList.cs" or "CheckedRule.cs" or "LocalRules.cs"))
            .Where(f => File.ReadAllText(f).Contains("CheckList.Make", StringComparison.Ordinal))
            .ShouldBeEmpty();

    [Fact]
    public void No_sentence_of_a_check_holds_a_number_that_an_edition_could_hold()
    {
        // A unit is no limit.
        string[] lawful = ["in3"];
        var wrong = Sources("src", "Circuitum.Core", "Checks")
            .SelectMany(file => Texts(file).Select(text => (File: Path.GetFileName(file), Text: text)))
            .Where(x => lawful.Aggregate(x.Text, (text, unit) => text.Replace(unit, "", StringComparison.Ordinal)).Any(char.IsDigit));
        wrong.ShouldBeEmpty();
    }

    // Sections and the names of editions stand in the data alone: what a page or a paper cites comes by a rule's id, so that it is
    // true in each edition and under each amendment.
    // A job file that says no edition is of the first one that was shipped: a part of its format.
    [Fact]
    public void No_text_of_the_program_holds_a_section_or_names_an_edition() =>
        Sources("src")
            .SelectMany(file => Texts(file).Select(text => (File: Path.GetFileName(file), Text: text)))
            .Where(x => x.File != "Job.cs")
            .Where(x => Section().IsMatch(x.Text) || CodeLibrary.EditionIds.Any(id => x.Text.Contains(id, StringComparison.Ordinal)))
            .ShouldBeEmpty();

    // Pages, papers and rules ask an edition what it has, never what it is called.
    [Fact]
    public void No_text_of_the_program_is_the_name_of_a_family() =>
        Sources("src")
            .SelectMany(file => Texts(file).Select(text => (File: Path.GetFileName(file), Text: text)))
            .Where(x => CodeLibrary.Editions.Values.Any(e => e.Family == x.Text))
            .ShouldBeEmpty();

    // The voltages of a house are those of its supply. What measures something else with the same number says so here.
    [Fact]
    public void No_code_of_the_core_holds_a_voltage_of_the_supply()
    {
        string[] others = ["LongestName = 120", "MostAside = 120", "dislike += 120", "inches = 2; inches < 240"];
        Sources("src", "Circuitum.Core")
            .SelectMany(file =>
                CSharpSyntaxTree
                    .ParseText(File.ReadAllText(file))
                    .GetRoot()
                    .DescendantTokens()
                    .Where(t =>
                        t.IsKind(SyntaxKind.NumericLiteralToken) && t.ValueText is "120" or "240" or "230" || Volts().IsMatch(t.ValueText)
                    )
                    .Select(t => (File: Path.GetFileName(file), Text: t.Parent!.Parent!.Parent!.ToString()))
            )
            .Where(x => !others.Any(x.Text.Contains))
            .ShouldBeEmpty();
    }

    // A query on all cores that is asked within another waits for threads that wait for it; SideBySide says how it is done instead.
    [Fact]
    public void No_code_waits_for_other_threads_while_it_holds_one() =>
        Sources("src")
            .Where(f =>
                File.ReadAllText(f) is var text && (text.Contains(".AsParallel()", StringComparison.Ordinal) || Waits().IsMatch(text))
            )
            .Select(Path.GetFileName)
            .ShouldBeEmpty();

    [GeneratedRegex(@"\.Wait\(\)|GetAwaiter\(\)\.GetResult|Task\.WaitAll")]
    private static partial Regex Waits();

    [GeneratedRegex(@"\b(120|240|230|400) V\b")]
    private static partial Regex Volts();

    // Rules and planning know an appliance by its traits: one that is added to the library is treated right at once. (A garage door is
    // an opening where one is placed.)
    [Fact]
    public void No_code_of_the_core_asks_for_an_appliance_by_its_name() =>
        Sources("src", "Circuitum.Core")
            .Where(f => !f.Contains($"{Path.DirectorySeparatorChar}Bench{Path.DirectorySeparatorChar}", StringComparison.Ordinal))
            .SelectMany(file => Texts(file).Select(text => (File: Path.GetFileName(file), Text: text)))
            .Where(x => CodeLibrary.Appliances.ContainsKey(x.Text) && x.File != "RoomNames.cs")
            .ShouldBeEmpty();

    // What the strings of a file say outside the holes of interpolated ones.
    private static IEnumerable<string> Texts(string file) =>
        CSharpSyntaxTree
            .ParseText(File.ReadAllText(file))
            .GetRoot()
            .DescendantTokens()
            .Where(t =>
                t.IsKind(SyntaxKind.InterpolatedStringTextToken) && t.Parent is InterpolatedStringTextSyntax
                || t.IsKind(SyntaxKind.StringLiteralToken)
            )
            .Select(t => t.ValueText);

    [Fact]
    public void No_line_is_wider_than_140_columns_and_no_file_longer_than_300_lines()
    {
        var sources = Sources("src").Concat(Sources("tests")).Concat(Sources("benchmarks")).ToList();
        sources.Concat(Files("*.cshtml", "src")).Where(f => File.ReadLines(f).Any(l => l.Length > 140)).ShouldBeEmpty();
        sources.Where(f => File.ReadLines(f).Count() > 300).ShouldBeEmpty();
    }

    [Fact]
    public void No_style_holds_a_colour_that_is_not_of_the_theme() =>
        Files("*.css", Path.Combine("src", "Circuitum.Web", "Styles"))
            .Where(f => Path.GetFileName(f) != "theme.css")
            .SelectMany(f => File.ReadLines(f).Select(line => (File: Path.GetFileName(f), Line: line)))
            .Where(x => Colour().IsMatch(x.Line))
            .ShouldBeEmpty();

    [GeneratedRegex(
        @"#[0-9a-fA-F]{3,8}\b|\b(?:rgba?|hsla?|oklch|lab|color-mix)\(|:\s*(?:white|black|red|green|blue|gr[ae]y|yellow|brown)\s*;"
    )]
    private static partial Regex Colour();

    private static IEnumerable<string> Sources(params string[] folder) => Files("*.cs", Path.Combine(folder));

    // The sources of a kind under a folder of the repository, without what tools make.
    private static IEnumerable<string> Files(string kind, string folder) =>
        Directory
            .GetFiles(Path.Combine(Path.GetFullPath(Path.Combine(Core(), "..", "..")), folder), kind, SearchOption.AllDirectories)
            .Where(f => !f.Split(Path.DirectorySeparatorChar).Any(part => part is "bin" or "obj" or "Migrations"));

    [GeneratedRegex("\"((?:box|circuit|wire|feeder|protect|panel|service|switch|appliance|plan)\\.[a-zA-Z]{3,})\"")]
    private static partial Regex Named();

    // Of the US articles, and of the Canadian sections.
    [GeneratedRegex(@"(?<![\d.$])([12]\d\d|3[0-9]\d|[46]\d\d|7[0-9]\d|80\d)\.[1-9]\d{0,2}(?![\d.])|\b\d{1,2}-\d{3}\b")]
    private static partial Regex Section();
}
