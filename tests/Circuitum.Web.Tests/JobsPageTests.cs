using System.Net;
using Circuitum.Core.Codes;
using Circuitum.Web.Work;

namespace Circuitum.Web.Tests;

/// <summary>The list of jobs and what it offers, and the palette of what can be put into a house.</summary>
public class JobsPageTests : WebHouse
{
    [Fact]
    public async Task The_demo_ships_planned_and_bare_each_with_its_plan_its_progress_and_what_is_next()
    {
        var ids = Parse(await Web.GetStringAsync("/")).QuerySelectorAll("[data-card]").Select(c => c.GetAttribute("data-card")).ToList();
        ids.Count.ShouldBe(8);
        foreach (var (id, next) in new[] { ("tamarack-row", "boxes"), (ids.First(i => i!.EndsWith("planned"))!, "packet") })
        {
            var card = Parse(await Web.GetStringAsync($"/jobs/{id}/card"));
            card.QuerySelectorAll(".thumbnail path").Length.ShouldBeGreaterThan(20);
            card.QuerySelectorAll(".thumbnail text").ShouldBeEmpty();
            card.QuerySelectorAll(".progress li").Length.ShouldBe(6);
            card.Body!.TextContent.ShouldContain(next);
        }

        (await Web.GetAsync("/jobs/none/card")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_copy_is_a_job_of_its_own_and_asked_for_twice_is_made_once()
    {
        var fields = await Fields("/");
        (fields["job"], fields["key"]) = ("gull-cottage", Guid.NewGuid().ToString("N"));
        for (var n = 0; n < 2; n++)
            (await Web.PostAsync("/?handler=Copy", new FormUrlEncodedContent(fields))).StatusCode.ShouldBe(HttpStatusCode.OK);
        var page = Parse(await Web.GetStringAsync("/"));
        var copies = page.QuerySelectorAll("[data-card]").Where(c => c.TextContent.Contains("Gull Cottage, copy")).ToList();
        var copy = copies.Single().GetAttribute("data-card")!;
        var (own, made) = (
            await Web.GetStringAsync("/jobs/gull-cottage/files/job.json"),
            await Web.GetStringAsync($"/jobs/{copy}/files/job.json")
        );
        made.ShouldBe(own.Replace("\"Gull Cottage\"", "\"Gull Cottage, copy\"", StringComparison.Ordinal));
    }

    [Fact]
    public void Everything_that_can_be_put_into_a_house_stands_in_the_palette_once()
    {
        Palette.All.Select(t => t.Word).ShouldBeUnique();
        foreach (var id in CodeLibrary.Appliances.Keys)
            Palette.All.ShouldContain(t => t.Word == $"appliance:{id}");
        Palette.Groups.Select(g => g.Key).ShouldBe(Enum.GetValues<ThingGroup>());
        Palette.All.Where(t => t.Key is not null).Select(t => t.Key).ShouldBeUnique();
    }

    [Fact]
    public async Task A_paper_says_the_same_on_the_screen_and_as_pdf()
    {
        foreach (var name in Circuitum.Formats.Documents.Papers.Names)
        {
            var page = Parse(await Web.GetStringAsync($"/jobs/gull-cottage/papers/{name}"));
            page.QuerySelectorAll("main section").Length.ShouldBeGreaterThan(0, name);
            (await Web.GetAsync($"/jobs/gull-cottage/files/{name}.pdf")).StatusCode.ShouldBe(HttpStatusCode.OK, name);
        }

        (await Web.GetAsync("/jobs/gull-cottage/papers/moon")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
