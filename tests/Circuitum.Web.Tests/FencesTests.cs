using System.Net;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Circuitum.Web.Tests;

/// <summary>What every answer says of itself, and changes that come from elsewhere.</summary>
public sealed class FencesTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private readonly WebApplicationFactory<Program> factory;

    public FencesTests() => factory = new WebApplicationFactory<Program>().WithWebHostBuilder(b => b.UseSetting("data", folder));

    public void Dispose()
    {
        factory.Dispose();
        Directory.Delete(folder, true);
    }

    [Theory]
    [InlineData("/")]
    [InlineData("/jobs/gull-cottage/rooms")]
    [InlineData("/jobs/gull-cottage/files/job.json")]
    [InlineData("/js/app.js")]
    [InlineData("/health")]
    [InlineData("/nowhere")]
    [InlineData("/api/bench")]
    public async Task Every_answer_has_its_headers(string address)
    {
        using var web = factory.CreateClient();
        var answer = await web.GetAsync(address);
        foreach (var (name, value) in Fences.Headers)
            answer.Headers.GetValues(name).ShouldBe([value], name);
        answer.Headers.Contains("Server").ShouldBeFalse();
    }

    // Every address that takes a post, as the program itself lists them: a new one is among them.
    [Fact]
    public async Task No_change_comes_from_a_page_elsewhere()
    {
        using var web = factory.CreateClient();
        var addresses = factory
            .Services.GetRequiredService<IEnumerable<EndpointDataSource>>()
            .SelectMany(s => s.Endpoints)
            .OfType<RouteEndpoint>()
            .Where(e => e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods.Contains("POST") ?? true)
            .Select(e => "/" + System.Text.RegularExpressions.Regex.Replace(e.RoutePattern.RawText!.TrimStart('/'), @"\{[^/]*\}", "1"))
            .Distinct()
            .ToList();
        addresses.Count.ShouldBeGreaterThan(30);
        foreach (var address in addresses)
        {
            foreach (var (name, value) in Elsewhere)
            {
                var request = new HttpRequestMessage(HttpMethod.Post, address) { Content = new FormUrlEncodedContent([]) };
                request.Headers.Add(name, value);
                var answer = await web.SendAsync(request);
                answer.StatusCode.ShouldBe(HttpStatusCode.Forbidden, $"{address} with {name}: {value}");
                (await answer.Content.ReadAsStringAsync()).ShouldContain("Nothing was changed");
            }
        }
    }

    private static (string, string)[] Elsewhere { get; } =
    [
        ("Origin", "https://elsewhere.example"),
        ("Origin", "null"),
        ("Origin", "http://localhost:8080"),
        ("Sec-Fetch-Site", "cross-site"),
        ("Sec-Fetch-Site", "same-site"),
    ];

    [Theory]
    [InlineData("Origin", "http://localhost")]
    [InlineData("Sec-Fetch-Site", "same-origin")]
    public async Task One_from_its_own_pages_is_taken(string name, string value)
    {
        using var web = factory.CreateClient();
        var page = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(await web.GetStringAsync("/backups"));
        var token = page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        var request = new HttpRequestMessage(HttpMethod.Post, "/backups?handler=Make")
        {
            Content = new FormUrlEncodedContent([new("__RequestVerificationToken", token)]),
        };
        request.Headers.Add(name, value);
        (await web.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }
}
