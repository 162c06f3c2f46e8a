using System.Net;
using System.Text;
using Circuitum.Web.Work;

namespace Circuitum.Web.Tests;

/// <summary>Requests that no page sends, forms that are sent twice, files that are not what they seem.</summary>
public sealed class FaultWebTests : WebHouse
{
    private async Task<(HttpStatusCode Code, string Text)> Send(HttpRequestMessage request)
    {
        var answer = await Web.SendAsync(request);
        return (answer.StatusCode, await answer.Content.ReadAsStringAsync());
    }

    [Theory]
    [InlineData("circuitum.example", HttpStatusCode.BadRequest)]
    [InlineData("127.0.0.1.example", HttpStatusCode.BadRequest)]
    [InlineData("192.168.1.20", HttpStatusCode.BadRequest)]
    [InlineData("localhost", HttpStatusCode.OK)]
    [InlineData("127.0.0.1", HttpStatusCode.OK)]
    [InlineData("[::1]", HttpStatusCode.OK)]
    public async Task Only_its_own_names_are_answered(string host, HttpStatusCode code)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/");
        request.Headers.Host = host;
        (await Send(request)).Code.ShouldBe(code);
    }

    [Theory]
    [InlineData("TRACE")]
    [InlineData("PUT")]
    [InlineData("DELETE")]
    [InlineData("PROPFIND")]
    public async Task Other_methods_than_the_pages_use_are_refused_with_a_page(string method)
    {
        foreach (var page in new[] { "/", "/jobs/gull-cottage/rooms", "/bench" })
        {
            using var request = new HttpRequestMessage(new HttpMethod(method), page);
            var (code, text) = await Send(request);
            code.ShouldBe(HttpStatusCode.MethodNotAllowed, page);
            text.ShouldContain("not done with this page", Case.Insensitive, page);
        }
    }

    [Fact]
    public async Task The_limit_told_is_the_limit_held()
    {
        var all = await Fields("/");
        using var content = new MultipartFormDataContent
        {
            { new StringContent(all["__RequestVerificationToken"]), "__RequestVerificationToken" },
            { new ByteArrayContent(new byte[App.MostRequestBytes + 1]), "file", "big.json" },
        };
        var answer = await Web.PostAsync("/?handler=New", content);
        answer.StatusCode.ShouldBe(HttpStatusCode.RequestEntityTooLarge);
        (await answer.Content.ReadAsStringAsync()).ShouldSatisfyAllConditions(
            t => t.ShouldContain($"larger than {App.MostRequestBytes / 1_000_000} MB"),
            t => t.ShouldNotContain("out of date")
        );
    }

    [Fact]
    public async Task A_form_that_is_no_form_is_a_sentence()
    {
        foreach (
            var (type, body) in new[]
            {
                ("multipart/form-data; boundary=x", "--x\r\nContent-Disposition: form-data; name=\"\u0000\r\n\r\nhalf"),
                ("multipart/form-data; boundary=x", "--x\r\nContent-Disposition: form-data; name=\"a\"; filename*=utf-8''%ff%fe\r\n\r\n"),
                ("multipart/form-data", "no boundary"),
                ("application/x-www-form-urlencoded", "%%%=&&&==%u0000"),
                ("application/json", "{}"),
            }
        )
        {
            using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            content.Headers.TryAddWithoutValidation("Content-Type", type);
            var answer = await Web.PostAsync("/?handler=Import", content);
            answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest, body);
            (await answer.Content.ReadAsStringAsync()).ShouldContain("Nothing was changed", Case.Insensitive, body);
        }
    }

    [Fact]
    public async Task No_address_puts_words_into_the_programs_mouth()
    {
        (await Web.GetStringAsync("/jobs/gull-cottage/rooms?told=All+is+well&note=All+is+well")).ShouldNotContain("All is well");
        var page = Parse(await Web.GetStringAsync("/jobs/gull-cottage/rooms?pick=room:nowhere&storey=nowhere"));
        page.QuerySelectorAll(".plan .floor").Length.ShouldBeGreaterThan(3);
    }

    [Fact]
    public async Task A_form_sent_twice_does_its_work_once()
    {
        var fields = await Fields("/");
        fields["key"] = Parse(await Web.GetStringAsync("/")).QuerySelector("input[name=key]")!.GetAttribute("value")!;
        (fields["name"], fields["storey"], fields["start"]) = ("Twice", "First", "");
        for (var n = 0; n < 3; n++)
            (
                await Web.PostAsync("/?handler=New", new FormUrlEncodedContent(fields))
            ).RequestMessage!.RequestUri!.AbsolutePath.ShouldStartWith("/jobs/twice/");
        Parse(await Web.GetStringAsync("/"))
            .QuerySelectorAll(".jobs li")
            .Count(l => l.TextContent.Contains("Twice", StringComparison.Ordinal))
            .ShouldBe(1);

        var box = await Fields("/jobs/gull-cottage/boxes");
        foreach (var (n, v) in Split("do=add-box&room=living&kind=Light"))
            box[n] = v;
        for (var n = 0; n < 3; n++)
            Alert(
                    Parse(
                        await (await Web.PostAsync("/jobs/gull-cottage/boxes", new FormUrlEncodedContent(box))).Content.ReadAsStringAsync()
                    )
                )
                .ShouldBe("");
        Parse(await Web.GetStringAsync("/jobs/gull-cottage/boxes")).QuerySelectorAll("[data-box]").Length.ShouldBe(1);

        var set = await Fields("/jobs/gull-cottage/issued");
        set["name"] = "Permit";
        await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => Web.PostAsync("/jobs/gull-cottage/issued", new FormUrlEncodedContent(set))));
        Parse(await Web.GetStringAsync("/jobs/gull-cottage/issued")).QuerySelectorAll("tbody tr").Length.ShouldBe(1);
    }

    [Fact]
    public async Task Eight_new_jobs_of_one_name_at_once_are_eight_jobs()
    {
        var fields = await Fields("/");
        (fields["name"], fields["storey"], fields["start"]) = ("Same", "First", "");
        var answers = await Task.WhenAll(
            Enumerable.Range(0, 8).Select(_ => Web.PostAsync("/?handler=New", new FormUrlEncodedContent(fields)))
        );
        answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK);
        answers.Select(a => a.RequestMessage!.RequestUri!.AbsolutePath).Distinct().Count().ShouldBe(8);
    }

    [Fact]
    public async Task A_job_is_put_away_and_taken_back()
    {
        var fields = await Fields("/");
        fields["job"] = "gull-cottage";
        await Web.PostAsync("/?handler=PutAway", new FormUrlEncodedContent(fields));
        (await Web.GetAsync("/jobs/gull-cottage/rooms")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetStringAsync("/")).ShouldContain("Archived: 1");
        await Web.PostAsync("/?handler=TakeBack", new FormUrlEncodedContent(fields));
        (await Web.GetAsync("/jobs/gull-cottage/rooms")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task Refused_pictures_take_no_place()
    {
        var png = await File.ReadAllBytesAsync(Path.Combine(Root(), "docs", "screenshots", "rooms.png"));
        for (var n = 0; n < 30; n++)
        {
            // A picture of its own each time, laid under a storey that is not there.
            var own = (byte[])[.. png, (byte)n];
            var fields = await Fields("/jobs/gull-cottage/rooms");
            using var content = new MultipartFormDataContent
            {
                { new ByteArrayContent(own), "file", "x.png" },
                { new StringContent("nowhere"), "storey" },
            };
            foreach (var (name, value) in fields)
                content.Add(new StringContent(value), name);
            var said = await (await Web.PostAsync("/jobs/gull-cottage/pictures", content)).Content.ReadAsStringAsync();
            said.ShouldNotContain("has its most pictures");
        }

        using var half = new MultipartFormDataContent
        {
            { new ByteArrayContent(png[..^2000]), "file", "x.png" },
            { new StringContent("ground"), "storey" },
        };
        foreach (var (name, value) in await Fields("/jobs/gull-cottage/rooms"))
            half.Add(new StringContent(value), name);
        (await (await Web.PostAsync("/jobs/gull-cottage/pictures", half)).Content.ReadAsStringAsync()).ShouldContain("breaks off");
    }

    [Fact]
    public async Task The_bench_answers_nonsense_with_a_sentence()
    {
        foreach (
            var address in new[]
            {
                "/api/bench/range?kw=,",
                "/api/bench/range?kw=%00",
                "/api/bench/walls?spaces=%D9%A1",
                "/bench/range?kw=,",
                "/api/bench/nothing",
            }
        )
            ((int)(await Web.GetAsync(address)).StatusCode).ShouldBeLessThan(500, address);
        (await Web.GetAsync("/api/bench/range?kw=,")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_health_answer_asks_the_database() => (await Web.GetStringAsync("/health")).ShouldBe("ok");
}
