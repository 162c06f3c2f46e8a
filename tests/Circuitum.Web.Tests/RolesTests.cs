using System.Net;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Circuitum.Web.Tests;

/// <summary>Who may do what when the program is reached from elsewhere: every address, every role.</summary>
public sealed partial class RolesTests : IDisposable
{
    private const string Password = "a long enough sentence";

    // A new address fails the test until it has a line in one of them. Each list is of those for whom no list before it is.
    private static readonly HashSet<string> Anyone = ["sign-in", "sign-out", "pair/{code}", "guest/{code}", "problem", "health"];

    // Who may look at a job: everyone, a guest at its own.
    private static readonly HashSet<string> Readers =
    [
        "jobs/{id}/look",
        "jobs/{id}/field-plan",
        "jobs/{id}/plan-print",
        "jobs/{id}/walls",
        "jobs/{id}/box-schedule",
        "jobs/{id}/papers/{name}",
        "jobs/{id}/photos/{number:int}/{size:regex(^(full|small)$)}",
        "jobs/{id}/pictures/{hash:regex(^[0-9a-f]{{64}}$)}",
    ];

    // Who says what passes.
    private static readonly HashSet<string> Checkers = ["look", "field/token", "jobs/{id}/check-off", "jobs/{id}/field/entries"];

    // The firm's own.
    private static readonly HashSet<string> OwnersAlone = ["people", "backups", "company", "archives.zip"];

    private static readonly HashSet<string> Crews =
    [
        "field",
        "jobs/{id}/field",
        "jobs/{id}/field/{room}",
        "jobs/{id}/field/pages",
        "jobs/{id}/photos",
        "jobs/{id}/pull",
        "jobs/{id}/dead",
        "jobs/{id}/van",
        "jobs/{id}/tests",
        "jobs/{id}/find-fault",
        "jobs/{id}/codes",
        "jobs/{id}/run/{number:int}",
        "jobs/{id}/trainer",
        "practice",
        "jobs/{id}/photos/{number:int}",
    ];

    private static readonly HashSet<string> Planners =
    [
        "",
        "Index",
        "api/bench",
        "api/bench/{question}",
        "api/jobs/{id}/material",
        "bench/{question?}",
        "counter/orders",
        "drawing/{key}",
        "help",
        "jobs/{id}/amendments",
        "jobs/{id}/archive.zip",
        "jobs/{id}/card",
        "jobs/{id}/document",
        "jobs/{id}/editions",
        "jobs/{id}/files/{what}",
        "jobs/{id}/follow",
        "jobs/{id}/history",
        "jobs/{id}/issued",
        "jobs/{id}/labels",
        "jobs/{id}/load-sheet",
        "jobs/{id}/make-up",
        "jobs/{id}/orders",
        "jobs/{id}/pictures",
        "jobs/{id}/planning",
        "jobs/{id}/plans",
        "jobs/{id}/preview/lead",
        "jobs/{id}/preview/move",
        "jobs/{id}/preview/moves",
        "jobs/{id}/preview/reach",
        "jobs/{id}/print",
        "jobs/{id}/rough-test",
        "jobs/{id}/stickers",
        "jobs/{id}/why",
        "jobs/{id}/{stage:stage}",
        "length",
        "openapi/{documentName}.json",
        "prices",
        "rules",
    ];

    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private readonly WebApplicationFactory<Program> factory;

    public RolesTests() =>
        factory = new WebApplicationFactory<Program>().WithWebHostBuilder(b =>
        {
            b.UseSetting("data", folder);
            b.UseSetting("listen", "127.0.0.1");
        });

    public void Dispose()
    {
        factory.Dispose();
        Directory.Delete(folder, true);
    }

    private HttpClient Browser() =>
        factory.CreateClient(new WebApplicationFactoryClientOptions { AllowAutoRedirect = false, HandleCookies = true });

    private async Task<HttpClient> As(string role)
    {
        var client = Browser();
        using (var scope = factory.Services.CreateScope())
        {
            var people = scope.ServiceProvider.GetRequiredService<UserManager<Account>>();
            var job = role == Roles.Guest ? "tamarack-row--planned" : null;
            var made = await people.CreateAsync(
                new Account
                {
                    UserName = $"The {role}",
                    Role = role,
                    Job = job,
                },
                Password
            );
            made.Succeeded.ShouldBeTrue();
        }

        (await SignIn(client, $"The {role}", Password)).StatusCode.ShouldBe(HttpStatusCode.Redirect);
        return client;
    }

    private static async Task<HttpResponseMessage> SignIn(HttpClient client, string who, string password) =>
        await client.PostAsync("/sign-in", await Form(client, "/sign-in", ("who", who), ("password", password)));

    private static async Task<FormUrlEncodedContent> Form(HttpClient client, string page, params (string, string)[] fields)
    {
        var text = await client.GetStringAsync(page);
        var token = new AngleSharp.Html.Parser.HtmlParser()
            .ParseDocument(text)
            .QuerySelector("input[name=__RequestVerificationToken]")
            ?.GetAttribute("value");
        return new([new("__RequestVerificationToken", token ?? ""), .. fields.Select(f => KeyValuePair.Create(f.Item1, f.Item2))]);
    }

    private IEnumerable<(string Pattern, string Method, string Address)> Addresses() =>
        factory
            .Services.GetRequiredService<IEnumerable<EndpointDataSource>>()
            .SelectMany(s => s.Endpoints)
            .OfType<RouteEndpoint>()
            .Select(e =>
                (
                    Pattern: e.RoutePattern.RawText!.TrimStart('/'),
                    Methods: e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? (IReadOnlyList<string>)["GET", "POST"]
                )
            )
            .SelectMany(e => e.Methods.Select(m => (e.Pattern, m, Filled(e.Pattern))))
            .Distinct();

    // An address with something in each of its places.
    private static string Filled(string pattern)
    {
        var filled = pattern.Replace("{number:int}", "1", StringComparison.Ordinal);
        filled = System.Text.RegularExpressions.Regex.Replace(filled, @"\{size:regex[^/]*", "small");
        filled = System.Text.RegularExpressions.Regex.Replace(filled, @"\{hash:[^/]*", new string('a', 64));
        filled = filled
            .Replace("{id}", "tamarack-row--planned", StringComparison.Ordinal)
            .Replace("{room}", "kitchen", StringComparison.Ordinal);
        filled = System.Text.RegularExpressions.Regex.Replace(filled, @"\{stage[^/]*", "rooms");
        return "/" + System.Text.RegularExpressions.Regex.Replace(filled, @"\{[^/]*\}", "1");
    }

    private static Task<HttpResponseMessage> Ask(HttpClient client, string method, string address)
    {
        var request = new HttpRequestMessage(new(method), address);
        request.Headers.Accept.ParseAdd("text/html");
        if (method == "POST")
            request.Content = new FormUrlEncodedContent([]);
        return client.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
    }

    [Fact]
    public async Task Each_role_comes_to_each_address_that_is_its_own_and_to_no_other()
    {
        using var stranger = Browser();
        var people = new Dictionary<string, HttpClient>();
        foreach (var role in Roles.All)
            people[role] = await As(role);
        var all = Addresses().ToList();
        all.Count.ShouldBeGreaterThan(50);
        HashSet<string> table = [.. Anyone, .. Readers, .. Checkers, .. Crews, .. Planners, .. OwnersAlone];
        table.Count.ShouldBe(
            new[] { Anyone, Readers, Checkers, Crews, Planners, OwnersAlone }.Sum(s => s.Count),
            "an address stands in two lists"
        );
        all.Select(a => a.Pattern)
            .Where(p => !table.Contains(p) && !p.StartsWith("api/bench/", StringComparison.Ordinal))
            .Distinct()
            .ShouldBeEmpty("an address has no line in the table");
        table.Except(all.Select(a => a.Pattern)).ShouldBeEmpty("a line of the table names no address");
        foreach (var (pattern, method, address) in all.Where(a => a.Pattern != "sign-out"))
        {
            var why = $"{method} {address}";
            using (var answer = await Ask(stranger, method, address))
            {
                var turned =
                    answer.StatusCode == HttpStatusCode.Unauthorized
                    || (
                        answer.StatusCode == HttpStatusCode.Redirect
                        && answer.Headers.Location!.ToString().Contains("/sign-in?back=", StringComparison.Ordinal)
                    );
                turned.ShouldBe(!Anyone.Contains(pattern), $"a stranger at {why}: {answer.StatusCode}");
            }

            foreach (var (role, browser) in people)
            {
                using var answer = await Ask(browser, method, address);
                var refused = answer.StatusCode is HttpStatusCode.Unauthorized or HttpStatusCode.Forbidden;
                refused.ShouldBe(!May(role, pattern), $"the {role} at {why}: {answer.StatusCode}");
            }
        }

        foreach (var browser in people.Values)
            browser.Dispose();
    }

    private static bool May(string role, string pattern) =>
        Anyone.Contains(pattern)
        || role switch
        {
            Roles.Owner => true,
            Roles.Planner => !OwnersAlone.Contains(pattern),
            Roles.Crew => Readers.Contains(pattern) || Checkers.Contains(pattern) || Crews.Contains(pattern),
            Roles.Inspector => Readers.Contains(pattern) || Checkers.Contains(pattern),
            _ => Readers.Contains(pattern),
        };

    [Fact]
    public async Task A_hundred_attempts_end_after_ten_and_five_wrong_ones_lock_the_account()
    {
        using var owner = await As(Roles.Owner);
        using var stranger = Browser();
        var form = await (await Form(stranger, "/sign-in", ("who", "The owner"), ("password", "wrong"))).ReadAsStringAsync();
        for (var i = 0; i < 5; i++)
            await stranger.PostAsync("/sign-in", new StringContent(form, null, "application/x-www-form-urlencoded"));
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, 100)
                .Select(_ => stranger.PostAsync("/sign-in", new StringContent(form, null, "application/x-www-form-urlencoded")))
        );
        answers.Count(a => a.StatusCode == HttpStatusCode.TooManyRequests).ShouldBeGreaterThanOrEqualTo(90);
        (await answers.Last(a => a.StatusCode == HttpStatusCode.TooManyRequests).Content.ReadAsStringAsync()).ShouldContain(
            "Too many attempts"
        );
        using var scope = factory.Services.CreateScope();
        var people = scope.ServiceProvider.GetRequiredService<UserManager<Account>>();
        (await people.IsLockedOutAsync((await people.FindByNameAsync("The owner"))!)).ShouldBeTrue();
    }
}
