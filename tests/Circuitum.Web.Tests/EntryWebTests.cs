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
    public async Task Before_a_way_of_working_is_taken_it_tells_what_it_would_change_and_nothing_is_changed()
    {
        const string Planned = "/jobs/gull-cottage--planned/job";
        var before = await Web.GetStringAsync("/jobs/gull-cottage--planned/files/job.json");
        (await Ask(Planned, ("do", "take-way"), ("way", "lean"))).ShouldContain("Planned afresh so");
        (await Ask(Planned, ("do", "take-way"), ("way", "moon"))).ShouldContain("Choose one");
        (await Ask(Planned, ("do", "move-moon"))).ShouldContain("finding must");
        (await Web.GetStringAsync("/jobs/gull-cottage--planned/files/job.json")).ShouldBe(before);
    }

    [Fact]
    public async Task One_preference_is_asked_about_alone()
    {
        const string Planned = "/jobs/gull-cottage--planned/job";
        (string, string)[] job =
        [
            ("do", "edit-job"),
            ("name", "Gull"),
            ("edition", "us-2023"),
            ("units", "FeetInches"),
            ("front", "South"),
            ("under", "CrawlSpace"),
        ];
        var fault = ("pref.groundFault", "breaker");
        var wire = ("pref.generalWire", "fourteen-throughout");
        var alone = await Ask(Planned, [.. job, fault]);
        alone.ShouldContain("Planned afresh so");
        (await Ask($"{Planned}?only=groundFault", [.. job, fault, wire])).ShouldBe(alone);
        (await Ask(Planned, [.. job, fault, wire])).ShouldNotBe(alone);
    }

    [Fact]
    public async Task One_walks_the_house_room_by_room_and_a_wish_tells_what_it_brings()
    {
        const string Walk = "/jobs/tamarack-row--planned/walk";
        var page = Parse(await Web.GetStringAsync($"{Walk}?pick=room:kitchen&show=room:kitchen"));
        page.QuerySelectorAll(".side [data-list] a").Length.ShouldBe(25);
        page.QuerySelector(".ticket.walk [rel=next]").ShouldNotBeNull();
        (await Ask($"{Walk}?pick=room:kitchen", ("do", "add-wish"), ("room", "kitchen"), ("kind", "Heavy"), ("wall", "1"))).ShouldContain(
            "It would be"
        );
        (await Web.GetAsync($"{Walk}?handler=WishCost&wish=moon")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetStringAsync("/jobs/tamarack-row--planned/papers/owner")).ShouldContain("Signature");
    }

    private async Task<string> Ask(string page, params (string Name, string Value)[] typed)
    {
        var fields = await Fields(page);
        foreach (var (name, value) in typed)
            fields[name] = value;
        return await (
            await Web.PostAsync(
                $"{page}{(page.Contains('?', StringComparison.Ordinal) ? '&' : '?')}handler=WhatIf",
                new FormUrlEncodedContent(fields)
            )
        ).Content.ReadAsStringAsync();
    }
}
