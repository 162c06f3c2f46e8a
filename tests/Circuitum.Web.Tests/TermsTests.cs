using System.Text.RegularExpressions;
using Circuitum.Web.Work;

namespace Circuitum.Web.Tests;

/// <summary>Words that are explained where they are met.</summary>
public class TermsTests() : WebHouse(shared: true)
{
    // What no ticket has a row for is explained on the page of help alone.
    private static readonly string[] OnHelpAlone = ["box", "derivation", "disconnect", "pigtail", "rough-in", "service"];

    [Theory]
    [InlineData("us-2023", "home run", "ring")]
    [InlineData("ca-2021", "GFCI", "sub-main")]
    [InlineData("sb-gulf", "sub-main", "AFCI")]
    [InlineData("sb-british", "residual current", "leg")]
    [InlineData("none-such", "home run", "ring")]
    public async Task The_page_of_help_has_the_words_of_the_rules_and_no_others(string rules, string own, string others)
    {
        var page = await Web.GetStringAsync($"/help?rules={rules}");
        page.ShouldContain($"<dt id=\"{own.Replace(' ', '-')}\">{own}</dt>");
        page.ShouldNotContain($"<dt id=\"{others}\">");
    }

    [Theory]
    [InlineData("sidr-villa--planned", "100 mm", "Panel", "sb-gulf")]
    [InlineData("larch-siding--planned", "100 mm", "4 in along", "ca-2021")]
    [InlineData("tamarack-row--planned", "4 in along", "100 mm along", "us-2023")]
    public async Task Keys_are_told_in_the_units_and_words_of_the_house(string job, string told, string other, string rules)
    {
        var page = await Web.GetStringAsync($"/jobs/{job}/boxes");
        var keys = page[page.IndexOf("id=\"keys\"", StringComparison.Ordinal)..];
        keys.ShouldContain(told);
        keys.ShouldNotContain(other);
        keys.ShouldContain(rules == "sb-gulf" ? "Job, Rooms, Points, Circuits, Runs, Board<" : "Runs, Panel, Material<");
        keys.ShouldContain($"/help?rules={rules}");
    }

    [Fact]
    public async Task A_layer_asks_of_boards_what_boards_have()
    {
        async Task<string> Layer(string job)
        {
            var address = $"/jobs/{job}/amendments";
            await Post(address, ("do", "add-layer"), ("name", "City"), ("authority", "Fernhollow"));
            return await Web.GetStringAsync(address);
        }

        var board = await Layer("sidr-villa--planned");
        board.ShouldNotContain("arc-fault", Case.Insensitive);
        board.ShouldContain("points in a kind of room");
        (await Layer("larch-siding--planned")).ShouldContain("arc-fault protection in a kind of room");
    }

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
