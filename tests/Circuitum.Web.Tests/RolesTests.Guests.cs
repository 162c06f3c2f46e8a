using System.Net;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;

namespace Circuitum.Web.Tests;

// Who comes in by a code or a link, and who inspects.
public sealed partial class RolesTests
{
    // Papers about money, and those of another job, are not for a guest; nor is a job after the link has ended.
    [Fact]
    public async Task A_guest_looks_at_one_job_without_money_until_the_link_ends()
    {
        using var owner = await As(Roles.Owner);
        var shown = await owner.PostAsync(
            "/people",
            await Form(owner, "/people", ("what", "invite"), ("who", "Gil Guest"), ("job", "tamarack-row--planned"), ("days", "3"))
        );
        var code = System
            .Text.RegularExpressions.Regex.Match(await shown.Content.ReadAsStringAsync(), "/guest/([0-9a-f]{32})")
            .Groups[1]
            .Value;
        code.Length.ShouldBe(32);
        using var guest = Browser();
        (await guest.GetStringAsync("/guest/00000000000000000000000000000000")).ShouldContain("This link has ended");
        (await guest.PostAsync($"/guest/{code}", await Form(guest, $"/guest/{code}")))
            .Headers.Location!.ToString()
            .ShouldBe("/jobs/tamarack-row--planned/look");
        const string At = "/jobs/tamarack-row--planned";
        var look = await guest.GetStringAsync($"{At}/look");
        look.ShouldNotContain("check-off");
        foreach (var link in new AngleSharp.Html.Parser.HtmlParser().ParseDocument(look).QuerySelectorAll("ul.big-links a"))
            (await guest.GetAsync(link.GetAttribute("href"))).StatusCode.ShouldBe(HttpStatusCode.OK, link.TextContent);
        foreach (var paper in new[] { "estimate", "material", "change-order", "builders", "van", "packet" })
            (await guest.GetAsync($"{At}/papers/{paper}")).StatusCode.ShouldBe(HttpStatusCode.Forbidden, paper);
        (await guest.GetAsync("/jobs/gull-cottage--planned/look")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await guest.GetAsync("/jobs/gull-cottage--planned/papers/boxes")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);

        // The day comes.
        using (var scope = factory.Services.CreateScope())
        {
            var people = scope.ServiceProvider.GetRequiredService<UserManager<Account>>();
            var account = (await people.FindByNameAsync("Gil Guest"))!;
            account.Until = DateTime.UtcNow.AddMinutes(-1);
            await people.UpdateAsync(account);
        }

        (await guest.GetAsync($"{At}/look")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await guest.GetStringAsync($"/guest/{code}")).ShouldContain("This link has ended");
        foreach (var (job, days) in new[] { ("none", "3"), ("tamarack-row", "0"), ("tamarack-row", "91") })
            (
                await (
                    await owner.PostAsync(
                        "/people",
                        await Form(owner, "/people", ("what", "invite"), ("who", "Other"), ("job", job), ("days", days))
                    )
                ).Content.ReadAsStringAsync()
            ).ShouldContain("role=\"alert\"");
    }

    [Fact]
    public async Task An_inspector_says_what_passes_and_nothing_else()
    {
        using var inspector = await As(Roles.Inspector);
        const string At = "/jobs/tamarack-row--planned/check-off";
        var page = await inspector.GetStringAsync(At);
        var task = System.Text.RegularExpressions.Regex.Match(page, "data-task=\"(check/rough/[^\"]+)\"").Groups[1].Value;
        await inspector.PostAsync(At, await Form(inspector, At, ("task", task), ("state", "Done")));
        (await inspector.GetStringAsync(At)).ShouldContain("by The inspector");
        (
            await (
                await inspector.PostAsync(At, await Form(inspector, At, ("task", "set/kitchen.r1"), ("state", "Done")))
            ).Content.ReadAsStringAsync()
        ).ShouldContain("the crew&#x27;s to say");
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
