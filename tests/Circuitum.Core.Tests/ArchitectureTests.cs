using System.Text.RegularExpressions;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Tests;

public partial class ArchitectureTests
{
    // The rooms of the core: each may use those before it.
    private static readonly string[] Rooms = ["Measure", "Explain", "Jobs", "Codes", "Geometry", "Intake", "BoxLayout", "Loads", "Protection", "Routing", "Sizing", "Circuits", "Panels", "Analysis", "Checks", "Drafting", "Commands", "Bench"];

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
            foreach (var file in Directory.GetFiles(Path.Combine(Core(), room), "*.cs"))
            {
                foreach (Match use in Using().Matches(File.ReadAllText(file)))
                {
                    // Protection looks at the circuit's run, so it may use Routing, which knows nothing of it.
                    var used = use.Groups[1].Value;
                    if (room == "Protection" && used == "Routing") continue;
                    Array.IndexOf(Rooms, used).ShouldBeInRange(0, at, $"{Path.GetFileName(file)} in {room} uses {used}");
                }
            }
        }
    }

    [Fact]
    public void The_core_references_only_the_base_library_and_geometry() =>
        typeof(CodeLibrary).Assembly.GetReferencedAssemblies().Select(a => a.Name!).Where(n => !n.StartsWith("System.", StringComparison.Ordinal)).ShouldBe(["NetTopologySuite"]);

    [Fact]
    public void Every_rule_that_code_names_is_in_the_data()
    {
        var rules = CodeLibrary.Edition("us-2023").Rules.Keys.ToHashSet();
        foreach (var file in Directory.GetFiles(Core(), "*.cs", SearchOption.AllDirectories))
        {
            foreach (Match named in Named().Matches(File.ReadAllText(file))) rules.ShouldContain(named.Groups[1].Value, Path.GetFileName(file));
        }
    }

    [Fact]
    public void The_list_of_checked_rules_is_what_the_checks_name()
    {
        var named = Directory.GetFiles(Path.Combine(Core(), "Checks"), "*.cs").Where(f => Path.GetFileName(f) != "Check.cs")
            .Concat(Directory.GetFiles(Path.Combine(Core(), "Loads"), "LoadLimits.cs"))
            .SelectMany(f => Named().Matches(File.ReadAllText(f)).Select(m => m.Groups[1].Value)).ToHashSet();
        Checks.CheckList.Checked.Order().ShouldBe(named.Order());
        Checks.CheckList.LeftToTheInspector.ShouldAllBe(r => CodeLibrary.Edition("us-2023").Rules.ContainsKey(r) && !named.Contains(r));
    }

    [Fact]
    public void No_sentence_of_a_check_holds_a_number_that_an_edition_could_hold()
    {
        var wrong = new List<string>();
        foreach (var file in Directory.GetFiles(Path.Combine(Core(), "Checks"), "*.cs"))
        {
            foreach (var line in File.ReadAllLines(file).Where(l => l.Contains("CheckList.Make(", StringComparison.Ordinal) || l.Contains("return Make(", StringComparison.Ordinal) || l.Contains("return $\"", StringComparison.Ordinal)))
            {
                // A unit and the two voltages of the supply are no limits.
                var said = new[] { "in3", "120 V", "240 V" }.Aggregate(Said(line), (s, w) => s.Replace(w, "", StringComparison.Ordinal));
                if (said.Any(char.IsDigit)) wrong.Add($"{Path.GetFileName(file)}: {said}");
            }
        }

        wrong.ShouldBeEmpty();
    }

    // What stands in the interpolated strings of a line outside their holes.
    private static string Said(string line)
    {
        var said = new System.Text.StringBuilder();
        var nest = new Stack<bool>();
        for (var i = 0; i < line.Length; i++)
        {
            var inText = nest.Count > 0 && nest.Peek();
            if (inText && line[i] == '\\') i++;
            else if (inText && line[i] == '"') nest.Pop();
            else if (inText && line[i] == '{') nest.Push(false);
            else if (inText) said.Append(line[i]);
            else if (line[i] == '$' && i + 1 < line.Length && line[i + 1] == '"') (i, _) = (i + 1, Push(nest));
            else if (line[i] == '}' && nest.Count > 0) nest.Pop();
            else if (line[i] == '"')
            {
                // A plain string: what it says counts only inside a hole of a sentence.
                for (i++; i < line.Length && line[i] != '"'; i++) if (line[i] == '\\') i++;
            }
        }

        return said.ToString();

        static bool Push(Stack<bool> nest)
        {
            nest.Push(true);
            return true;
        }
    }

    [GeneratedRegex(@"^using Circuitum\.Core\.(\w+);", RegexOptions.Multiline)]
    private static partial Regex Using();

    [GeneratedRegex("\"((?:box|circuit|wire|feeder|protect|panel|service|switch|appliance|plan)\\.[a-zA-Z]{3,})\"")]
    private static partial Regex Named();
}
