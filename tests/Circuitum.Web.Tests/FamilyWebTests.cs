using System.Net;

namespace Circuitum.Web.Tests;

/// <summary>Jobs under another family of rules, asked for from outside.</summary>
public sealed class FamilyWebTests : WebHouse
{
    private const string Canada = "/jobs/larch-siding--planned";

    [Fact]
    public async Task The_load_sheet_is_by_floor_area_and_preferences_that_say_nothing_are_not_asked_for()
    {
        (await Web.GetStringAsync($"{Canada}/load-sheet")).ShouldContain("m2 inside the outer walls");
        var form = Parse(await Web.GetStringAsync($"{Canada}/job"));
        form.QuerySelector("[name='pref.serviceMethod']").ShouldBeNull();
        form.QuerySelector("[name='pref.generalWire']").ShouldBeNull();
        form.QuerySelector("[name='pref.sparePercent']").ShouldNotBeNull();
        form.QuerySelectorAll("select[name=edition] option[value^=us]").ShouldNotBeEmpty("only for a copy");
        form.QuerySelectorAll(".job-form select[name=edition] option").Select(o => o.GetAttribute("value")).ShouldBe(["ca-2021"]);
    }

    [Fact]
    public async Task A_house_is_copied_and_planned_anew_by_the_rules_of_the_other_family()
    {
        var form = await Fields("/jobs/gull-cottage--planned/job");
        using var content = new FormUrlEncodedContent([
            new("__RequestVerificationToken", form["__RequestVerificationToken"]),
            new("edition", "ca-2021"),
        ]);
        var answer = await Web.PostAsync("/jobs/gull-cottage--planned/job?handler=OtherRules", content);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var copy = answer.RequestMessage!.RequestUri!.AbsolutePath;
        copy.ShouldEndWith("/circuits");
        (await answer.Content.ReadAsStringAsync()).ShouldContain("Kitchen counter receptacles");
        (await Web.GetStringAsync(copy.Replace("/circuits", "/job", StringComparison.Ordinal))).ShouldContain("Canada, 2021 edition");
        using var wrong = new FormUrlEncodedContent([
            new("__RequestVerificationToken", form["__RequestVerificationToken"]),
            new("edition", "mars-1999"),
        ]);
        (await Web.PostAsync("/jobs/gull-cottage--planned/job?handler=OtherRules", wrong)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_rules_page_shows_a_family_and_what_of_it_is_doubted()
    {
        var page = Parse(await Web.GetStringAsync("/rules?family=ca"));
        page.GetElementById("box.wall")!.TextContent.ShouldContain("1.8 m");
        page.GetElementById("protect.arc")!.TextContent.ShouldContain("To be looked up");
        page.Body!.TextContent.ShouldNotContain("{");
        (await Web.GetStringAsync("/rules")).ShouldNotContain("To be looked up");
    }
}
