using System.Net;
using System.Text.Json;
using AngleSharp.Html.Dom;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;

namespace Circuitum.Web.Tests;

/// <summary>The stage of material, orders and price lists, as a browser without a script sees them.</summary>
public sealed class MaterialWebTests : WebHouse
{
    private const string At = "/jobs/gull-cottage--planned",
        Material = $"{At}/material",
        Orders = $"{At}/orders",
        File = $"{At}/files/job.json";

    private async Task<IHtmlDocument> Page(string address) => Parse(await Web.GetStringAsync(address));

    // Presses a button of the page of orders, or of price lists, whose form goes to a handler.
    private async Task<(HttpStatusCode Status, IHtmlDocument Page)> Press(string page, string handler, params (string, string)[] fields)
    {
        var key = fields.FirstOrDefault(f => f.Item1 == "key").Item2;
        var shown = await Page(handler == "Take" ? $"{page}?waiting={key}" : page);
        var form = shown
            .QuerySelectorAll("form")
            .First(f => f.GetAttribute("action")!.Contains($"handler={handler}", StringComparison.Ordinal));
        var all = form.QuerySelectorAll("input[name], select[name]")
            .ToDictionary(i => i.GetAttribute("name")!, i => i.GetAttribute("value") ?? "");
        foreach (var (name, value) in fields)
            all[name] = value;
        var answer = await Web.PostAsync($"{page}?handler={handler}", new FormUrlEncodedContent(all));
        return (answer.StatusCode, Parse(await answer.Content.ReadAsStringAsync()));
    }

    private Task Counter(string mood, string missing = "") => Press("/prices", "Counter", ("mood", mood), ("missing", missing));

    private async Task<string> OrderText() => Plain((await Page(Orders)).QuerySelectorAll("section.order")[0].TextContent);

    private async Task<string> PricesText() => Plain((await Page("/prices")).Body!.TextContent);

    private static string Plain(string text) => string.Join(' ', text.Split(default(char[]), StringSplitOptions.RemoveEmptyEntries));

    [Fact]
    public async Task The_takeoff_is_divided_searched_and_opened()
    {
        var page = await Page(Material);
        page.QuerySelectorAll(".takeoff h2").Select(h => h.TextContent).ShouldBe(["Service", "Rough-in", "Trim"]);
        (await Page($"{Material}?by=room&find=14-2"))
            .QuerySelectorAll(".takeoff tbody tr:not(.group) td:first-child")
            .ShouldAllBe(c => c.TextContent.StartsWith("14-2", StringComparison.Ordinal));
        (await Page($"{Material}?find=dragons")).Body!.TextContent.ShouldContain("Nothing of that name");
        var ticket = (await Page($"{Material}?line=trim:switch.3-way")).QuerySelector(".ticket")!;
        ticket.TextContent.ShouldContain("6, trim");
        ticket.QuerySelectorAll(".chips a").Length.ShouldBeGreaterThan(2);
        (await Web.GetStringAsync($"{At}/why?key=material.Trim.switch.3-way")).ShouldContain("three-way switch");
        (await Web.GetStringAsync($"{At}/why?key=coils.12-2")).ShouldContain("Coils of 12-2 to buy");
    }

    [Fact]
    public async Task A_reel_a_shelf_and_minutes_are_kept_and_undone()
    {
        await IsMadeStoredAndUndone($"{Material}?look=reels", File, "keep-reel", "cable=12-2&left=120&place=van", "12-2.1");
        await IsMadeStoredAndUndone(
            $"{Material}?line=trim:plate.1.duplex",
            File,
            "keep-shelf",
            "item=plate.1.duplex&quantity=9",
            "On the shelf"
        );
        await IsMadeStoredAndUndone($"{Material}?look=labour", File, "set-minutes", "task=set-box&minutes=6", "to begin with 4");
        await IsMadeStoredAndUndone($"{Material}?look=labour", File, "set-took", "phase=RoughIn&hours=30", "percent of the plan");
        await IsToldAndChangesNothing($"{Material}?look=reels", File, "keep-reel", "cable=twelve&left=120", "Cable: 'twelve' is none");
        await IsToldAndChangesNothing($"{Material}?look=labour", File, "set-minutes", "task=set-box&minutes=-1", "Minutes to set a box");
        await IsToldAndChangesNothing(Material, File, "keep-shelf", "item=staple&quantity=-4", "On the shelf");
    }

    [Fact]
    public async Task The_reels_of_another_job_come_here_and_are_written_off_there()
    {
        const string Other = "/jobs/tamarack-row--planned/material?look=reels";
        await Edit(Other, "keep-reel", ("cable", "12-2"), ("left", "120"), ("place", "van"));
        await Edit($"{Material}?look=reels", "bring-reels", ("from", "tamarack-row--planned"));
        (await Web.GetStringAsync(File)).ShouldContain("12-2.1");
        (await Web.GetStringAsync("/jobs/tamarack-row--planned/files/job.json")).ShouldContain("gone to Gull Cottage");
        Alert(await Edit($"{Material}?look=reels", "bring-reels", ("from", "tamarack-row--planned")))
            .ShouldContain("Job: nothing is left on its reels.");
    }

    [Fact]
    public async Task An_order_is_kept_while_the_counter_is_down_or_slow_and_is_one_in_the_end()
    {
        await Counter("Down");
        (await Press(Orders, "Place")).Status.ShouldBe(HttpStatusCode.OK);
        (await OrderText()).ShouldContain("waiting");
        (await OrderText()).ShouldContain("The counter cannot be reached. Tried 1 time; it is kept and tried again.");

        // Slow: it has the order, but nobody has heard so.
        await Counter("Slow");
        await Press(Orders, "Send");
        (await OrderText()).ShouldContain("did not answer in time");
        (await PricesText()).ShouldContain("has 1 order.");

        await Counter("Answers");
        await Press(Orders, "Send");
        (await OrderText()).ShouldContain("confirmed");
        (await OrderText()).ShouldContain("Receipt LH-");
        (await PricesText()).ShouldContain("has 1 order.");
    }

    [Fact]
    public async Task A_form_that_is_sent_twice_makes_one_order()
    {
        var form = (await Page(Orders))
            .QuerySelectorAll("form")
            .First(f => f.GetAttribute("action")!.Contains("Place", StringComparison.Ordinal));
        var fields = form.QuerySelectorAll("input[name]").ToDictionary(i => i.GetAttribute("name")!, i => i.GetAttribute("value") ?? "");
        for (var i = 0; i < 2; i++)
            (await Web.PostAsync($"{Orders}?handler=Place", new FormUrlEncodedContent(fields))).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Page(Orders)).QuerySelectorAll("section.order").Length.ShouldBe(1);
        fields["key"] = "short";
        (await Web.PostAsync($"{Orders}?handler=Place", new FormUrlEncodedContent(fields))).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task What_is_out_of_stock_comes_later_and_a_change_after_the_order_adds_and_returns()
    {
        await Counter("Answers", "plate.1.duplex");
        await Press(Orders, "Place", ("stage", "trim"));
        (await OrderText()).ShouldContain("Comes later: 15 one-gang plate, duplex opening.");
        await Press(Orders, "ReceiveAll");
        (await OrderText()).ShouldContain("part received");
        (await Press(Orders, "Receive", ("number", "1"), ("item", "plate.1.duplex"), ("came", "99")))
            .Page.QuerySelector("[role=alert]")!
            .TextContent.ShouldContain("more than was ordered");
        await Press(Orders, "Receive", ("number", "1"), ("item", "plate.1.duplex"), ("came", "15"));
        (await OrderText()).ShouldContain("received");

        // A receptacle goes: its device and plate go back; another comes elsewhere.
        await Edit($"{At}/boxes", "remove-box", ("box", "living.r1"));
        var trim = (await Page(Orders)).QuerySelector("section[aria-label=trim]")!.TextContent;
        trim.ShouldContain("To return");
        await Edit($"{At}/boxes", "undo");
        (await Page(Orders)).QuerySelector("section[aria-label=trim]")!.TextContent.ShouldContain("All of it is ordered.");
        foreach (var form in new[] { "pdf", "csv", "xlsx", "json" })
            (await Web.GetByteArrayAsync($"{Orders}?handler=File&number=1&form={form}")).Length.ShouldBeGreaterThan(300);
        (await Web.GetAsync($"{Orders}?handler=File&number=7&form=pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private async Task<HttpResponseMessage> Upload(string text)
    {
        var token = (await Page("/prices")).QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        using var content = new MultipartFormDataContent
        {
            { new StringContent(token), "__RequestVerificationToken" },
            { new StringContent("Autumn"), "name" },
            { new StringContent("Quarry Lane Electric"), "supplier" },
            { new StringContent(text), "file", "autumn.csv" },
        };
        return await Web.PostAsync("/prices?handler=Read", content);
    }

    [Fact]
    public async Task Refused_rows_are_told_by_line_and_the_rest_is_taken_only_when_a_person_says_so()
    {
        var asked = Parse(
            await (await Upload("key,unit,price\nswitch.3-way,each,9.99\nswitch.1-way,each,\"1,20\"\n")).Content.ReadAsStringAsync()
        );
        asked.Body!.TextContent.ShouldContain("Line 3: price '1,20' has a comma");
        (await PricesText()).ShouldNotContain("Quarry Lane");
        var key = asked.QuerySelector("input[name=key]")!.GetAttribute("value")!;
        (await Press("/prices", "Take", ("key", key))).Status.ShouldBe(HttpStatusCode.OK);
        (await PricesText()).ShouldContain("Quarry Lane Electric");
        (await Page($"{Material}?line=trim:switch.3-way")).QuerySelector(".ticket")!.TextContent.ShouldContain("$9.99 for 1 each");
        (await Upload("key,unit,price,currency\na,each,1,USD\nb,each,1,CAD\n")).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        await Press("/prices", "Drop");
        (await PricesText()).ShouldNotContain("Quarry Lane");
    }

    [Fact]
    public async Task A_change_order_tells_before_and_after_against_an_issued_set()
    {
        await Post($"{At}/issued", ("name", "for the owner"));
        await Edit($"{At}/boxes", "remove-box", ("box", "living.r1"));
        var compared = await Page($"{Material}?look=estimate&against=1");
        compared.Body!.TextContent.ShouldContain("Print the change order");
        var paper = (await Page($"{At}/papers/change-order?since=1")).Body!.TextContent;
        paper.ShouldContain("Against set 1, for the owner.");
        paper.ShouldContain("Box living.r1: gone.");
        paper.ShouldContain("-1");
        (await Web.GetByteArrayAsync($"{At}/files/change-order.pdf?since=1")).Length.ShouldBeGreaterThan(2000);
        (await Web.GetStringAsync($"{At}/papers/change-order")).ShouldContain("Nothing to compare with");
    }

    [Fact]
    public async Task The_takeoff_is_read_over_HTTP_and_described()
    {
        using var material = JsonDocument.Parse(await Web.GetStringAsync("/api/jobs/gull-cottage--planned/material"));
        var lines = material.RootElement.GetProperty("lines").EnumerateArray().ToList();
        lines.Count.ShouldBeGreaterThan(50);
        var cable = lines.First(l => l.GetProperty("key").GetString() == "cable.12-2");
        Math.Abs(
                cable.GetProperty("from").EnumerateArray().Sum(f => f.GetProperty("quantity").GetDouble())
                    - cable.GetProperty("quantity").GetDouble()
            )
            .ShouldBeLessThan(0.5);
        (await Web.GetAsync("/api/jobs/none/material")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetStringAsync("/openapi/v1.json")).ShouldContain("/api/jobs/{id}/material");
    }

    [Fact]
    public async Task The_counter_takes_orders_of_another_process_as_JSON_only()
    {
        var order = new Order
        {
            Key = new string('a', 32),
            Lines =
            [
                new()
                {
                    Item = "tie",
                    Quantity = 2,
                    Cost = 4,
                },
            ],
        };
        HttpContent Json(string text) => new StringContent(text, System.Text.Encoding.UTF8, "application/json");
        var first = await (await Web.PostAsync("/counter/orders", Json(SupplyJson.Write(order)))).Content.ReadAsStringAsync();
        (await (await Web.PostAsync("/counter/orders", Json(SupplyJson.Write(order)))).Content.ReadAsStringAsync()).ShouldBe(first);
        SupplyJson.ReadAnswer(first).Receipt.ShouldStartWith("LH-");
        (await Web.PostAsync("/counter/orders", Json("{}"))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Web.PostAsync("/counter/orders", Json("["))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Web.PostAsync("/counter/orders", new StringContent("x"))).StatusCode.ShouldBe(HttpStatusCode.UnsupportedMediaType);
    }
}
