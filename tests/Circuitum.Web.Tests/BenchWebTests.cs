using System.Net;
using System.Text.Json;
using Circuitum.Core.Bench;

namespace Circuitum.Web.Tests;

/// <summary>The bench as a page and over HTTP.</summary>
public sealed class BenchWebTests : WebHouse
{
    private async Task<JsonElement> Json(string path, HttpStatusCode status = HttpStatusCode.OK)
    {
        var answer = await Web.GetAsync(path);
        answer.StatusCode.ShouldBe(status, path);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/json");
        return JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement;
    }

    [Fact]
    public async Task Questions_are_answered_with_steps_and_refused_with_the_field()
    {
        (await Json("/api/bench")).GetArrayLength().ShouldBe(BenchDesk.Questions.Length);
        var wire = await Json("/api/bench/wire?amps=31&method=conduit&current-carrying=4");
        wire.GetProperty("result").GetProperty("size").GetString().ShouldBe("8");
        wire.GetProperty("why")
            .GetProperty("steps")
            .EnumerateArray()
            .ShouldContain(s => s.GetProperty("citation").GetString()!.Contains("310.15"));
        wire.GetProperty("caution").GetString()!.ShouldContain("licensed practice");
        (await Json("/api/bench/service?method=standard&area-sqft=2100&load=range:12000&load=dryer:5000"))
            .GetProperty("result")
            .GetProperty("va")
            .GetDouble()
            .ShouldBe(18_730);
        var refused = await Json("/api/bench/wire?amps=%3Cscript%3E", HttpStatusCode.BadRequest);
        (refused.GetProperty("field").GetString(), refused.GetProperty("problem").GetString()).ShouldBe(
            ("amps", "amps: '<script>' is not a number.")
        );
        (await Json("/api/bench/moon", HttpStatusCode.NotFound)).GetProperty("problem").GetString()!.ShouldContain("Ask one of wire");
    }

    [Fact]
    public async Task The_description_lists_every_question_and_field()
    {
        var paths = (await Json("/openapi/v1.json")).GetProperty("paths");
        foreach (var question in BenchDesk.Questions)
        {
            var told = paths
                .GetProperty($"/api/bench/{question.Name}")
                .GetProperty("get")
                .GetProperty("parameters")
                .EnumerateArray()
                .Select(p => p.GetProperty("name").GetString());
            told.ShouldBe(question.Fields.Select(f => f.Name));
        }
    }

    [Fact]
    public async Task The_page_shows_the_question_the_answer_and_what_is_wrong()
    {
        var empty = Parse(await Web.GetStringAsync("/bench"));
        empty.QuerySelectorAll(".quick nav a").Length.ShouldBe(BenchDesk.Questions.Length);
        empty.QuerySelector(".answer")!.TextContent.ShouldContain("Fill in what you know");
        var answer = Parse(await Web.GetStringAsync("/bench/circuit?breaker=20&fixed=9.5c%0D%0A7.0&lights=60"));
        answer.QuerySelector(".answer h2")!.TextContent.ShouldBe("19.375 A on 20 A, fails");
        answer.QuerySelector("textarea[name=fixed]")!.TextContent.ShouldContain("9.5c");
        var wrong = await Web.GetStringAsync("/bench/wire?amps=%3Cb%3Ex");
        Alert(Parse(wrong)).ShouldContain("is not a number");
        wrong.ShouldNotContain("<b>x");
        foreach (var question in BenchDesk.Questions)
            (await Web.GetAsync($"/bench/{question.Name}")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Web.GetAsync("/bench/moon")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
