using System.Net;
using System.Net.Http.Headers;
using System.Text;
using AngleSharp.Html.Dom;

namespace Circuitum.Web.Tests;

/// <summary>The edits of the plan as the pages send them, drawings and pictures as files that are not trusted.</summary>
public sealed class PlanWebTests : WebHouse
{
    private const string Rooms = "/jobs/gull-cottage/rooms?storey=ground";

    private async Task<IHtmlDocument> Page(string address) => Parse(await Web.GetStringAsync(address));

    private const string File = "/jobs/gull-cottage/files/job.json";

    private Task<IHtmlDocument> Edit(string act, params (string Name, string Value)[] fields) => Edit(Rooms, act, fields);

    [Fact]
    public async Task Every_storey_room_wall_and_thing_has_a_ticket()
    {
        foreach (
            var pick in new[]
            {
                "room:living",
                "wall:living:0",
                "opening:o8",
                "appliance:dryer",
                "counter:c1",
                "wall:living:99",
                "opening:none",
                "nonsense",
                "room:",
                ":::",
            }
        )
        {
            var answer = await Web.GetAsync($"{Rooms}&pick={pick}");
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, pick);
        }
    }

    [Fact]
    public async Task A_typed_length_is_read_in_one_place()
    {
        (await Web.GetStringAsync("/length?text=12'6 1/2")).ShouldBe("150.5");
        (await Web.GetAsync("/length?text=abc")).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    private async Task<HttpResponseMessage> Send(string address, string name, byte[] bytes, params (string Name, string Value)[] fields)
    {
        var all = await Fields(Rooms);
        using var form = new MultipartFormDataContent();
        foreach (var (n, v) in all.Select(f => (f.Key, f.Value)).Concat(fields))
            form.Add(new StringContent(v), n);
        var file = new ByteArrayContent(bytes);
        file.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        form.Add(file, "file", name);
        return await Web.PostAsync(address, form);
    }

    [Fact]
    public async Task A_drawing_becomes_a_job_once_its_layers_are_chosen()
    {
        var dxf = await Web.GetByteArrayAsync("/jobs/gull-cottage/files/plan.dxf?storey=ground");
        var choose = await Send("/?handler=Import", "cottage.DXF", dxf);
        var address = choose.RequestMessage!.RequestUri!.AbsolutePath;
        address.ShouldStartWith("/drawing/");
        var page = Parse(await choose.Content.ReadAsStringAsync());
        var token = page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        var layers = page.QuerySelectorAll("input[name=layer]").Select(l => l.GetAttribute("value")!).ToList();
        List<KeyValuePair<string, string>> fields =
        [
            new("__RequestVerificationToken", token),
            new("name", "=Cottage"),
            new("units", "1"),
            .. layers.SelectMany(l =>
                new KeyValuePair<string, string>[]
                {
                    new("layer", l),
                    new(
                        "holds",
                        l == "ROOMS" ? "rooms"
                            : l.StartsWith("DOOR", StringComparison.Ordinal) ? "doors"
                            : l == "WINDOW" ? "windows"
                            : "not used"
                    ),
                }
            ),
        ];
        var made = await (await Web.PostAsync(address, new FormUrlEncodedContent(fields))).Content.ReadAsStringAsync();
        made.ShouldContain("9 closed outlines on ROOMS");
        (await Web.GetStringAsync("/jobs/cottage/rooms")).ShouldContain("=Cottage");
        fields[2] = new("units", "7");
        (await Web.PostAsync(address, new FormUrlEncodedContent(fields))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Web.GetStringAsync("/drawing/gone")).ShouldContain("Choose the file again");
    }

    [Theory]
    [InlineData("hello", "not a DXF")]
    [InlineData("  0\nSECTION\n  2\nENTITIES\n  0\nLINE\n", "breaks off")]
    public async Task A_bad_drawing_is_told(string text, string sentence)
    {
        var answer = await Send("/?handler=Import", "bad.dxf", Encoding.UTF8.GetBytes(text));
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await answer.Content.ReadAsStringAsync()).ShouldContain(sentence);
    }

    [Fact]
    public async Task A_picture_is_kept_with_its_job_and_given_to_nobody_else()
    {
        var png = Convert.FromBase64String(
            "iVBORw0KGgoAAAANSUhEUgAAABAAAAAQCAIAAACQkWg2AAAAFklEQVR42mP438BAEmIY1TCqYfhqAACcdX8QL4dRqgAAAABJRU5ErkJggg=="
        );
        var page = await (await Send("/jobs/gull-cottage/pictures", "x.png", png, ("storey", "ground"))).Content.ReadAsStringAsync();
        var image = Parse(page).QuerySelector(".under").ShouldNotBeNull();
        var source = image.GetAttribute("href")!;
        (await Web.GetByteArrayAsync(source)).ShouldBe(png);
        (await Web.GetAsync(source.Replace("gull-cottage", "tamarack-row", StringComparison.Ordinal))).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (
            await (await Send("/jobs/gull-cottage/pictures", "x.png", [1, 2, 3], ("storey", "ground"))).Content.ReadAsStringAsync()
        ).ShouldContain("not a PNG or JPEG");
        (
            await (
                await Send("/jobs/gull-cottage/pictures", "x.png", new byte[9_000_000], ("storey", "ground"))
            ).Content.ReadAsStringAsync()
        ).ShouldContain("larger than 8 MB");
        (
            await Web.PostAsync("/jobs/gull-cottage/pictures", new MultipartFormDataContent { { new StringContent("ground"), "storey" } })
        ).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_job_begins_with_a_starter_house()
    {
        var fields = await Fields("/");
        foreach (var start in new[] { "cabin", "bungalow", "two-storey" })
        {
            fields["name"] = $"House {start}";
            fields["start"] = start;
            var made = await Web.PostAsync("/?handler=New", new FormUrlEncodedContent(fields));
            (await made.Content.ReadAsStringAsync()).ShouldContain("Bath");
        }

        fields["start"] = "../../gull-cottage";
        (await Web.PostAsync("/?handler=New", new FormUrlEncodedContent(fields))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task Rooms_are_read_out_of_a_picture_shown_and_the_ticked_ones_taken()
    {
        var png = await Web.GetByteArrayAsync("/jobs/gull-cottage/files/plan.png?storey=ground");
        await Send("/jobs/gull-cottage/pictures", "plan.png", png, ("storey", "ground"));
        const string Page = "/jobs/gull-cottage/rooms?storey=ground";
        var before = await Web.GetStringAsync("/jobs/gull-cottage/files/job.json");
        var read = Parse(await Web.GetStringAsync($"{Page}&handler=ReadPicture"));
        read.QuerySelectorAll("[name=room]").Length.ShouldBeGreaterThan(4);
        read.QuerySelectorAll("svg .floor").Length.ShouldBeGreaterThan(4);
        (await Web.GetStringAsync("/jobs/gull-cottage/files/job.json")).ShouldBe(before);
        (await (await Post(Page, ("do", "take-picture"))).Content.ReadAsStringAsync()).ShouldContain("Tick the rooms");
        (await Web.GetAsync("/jobs/tamarack-row/rooms?storey=first&handler=ReadPicture")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_plan_goes_on_paper_with_its_dimensions()
    {
        var page = await Page("/jobs/tamarack-row/plan-print?storey=second");
        page.QuerySelectorAll(".dim-text").Length.ShouldBeGreaterThan(20);
        page.QuerySelectorAll("tbody tr").Length.ShouldBe(12);
        (await Web.GetAsync("/jobs/nobody/plan-print")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
