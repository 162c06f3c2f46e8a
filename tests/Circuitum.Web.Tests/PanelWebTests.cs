using System.Net;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats;

namespace Circuitum.Web.Tests;

/// <summary>The panel's pages: labels and door card, make-up, stickers, tandems and families.</summary>
public sealed class PanelWebTests : WebHouse
{
    private const string At = "/jobs/gull-cottage",
        Panel = $"{At}/panel",
        Labels = $"{At}/labels";

    private async Task<Job> Stored() => JobFile.Read(await Web.GetStringAsync($"{At}/files/job.json")).Job!;

    private async Task<Job> Planned()
    {
        await Edit($"{At}/boxes", "propose-boxes");
        await Edit($"{At}/circuits", "plan-circuits");
        return await Stored();
    }

    [Fact]
    public async Task Labels_are_written_together_checked_and_kept_in_the_fields_when_refused()
    {
        (await Web.GetStringAsync(Labels)).ShouldContain("No circuits yet");
        var job = await Planned();
        var page = Parse(await Web.GetStringAsync(Labels));
        page.QuerySelectorAll(".label-rows input").Length.ShouldBe(job.Decisions.Circuits.Length);
        page.QuerySelectorAll("[aria-invalid]").ShouldBeEmpty();
        var n = job.Decisions.Circuits.Take(4).Select(c => c.Number).ToArray();
        var written = page.QuerySelector($"#label-{n[0]}")!.GetAttribute("placeholder");
        var saved = await Edit(
            Labels,
            "labels",
            ($"label.{n[0]}", "Lights"),
            ($"label.{n[1]}", "  Emma's corner lights"),
            ($"label.{n[2]}", "Same as four"),
            ($"label.{n[3]}", "same as FOUR")
        );
        saved.QuerySelector("[role=status]")!.TextContent.ShouldContain("Saved");
        saved.QuerySelector($"#wrong-{n[0]}")!.TextContent.ShouldContain("neither what nor where");
        saved.QuerySelector($"#wrong-{n[1]}")!.TextContent.ShouldContain("person's name");
        saved.QuerySelector($"#wrong-{n[2]}")!.TextContent.ShouldContain($"Circuit {n[3]} has the same");
        (await Stored()).Decisions.Circuits.Single(c => c.Number == n[1]).Label.ShouldBe("Emma's corner lights");
        saved.QuerySelector(".card-svg")!.TextContent.ShouldContain("corner");
        var longer = new string('x', 130);
        var refused = await Edit(Labels, "labels", ($"label.{n[0]}", longer), ($"label.{n[1]}", "Another one"));
        Alert(refused).ShouldContain($"Label of circuit {n[0]}: it has 130 characters");
        (
            refused.QuerySelector($"#label-{n[0]}")!.GetAttribute("value"),
            refused.QuerySelector($"#label-{n[1]}")!.GetAttribute("value")
        ).ShouldBe((longer, "Another one"));
        var back = await Edit(Labels, "labels", ($"label.{n[0]}", ""), ($"label.{n[1]}", ""), ($"label.{n[2]}", ""), ($"label.{n[3]}", ""));
        back.QuerySelectorAll("[aria-invalid]").ShouldBeEmpty();
        back.QuerySelector($"#label-{n[0]}")!.GetAttribute("placeholder").ShouldBe(written);
        (await Stored()).Decisions.Circuits.ShouldAllBe(c => c.Label == null);
        Alert(await Edit(Labels, "remove-circuit", ("circuit", "1"))).ShouldContain("not something this page can do");
        Alert(await Edit(Labels, "labels", ("label.77", "x"))).ShouldContain("no circuit 77");
        (await Web.GetAsync("/jobs/ghost/labels")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_door_card_takes_the_size_that_is_typed()
    {
        var id = (await Planned()).Panels[0].Id;
        var shown = await Edit(Labels, "edit-panel", ("panel", id), ("wide", "4-1/2 in"), ("tall", "7 in"));
        Alert(shown).ShouldBe("");
        var card = shown.QuerySelector(".card-svg")!;
        (card.GetAttribute("width"), card.GetAttribute("height")).ShouldBe(("324pt", "504pt"));
        Alert(await Edit(Labels, "edit-panel", ("panel", id), ("wide", "wide"), ("tall", "7 in"))).ShouldContain("Width");
        Alert(await Edit(Labels, "edit-panel", ("panel", id), ("wide", "5 in"), ("tall", "2 ft"))).ShouldContain("outside");
        Alert(await Edit(Labels, "edit-panel", ("panel", "attic"), ("wide", "5 in"), ("tall", "7 in"))).ShouldContain("not there any more");
    }

    [Theory]
    [InlineData("", 1, "letter-30")]
    [InlineData("?what=breakers&sheet=a4-65&first=9&lines=on", 1, "a4-65")]
    [InlineData("?what=%3Cb%3E&sheet=moon&first=-5&lines=maybe", 1, "letter-30")]
    [InlineData("?first=99999999999999", 1, "letter-30")]
    public async Task Stickers_are_shown_and_come_as_pdf_whatever_the_address_says(string query, int least, string sheet)
    {
        (await Web.GetStringAsync($"{At}/stickers")).ShouldContain("No circuits yet");
        await Planned();
        var page = Parse(await Web.GetStringAsync($"{At}/stickers{query}"));
        page.QuerySelectorAll(".sheet-svg").Length.ShouldBeGreaterThanOrEqualTo(least);
        page.QuerySelector("select[name=sheet] option[selected]")!.GetAttribute("value").ShouldBe(sheet);
        var pdf = await Web.GetAsync(page.QuerySelector("a[download]")!.GetAttribute("href"));
        pdf.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        (await pdf.Content.ReadAsStringAsync()).ShouldStartWith("%PDF-");
    }

    [Fact]
    public async Task The_make_up_shows_every_breaker_in_its_turn()
    {
        (await Web.GetStringAsync($"{At}/make-up")).ShouldContain("No grounds yet");
        var job = await Planned();
        var page = Parse(await Web.GetStringAsync($"{At}/make-up"));
        page.QuerySelectorAll("table tbody tr").Length.ShouldBe(job.Decisions.Circuits.Length);
        page.QuerySelectorAll("section p").Count(p => char.IsDigit(p.TextContent[0])).ShouldBeGreaterThan(6);
        page.QuerySelectorAll(".make-up-svg").Length.ShouldBe(1);
    }

    [Fact]
    public async Task Tandems_and_families_are_entered_and_what_does_not_fit_is_told()
    {
        var job = await Planned();
        var panel = job.Panels[0];
        (string, string)[] Fields(string tandems, string also = "") =>
            [
                ("panel", panel.Id),
                ("name", panel.Name),
                ("main", $"{panel.MainBreaker}"),
                ("spaces", $"{panel.Spaces}"),
                ("family", "Family A"),
                ("also", also),
                ("top", "6'0"),
                ("tandems", tandems),
            ];
        Alert(await Edit(Panel, "edit-panel", Fields("20-1"))).ShouldContain("Tandems: type spaces such as 13-20");
        Alert(await Edit(Panel, "edit-panel", Fields($"1-{panel.Spaces}", "Family B, Family C"))).ShouldBe("");
        var stored = (await Stored()).Panels[0];
        (stored.TandemSpaces.Length, stored.AlsoTakes.Length).ShouldBe((panel.Spaces, 2));
        var a = Analyzer.Analyze(await Stored());
        var guarded = a.Circuits.First(c => c.Poles == 1 && c.Protection.BreakerMark != "");
        Alert(await Edit(Panel, "move-breaker", ("circuit", $"{guarded.Number}"), ("space", "5B"))).ShouldContain("needs a whole space");
        Alert(await Edit(Panel, "move-breaker", ("circuit", $"{guarded.Number}"), ("space", "B"))).ShouldContain("such as 13B");
        var mixed = await Edit(Panel, "breaker-family", ("circuit", $"{guarded.Number}"), ("family", "Family Z"));
        mixed.Body!.TextContent.ShouldContain("is of Family Z; the panel takes Family A, Family B, Family C");
    }
}
