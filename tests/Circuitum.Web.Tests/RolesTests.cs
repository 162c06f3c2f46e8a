using System.Net;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Circuitum.Web.Tests;

/// <summary>Who may do what when the program is reached from elsewhere: every address, every role.</summary>
public sealed class RolesTests : IDisposable
{
    private const string Password = "a long enough sentence";

    // What is not here, and not the crew's, is the owner's. A new address fails the test until it has a line in one of them.
    private static readonly HashSet<string> Anyone = ["sign-in", "pair/{code}", "problem", "health"];

    private static readonly HashSet<string> Crews =
    [
        "field",
        "field/token",
        "jobs/{id}/field",
        "jobs/{id}/field/{room}",
        "jobs/{id}/field/entries",
        "jobs/{id}/field/pages",
        "jobs/{id}/photos",
        "jobs/{id}/photos/{number:int}/{size:regex(^(full|small)$)}",
        "jobs/{id}/pull",
        "jobs/{id}/walls",
        "jobs/{id}/dead",
        "jobs/{id}/van",
        "jobs/{id}/plan-print",
        "jobs/{id}/pictures/{hash:regex(^[0-9a-f]{{64}}$)}",
        "jobs/{id}/box-schedule",
        "jobs/{id}/tests",
        "jobs/{id}/check-off",
        "jobs/{id}/field-plan",
        "jobs/{id}/find-fault",
        "jobs/{id}/codes",
        "jobs/{id}/run/{number:int}",
        "jobs/{id}/trainer",
        "practice",
        "jobs/{id}/photos/{number:int}",
        "sign-out",
    ];

    private static readonly HashSet<string> Owners =
    [
        "",
        "Index",
        "api/bench",
        "api/bench/{question}",
        "api/jobs/{id}/material",
        "backups",
        "bench/{question?}",
        "company",
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
        "jobs/{id}/papers/{name}",
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
        "people",
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
            var made = await people.CreateAsync(new Account { UserName = $"The {role}", Role = role }, Password);
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
        using var crew = await As(Roles.Crew);
        using var owner = await As(Roles.Owner);
        var all = Addresses().ToList();
        all.Count.ShouldBeGreaterThan(50);
        HashSet<string> table = [.. Anyone, .. Crews, .. Owners];
        all.Select(a => a.Pattern)
            .Where(p => !table.Contains(p) && !p.StartsWith("api/bench/", StringComparison.Ordinal))
            .Distinct()
            .ShouldBeEmpty("an address has no line in the table");
        table.Except(all.Select(a => a.Pattern)).ShouldBeEmpty("a line of the table names no address");
        foreach (var (pattern, method, address) in all.Where(a => a.Pattern != "sign-out"))
        {
            var why = $"{method} {address}";
            var forCrew = Crews.Contains(pattern) || Anyone.Contains(pattern);
            var refused = new[] { HttpStatusCode.Unauthorized, HttpStatusCode.Forbidden };
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

            using (var answer = await Ask(crew, method, address))
                refused.Contains(answer.StatusCode).ShouldBe(!forCrew, $"the crew at {why}: {answer.StatusCode}");
            using (var answer = await Ask(owner, method, address))
                refused.ShouldNotContain(answer.StatusCode, $"the owner at {why}");
        }
    }

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

    [Fact]
    public async Task A_code_lets_one_phone_in_once_and_the_owner_can_end_it()
    {
        using var owner = await As(Roles.Owner);
        (
            await owner.PostAsync("/people", await Form(owner, "/people", ("what", "add"), ("who", "Hal"), ("role", "crew")))
        ).EnsureSuccessStatusCode();
        var page = await owner.GetStringAsync("/people");
        var row = new AngleSharp.Html.Parser.HtmlParser()
            .ParseDocument(page)
            .QuerySelectorAll("tr")
            .Single(r => r.TextContent.Contains("Hal"));
        var id = row.QuerySelector("input[name=id]")!.GetAttribute("value")!;
        var shown = await owner.PostAsync("/people", await Form(owner, "/people", ("what", "pair"), ("id", id)));
        var code = System
            .Text.RegularExpressions.Regex.Match(await shown.Content.ReadAsStringAsync(), "/pair/([0-9a-f]{32})")
            .Groups[1]
            .Value;
        code.Length.ShouldBe(32);
        using var phone = Browser();
        (await phone.PostAsync($"/pair/{code}", await Form(phone, $"/pair/{code}"))).Headers.Location!.ToString().ShouldBe("/field");
        (await phone.GetAsync("/field")).StatusCode.ShouldBe(HttpStatusCode.OK);
        using var other = Browser();
        (await other.GetStringAsync($"/pair/{code}")).ShouldContain("This code is not good");
        (await other.GetStringAsync("/pair/00000000000000000000000000000000")).ShouldContain("This code is not good");
        (await owner.PostAsync("/people", await Form(owner, "/people", ("what", "remove"), ("id", id)))).EnsureSuccessStatusCode();
        (await owner.GetStringAsync("/people")).ShouldNotContain("Hal");
        (await Ask(phone, "GET", "/field")).StatusCode.ShouldBe(HttpStatusCode.Redirect);
    }

    // Two people pull the same cable and measure it differently: both pages show both, and one of them says which holds.
    [Fact]
    public async Task What_two_people_measured_is_shown_until_one_is_chosen()
    {
        const string Room = "/jobs/tamarack-row--planned/field/kitchen";
        using var crew = await As(Roles.Crew);
        using var owner = await As(Roles.Owner);
        var page = new AngleSharp.Html.Parser.HtmlParser().ParseDocument(await crew.GetStringAsync(Room));
        var task = page.QuerySelectorAll("[data-tasks=Pull] li.task")
            .Select(i => i.GetAttribute("data-task")!)
            .First(t => t.Split('/').Length > 2);
        foreach (var (who, feet) in new[] { (crew, "12"), (owner, "15") })
            await who.PostAsync(Room, await Form(who, Room, ("task", task), ("state", "Done"), ("value", feet)));
        (await crew.GetStringAsync("/jobs/tamarack-row--planned/field")).ShouldContain("12 by The crew, 15 by The owner");
        (await crew.GetStringAsync(Room)).ShouldContain("Measured twice, not the same");
        await owner.PostAsync(Room, await Form(owner, Room, ("task", task), ("state", "Settled"), ("value", "15")));
        (await crew.GetStringAsync(Room)).ShouldNotContain("Measured twice, not the same");
    }

    [Fact]
    public async Task The_first_owner_is_made_at_the_machine_alone()
    {
        // The tests reach the program by no address at all, which is not the machine's own.
        using var stranger = Browser();
        (await stranger.GetStringAsync("/sign-in")).ShouldContain("made at the machine that the program runs on");
        (await SignIn(stranger, "Mallory", Password)).IsSuccessStatusCode.ShouldBeFalse();
        using var scope = factory.Services.CreateScope();
        (await scope.ServiceProvider.GetRequiredService<UserManager<Account>>().FindByNameAsync("Mallory")).ShouldBeNull();
    }
}
