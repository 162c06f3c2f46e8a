using System.Net;
using System.Net.Http.Headers;
using System.Text;

namespace Circuitum.Web.Tests;

public sealed class WebTests : WebHouse
{
    private Task<HttpResponseMessage> Edit(string page, params (string Name, string Value)[] fields) => Post(page, fields);

    [Fact]
    public async Task The_demo_jobs_are_there_and_every_stage_opens()
    {
        (await Web.GetStringAsync("/")).ShouldContain("Tamarack Row");
        foreach (var stage in new[] { "job", "rooms", "boxes", "circuits", "panel", "findings" })
            (await Web.GetAsync($"/jobs/tamarack-row/{stage}")).StatusCode.ShouldBe(HttpStatusCode.OK, stage);
        (await Web.GetAsync("/jobs/nobody/rooms")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync("/jobs/tamarack-row/attic")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Every_answer_carries_a_policy_without_inline_script()
    {
        var policy = (await Web.GetAsync("/")).Headers.GetValues("Content-Security-Policy").Single();
        policy.ShouldContain("script-src 'self'");
        policy.ShouldNotContain("unsafe");
    }

    [Fact]
    public async Task A_plan_from_rooms_to_schedule()
    {
        await Edit("/jobs/tamarack-row/boxes", ("do", "propose-boxes"));
        (await (await Edit("/jobs/tamarack-row/circuits", ("do", "plan-circuits"))).Content.ReadAsStringAsync()).ShouldContain(
            "Kitchen counter receptacles"
        );
        (await Web.GetStringAsync("/jobs/tamarack-row/print")).ShouldContain("Service load: standard method");
        var csv = await Web.GetAsync("/jobs/tamarack-row/files/schedule.csv");
        csv.Content.Headers.ContentType!.MediaType.ShouldBe("text/csv");
        (await csv.Content.ReadAsStringAsync()).ShouldContain("Electric range");
        (await Web.GetStringAsync("/jobs/tamarack-row/why?key=circuit.1.load")).ShouldContain("220.55");
        await Edit("/jobs/tamarack-row/circuits", ("do", "undo"));
        (await Web.GetStringAsync("/jobs/tamarack-row/circuits")).ShouldContain("No circuits yet");
        await Edit("/jobs/tamarack-row/circuits", ("do", "redo"));
        (await Web.GetStringAsync("/jobs/tamarack-row/circuits")).ShouldContain("Kitchen counter receptacles");
    }

    [Fact]
    public async Task Without_a_script_an_edit_leads_back_to_what_was_picked()
    {
        await Edit("/jobs/gull-cottage/boxes", ("do", "propose-boxes"));
        var answer = await Edit("/jobs/gull-cottage/boxes?pick=box:living.r1&storey=ground", ("do", "accept-box"), ("box", "living.r1"));
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        answer.RequestMessage!.RequestUri!.Query.ShouldContain("living.r1");
        (await answer.Content.ReadAsStringAsync()).ShouldContain("Decided by a person.");
    }

    [Fact]
    public async Task A_light_is_added_to_a_ceiling_and_moved()
    {
        const string Page = "/jobs/gull-cottage/boxes?pick=room:living&storey=ground";
        (await Web.GetStringAsync(Page)).ShouldContain("ceiling or floor");
        (await (await Edit(Page, ("do", "add-box"), ("room", "living"), ("kind", "Light"))).Content.ReadAsStringAsync()).ShouldContain(
            "data-box=\"living.x1\""
        );
        await Edit(Page, ("do", "move-box"), ("box", "living.x1"), ("x", "40"), ("y", "150"));
        (await Web.GetStringAsync("/jobs/gull-cottage/files/job.json")).ShouldContain("[\"3'4\", \"12'6\"]");
    }

    [Fact]
    public async Task An_edit_without_a_token_is_refused()
    {
        var answer = await Web.PostAsync(
            "/jobs/tamarack-row/boxes",
            new FormUrlEncodedContent([new("do", "propose-boxes"), new("stamp", "1")])
        );
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Web.GetStringAsync("/jobs/tamarack-row/boxes")).ShouldContain("No boxes yet");
    }

    [Fact]
    public async Task A_stale_edit_is_told_and_changes_nothing()
    {
        await Edit("/jobs/tamarack-row/boxes", ("do", "propose-boxes"));
        var answer = await Edit("/jobs/tamarack-row/boxes", ("do", "plan-circuits"), ("stamp", "1"));
        (await answer.Content.ReadAsStringAsync()).ShouldContain("changed meanwhile");
        (await Web.GetStringAsync("/jobs/tamarack-row/circuits")).ShouldContain("No circuits yet");
    }

    [Theory]
    [InlineData("add-room", "size", "12", "Size: type two lengths")]
    [InlineData("add-room", "size", "12 x abc", "is not a length")]
    [InlineData("add-room", "kind", "7", "Kind: choose one of the list")]
    [InlineData("add-room", "size", "900 in x 99999'", "the longest length a job can hold")]
    [InlineData("move-breaker", "space", "x", "Space: type its number")]
    [InlineData("nonsense", "x", "", "not something this page can do")]
    public async Task Bad_fields_are_named(string act, string field, string value, string sentence)
    {
        var fields = new Dictionary<string, string>
        {
            ["name"] = "Den",
            ["kind"] = "Den",
            ["size"] = "12 x 11",
            ["storey"] = "first",
            ["side"] = "East",
            ["beside"] = "deck",
            ["circuit"] = "1",
            ["space"] = "1",
            [field] = value,
        };
        var answer = await Edit("/jobs/tamarack-row/rooms", [("do", act), .. fields.Select(f => (f.Key, f.Value))]);
        var text = await answer.Content.ReadAsStringAsync();
        Parse(text).QuerySelector("[role=alert]")!.TextContent.ShouldContain(sentence);
        text.ShouldNotContain("   at Circuitum");
    }

    [Fact]
    public async Task A_name_full_of_markup_stays_text()
    {
        var answer = await Edit(
            "/jobs/gull-cottage/rooms",
            ("do", "add-room"),
            ("name", "<script>alert(1)</script>"),
            ("kind", "Den"),
            ("size", "10 x 10"),
            ("storey", "ground"),
            ("side", "East"),
            ("beside", "bedroom")
        );
        var text = await answer.Content.ReadAsStringAsync();
        text.ShouldContain("&lt;script&gt;");
        text.ShouldNotContain("<script>alert");
    }

    [Fact]
    public async Task Import_takes_an_exported_job_and_refuses_rubbish()
    {
        var exported = await Web.GetStringAsync("/jobs/gull-cottage/files/job.json");
        (await Import(exported)).RequestMessage!.RequestUri!.AbsolutePath.ShouldBe("/jobs/gull-cottage-2/rooms");
        var bad = await Import(exported.Replace("\"version\": 1", "\"version\": 9", StringComparison.Ordinal));
        bad.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await bad.Content.ReadAsStringAsync()).ShouldContain("version: Version 9 is not known here");
    }

    private async Task<HttpResponseMessage> Import(string text)
    {
        var token = (await Fields("/"))["__RequestVerificationToken"];
        var file = new ByteArrayContent(Encoding.UTF8.GetBytes(text));
        file.Headers.ContentType = new MediaTypeHeaderValue("application/json");
        using var form = new MultipartFormDataContent
        {
            { new StringContent(token), "__RequestVerificationToken" },
            { file, "file", "job.json" },
        };
        return await Web.PostAsync("/?handler=Import", form);
    }
}
