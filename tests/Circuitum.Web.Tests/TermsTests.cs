using System.Text.RegularExpressions;
using Circuitum.Web.Work;

namespace Circuitum.Web.Tests;

/// <summary>Words that are explained where they are met.</summary>
public class TermsTests
{
    // What no ticket has a row for is explained on the page of help alone.
    private static readonly string[] OnHelpAlone = ["box", "derivation", "disconnect", "pigtail", "rough-in", "service"];

    [Fact]
    public void Each_word_is_explained_where_it_is_met_and_each_that_is_marked_is_known()
    {
        var views = Path.Combine(WebHouse.Root(), "src", "Circuitum.Web", "Pages");
        var named = Directory
            .EnumerateFiles(views, "*.cshtml", SearchOption.AllDirectories)
            .SelectMany(f => Regex.Matches(File.ReadAllText(f), "<term\\s+name=\"([^\"@]+)\"").Select(m => m.Groups[1].Value))
            .Concat(["AFCI", "GFCI"])
            .Distinct()
            .Order(StringComparer.OrdinalIgnoreCase);
        named.ShouldBe(Terms.All.Keys.Except(OnHelpAlone).Order(StringComparer.OrdinalIgnoreCase));
    }
}
