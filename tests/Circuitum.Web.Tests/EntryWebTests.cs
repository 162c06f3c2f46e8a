using System.Net;

namespace Circuitum.Web.Tests;

/// <summary>Rooms while they are typed, and what a way of working would change.</summary>
public sealed class EntryWebTests() : WebHouse(shared: true)
{
    private const string Rooms = "/jobs/gull-cottage/rooms?storey=ground";

    private async Task<string> Try(string lines, string storey = "ground")
    {
        var fields = await Fields(Rooms);
        (fields["do"], fields["storey"], fields["lines"]) = ("type-rooms", storey, lines);
        return await (await Web.PostAsync($"{Rooms}&handler=Try", new FormUrlEncodedContent(fields))).Content.ReadAsStringAsync();
    }

    [Fact]
    public async Task What_is_typed_is_drawn_and_nothing_is_changed()
    {
        var before = await Web.GetStringAsync("/jobs/gull-cottage/files/job.json");
        var tried = Parse(await Try("Hut 10 x 9 e of Living 60 e, door w, window e"));
        tried.Body!.TextContent.ShouldContain("1 room, 2 doors and windows.");
        tried.QuerySelectorAll("#trial .floor").Length.ShouldBe(10);
        (await Web.GetStringAsync("/jobs/gull-cottage/files/job.json")).ShouldBe(before);
    }

    [Fact]
    public async Task Wrong_lines_are_told_each_and_the_others_drawn()
    {
        var tried = Parse(await Try("Hut 10 y 9\nDen 10 x 9 e of Living 60 e\nLoft 9 x 9 e of Nowhere"));
        tried.QuerySelectorAll("[data-line]").Select(b => b.TextContent).ShouldBe(["Line 1", "Line 3"]);
        tried.QuerySelectorAll("#trial .floor").Length.ShouldBe(10);
    }

    [Fact]
    public async Task Markup_stays_text_and_a_huge_list_is_refused_in_a_sentence()
    {
        var tried = Parse(await Try("<img src=x> 10 x 9 e of Living 60 e"));
        tried.QuerySelectorAll("#trial img").ShouldBeEmpty();
        tried.QuerySelector("#trial")!.TextContent.ShouldContain("<img src=x>");
        (await Try(string.Concat(Enumerable.Repeat("Hut 3 x 3\n", 500)))).ShouldContain("more than 200 lines");
        (await Try(new string('x', 90_000))).ShouldContain("more than 300 letters");
        (await Try("Hut 3 x 3", "nowhere")).ShouldContain("nothing was changed");
    }

    [Fact]
    public async Task Without_its_token_nothing_is_tried()
    {
        var answer = await Web.PostAsync(
            $"{Rooms}&handler=Try",
            new FormUrlEncodedContent([new("do", "type-rooms"), new("lines", "Hut 3 x 3")])
        );
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_way_of_working_tells_what_it_would_change_and_an_unknown_one_is_not_found()
    {
        (await Web.GetStringAsync("/jobs/gull-cottage--planned/preview/way?way=lean")).ShouldStartWith("Planned afresh so: ");
        (await Web.GetAsync("/jobs/gull-cottage--planned/preview/way?way=moon")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync("/jobs/gull-cottage/preview/way?way=lean")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
