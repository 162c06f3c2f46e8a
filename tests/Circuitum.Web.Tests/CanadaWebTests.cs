using System.Net;

namespace Circuitum.Web.Tests;

/// <summary>The pages of a Canadian house, which only look at it.</summary>
public sealed class CanadaWebTests() : WebHouse(shared: true)
{
    private const string House = "/jobs/larch-siding--planned";

    [Theory]
    [InlineData("job")]
    [InlineData("rooms")]
    [InlineData("boxes")]
    [InlineData("circuits")]
    [InlineData("runs")]
    [InlineData("panel")]
    [InlineData("material")]
    [InlineData("findings")]
    [InlineData("load-sheet")]
    [InlineData("editions")]
    [InlineData("papers/load")]
    [InlineData("papers/make-up")]
    [InlineData("papers/corrections")]
    [InlineData("field")]
    [InlineData("field/kitchen")]
    [InlineData("box-schedule")]
    [InlineData("walls")]
    [InlineData("pull")]
    [InlineData("make-up")]
    [InlineData("rough-test")]
    [InlineData("van")]
    [InlineData("papers/boxes")]
    [InlineData("papers/check-rough")]
    [InlineData("boxes?pick=box:kitchen.r1")]
    [InlineData("runs?pick=circuit:5")]
    [InlineData("why?key=box.kitchen.r1.fill")]
    [InlineData("tests")]
    [InlineData("check-off")]
    [InlineData("why?key=service.standard")]
    [InlineData("why?key=circuit.5.wire")]
    public async Task Every_page_of_a_Canadian_house_opens_without_sections_of_the_other_family_and_cubic_inches(string page)
    {
        var answer = await Web.GetAsync($"{House}/{page}");
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var words = Parse(await answer.Content.ReadAsStringAsync()).Body!.TextContent;
        foreach (var section in new[] { "210.8", "210.12", "210.52", "220.82", "250.122", "310.16", "314.16" })
            words.ShouldNotContain(section, Case.Sensitive, page);
        foreach (var unit in new[] { "in3", ", feet", "cubic inch" })
            words.ShouldNotContain(unit, Case.Sensitive, page);
    }

    [Fact]
    public async Task Boxes_are_bought_filled_and_listed_in_millilitres()
    {
        (await Web.GetStringAsync($"{House}/box-schedule")).ShouldContain("295 mL");
        (await Web.GetStringAsync($"{House}/field/kitchen")).ShouldContain("mL");
        (await Web.GetStringAsync($"{House}/why?key=box.kitchen.r1.fill")).ShouldContain("28.7");
    }
}
