using System.Net;
using System.Text.RegularExpressions;

namespace Circuitum.Web.Tests;

/// <summary>A villa with split boards, asked for from outside.</summary>
public sealed partial class BoardWebTests() : WebHouse(shared: true)
{
    private const string Villa = "/jobs/sidr-villa--planned";

    [GeneratedRegex(
        @"\b(AWG|GFCI|AFCI|arc-fault|ground-fault|duplex|receptacles?|home runs?|tandems?|panels?|120|240)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex OtherTrade();

    [Theory]
    [InlineData("boxes")]
    [InlineData("boxes?pick=box:majlis.r1")]
    [InlineData("circuits")]
    [InlineData("circuits?pick=circuit:7")]
    [InlineData("circuits?pick=circuit:10")]
    [InlineData("runs")]
    [InlineData("panel")]
    [InlineData("panel?pick=panel:upper")]
    [InlineData("findings")]
    [InlineData("papers/schedule")]
    [InlineData("papers/packet")]
    [InlineData("papers/directory")]
    [InlineData("labels")]
    [InlineData("stickers")]
    [InlineData("stickers?what=breakers")]
    [InlineData("plans")]
    [InlineData("look")]
    [InlineData("field-plan")]
    [InlineData("print")]
    [InlineData("plan-print")]
    [InlineData("issued")]
    [InlineData("editions")]
    [InlineData("card")]
    [InlineData("history")]
    [InlineData("why?key=circuit.7.wire")]
    [InlineData("why?key=circuit.7.drop")]
    [InlineData("why?key=circuit.7.protection")]
    [InlineData("why?key=service.standard")]
    [InlineData("why?key=feeder.upper")]
    [InlineData("why?key=legs.main")]
    public async Task A_page_of_the_villa_opens_in_the_words_of_its_trade(string page)
    {
        var answer = await Web.GetAsync($"{Villa}/{page}");
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var body = Parse(await answer.Content.ReadAsStringAsync()).Body!;

        // What can be put into any house, and the keys, are the same everywhere.
        foreach (var shared in body.QuerySelectorAll("dialog, script, template, .strip, option"))
            shared.Remove();
        OtherTrade().Matches(body.TextContent).Select(m => m.Value).Distinct().ShouldBeEmpty(page);
    }

    [Theory]
    [InlineData("material")]
    [InlineData("papers/make-up")]
    [InlineData("papers/estimate")]
    [InlineData("files/feeders.pdf")]
    public async Task What_means_nothing_there_is_not_there(string page) =>
        (await Web.GetAsync($"{Villa}/{page}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);

    [Theory]
    [InlineData("field")]
    [InlineData("field/majlis")]
    [InlineData("check-off")]
    [InlineData("tests")]
    [InlineData("find-fault")]
    [InlineData("trainer")]
    [InlineData("codes")]
    [InlineData("pull")]
    [InlineData("walls")]
    [InlineData("dead")]
    [InlineData("make-up")]
    [InlineData("rough-test")]
    [InlineData("load-sheet")]
    [InlineData("box-schedule")]
    [InlineData("orders")]
    [InlineData("van")]
    public async Task What_tells_how_panels_are_wired_says_that_it_is_not_made_for_boards(string page)
    {
        var answer = await Web.GetAsync($"{Villa}/{page}");
        answer.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        Parse(await answer.Content.ReadAsStringAsync()).Body!.TextContent.ShouldContain("not made for its boards");
        (await Web.GetAsync($"/jobs/tamarack-row/{page.Replace("majlis", "living")}")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Theory]
    [InlineData("sections=100 mA 4, 30 mA 8&name=Main board", "Undo edit the board")]
    [InlineData("loop=0.35", "Undo edit the board")]
    public async Task A_boards_sections_and_its_loop_are_told_stored_and_undone(string fields, string sign) =>
        await IsMadeStoredAndUndone(
            $"{Villa}/panel?pick=panel:main",
            $"{Villa}/files/job.json",
            "edit-panel",
            $"panel=main&{fields}",
            sign
        );

    [Theory]
    [InlineData("sections=100 mA", "is no section")]
    [InlineData("sections=5 mA 4", "10")]
    [InlineData("loop=0.35 ohm", "type a number")]
    [InlineData("loop=999", "0.01 and 200 ohm")]
    public async Task What_cannot_be_of_a_board_is_told(string fields, string sentence) =>
        await IsToldAndChangesNothing(
            $"{Villa}/panel?pick=panel:main",
            $"{Villa}/files/job.json",
            "edit-panel",
            $"panel=main&{fields}",
            sentence
        );

    [Fact]
    public async Task Saving_a_board_with_no_sections_of_ones_own_leaves_every_breaker_where_it_is()
    {
        async Task<string[]> Places() =>
            [
                .. (await Web.GetStringAsync($"{Villa}/files/schedule.csv"))
                    .Split('\n')
                    .Where(l => Way().IsMatch(l.Split(',')[0]))
                    .Select(l => string.Join(',', l.Split(',')[..2])),
            ];
        var before = await Places();
        var page = $"{Villa}/panel?pick=panel:main";
        Alert(await Edit(page, "edit-panel", ("panel", "main"), ("sections", ""), ("loop", ""), ("top", "1.8 m"))).ShouldBe("");
        var after = await Places();
        Alert(await Edit(page, "undo")).ShouldBe("");
        before.Length.ShouldBeGreaterThan(40);
        after.ShouldBe(before);
    }

    [Fact]
    public async Task Every_way_with_a_breaker_is_in_the_directory_and_has_its_label_and_sticker()
    {
        var rows = (await Web.GetStringAsync($"{Villa}/files/schedule.csv")).Split('\n').Select(l => l.Split(',')).ToList();
        var ways = rows.Select(r => r[0].Trim('"')).Where(w => Way().IsMatch(w)).ToHashSet();
        var taken = rows.Where(r => r.Length > 2 && Way().IsMatch(r[0].Trim('"')) && !r[2].Contains("Spare")).Select(r => r[0].Trim('"'));
        var labels = Parse(await Web.GetStringAsync($"{Villa}/labels"));
        var cards = labels.QuerySelectorAll(".card text").Select(t => t.TextContent).ToList();
        ways.Count.ShouldBeGreaterThan(30);
        ways.Except(cards).ShouldBeEmpty();
        labels.QuerySelectorAll(".label-rows tbody tr").Length.ShouldBe(26);
        var stickers = Parse(await Web.GetStringAsync($"{Villa}/stickers?what=breakers"));
        taken.Except(stickers.QuerySelectorAll(".sheet-page text").Select(t => t.TextContent)).ShouldBeEmpty();
    }

    [GeneratedRegex(@"^[A-D]\d+(-[RYB])?$")]
    private static partial Regex Way();

    [Theory]
    [InlineData("schedule.pdf")]
    [InlineData("packet.pdf")]
    [InlineData("plans.pdf")]
    [InlineData("findings.pdf")]
    [InlineData("schedule.csv")]
    [InlineData("job.json")]
    [InlineData("analysis.json")]
    public async Task Its_files_are_written(string file) =>
        (
            await (await Web.GetAsync($"{Villa}/files/{file}")).EnsureSuccessStatusCode().Content.ReadAsByteArrayAsync()
        ).Length.ShouldBeGreaterThan(500);

    [Fact]
    public async Task The_schedule_goes_by_way_and_line()
    {
        var csv = await Web.GetStringAsync($"{Villa}/files/schedule.csv");
        csv.ShouldContain("Way,Circuit,Serves,Points,Breaker,Live + neutral + earth,R W,Y W,B W,Length m,Drop %");
        csv.ShouldContain("Section A: 6 ways behind a residual-current device of 100 A");
        csv.ShouldContain("time-delayed");
        csv.ShouldContain("Majlis sockets (ring)");
        csv.ShouldContain("4 + 4 + 4");
        csv.ShouldContain("Demand after diversity");
    }

    [Fact]
    public async Task Only_what_means_something_is_asked_for()
    {
        var form = Parse(await Web.GetStringAsync($"{Villa}/job"));
        form.QuerySelector("[name='pref.ambientC']").ShouldNotBeNull();
        form.QuerySelector("[name='pref.generalWire']").ShouldBeNull();
        form.QuerySelector(".ways").ShouldBeNull();
        form.QuerySelectorAll(".stages a").Select(a => a.GetAttribute("data-key")).ShouldNotContain("7");
        var layers = Parse(await Web.GetStringAsync($"{Villa}/amendments")).Body!.TextContent;
        layers.ShouldNotContain("Alder County");
        var rules = Parse(await Web.GetStringAsync("/rules?family=sb"));
        rules.GetElementById("board.ring")!.TextContent.ShouldContain("To be looked up");
        rules.GetElementById("box.wall").ShouldBeNull();
        rules.Body!.TextContent.ShouldNotContain("{");
    }

    [Fact]
    public async Task A_circuit_is_made_a_radial_and_back_and_keeps_its_form_when_only_its_name_changes()
    {
        async Task<string> Ticket(params (string, string)[] fields)
        {
            var shown = await Edit($"{Villa}/circuits?pick=circuit:10", "edit-circuit", [("circuit", "10"), .. fields]);
            Alert(shown).ShouldBe("");
            return shown.QuerySelector(".ticket")!.TextContent + shown.QuerySelector(".listing")!.TextContent;
        }

        (await Ticket(("label", "Majlis plugs"), ("ring", "no"))).ShouldContain("a radial of 8 points");
        (await Ticket(("label", "Majlis plugs"), ("ring", "yes"))).ShouldContain("a ring of 8 points");
        (await Ticket(("label", "Majlis sockets"))).ShouldContain("a ring of 8 points");
        for (var n = 0; n < 3; n++)
            Alert(await Edit($"{Villa}/circuits", "undo")).ShouldBe("");
    }

    [Fact]
    public async Task A_breaker_is_moved_to_another_place_of_its_section()
    {
        var before = Parse(await Web.GetStringAsync($"{Villa}/panel?pick=circuit:13"));
        var free = before.QuerySelectorAll("select[name=space] option").First(o => o.TextContent.Trim() == "B6-R").GetAttribute("value")!;
        var shown = await Edit($"{Villa}/panel?pick=circuit:13", "move-breaker", ("circuit", "13"), ("space", free));
        Alert(shown).ShouldBe("");
        shown.QuerySelector(".ticket")!.TextContent.ShouldContain("B6-R");
        Alert(await Edit($"{Villa}/panel", "undo")).ShouldBe("");
    }
}
