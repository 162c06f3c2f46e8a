using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Circuitum.Web.Tests;

/// <summary>What a phone sends: taken once, refused in a sentence, never lost.</summary>
public sealed class FieldWebTests() : WebHouse(shared: true)
{
    private const string At = "/jobs/gull-cottage--planned";

    private static int next;

    private static string NewId() => string.Create(CultureInfo.InvariantCulture, $"test-entry-{Interlocked.Increment(ref next):0000}");

    private async Task<string> Token() => JsonNode.Parse(await Web.GetStringAsync("/field/token"))!["token"]!.GetValue<string>();

    private async Task<(HttpStatusCode Status, JsonNode Body)> Send(string body, string? token = null)
    {
        var request = new HttpRequestMessage(HttpMethod.Post, $"{At}/field/entries")
        {
            Content = new StringContent(body, Encoding.UTF8, "application/json"),
        };
        request.Headers.Add("X-Form-Token", token ?? await Token());
        var answer = await Web.SendAsync(request);
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    private static string Batch(
        string id,
        string task,
        string state = "done",
        string value = "",
        DateTime? at = null,
        DateTime? now = null
    ) =>
        JsonSerializer.Serialize(
            new
            {
                now = now ?? DateTime.UtcNow,
                entries = new[]
                {
                    new
                    {
                        id,
                        task,
                        state,
                        value,
                        mark = "",
                        at = at ?? DateTime.UtcNow,
                    },
                },
            }
        );

    private async Task<string> FirstTask(string work)
    {
        var today = Parse(await Web.GetStringAsync($"{At}/field"));
        foreach (var room in today.QuerySelectorAll("[data-room] a").Select(a => a.GetAttribute("href")!))
        {
            var item = Parse(await Web.GetStringAsync(room)).QuerySelector($"[data-tasks='{work}'] li.task:not(.done)");
            if (item is not null)
                return item.GetAttribute("data-task")!;
        }

        throw new InvalidOperationException($"nothing of {work}");
    }

    [Fact]
    public async Task An_entry_that_is_sent_five_times_is_one()
    {
        var body = Batch(NewId(), await FirstTask("Set"));
        var numbers = new List<int>();
        for (var i = 0; i < 5; i++)
            numbers.Add((await Send(body)).Body["answers"]![0]!["number"]!.GetValue<int>());
        numbers.Distinct().Count().ShouldBe(1);
        numbers[0].ShouldBeGreaterThan(0);
    }

    [Theory]
    [InlineData("{", "cannot be read")]
    [InlineData("[]", "cannot be read")]
    [InlineData("{\"now\":\"yesterday\",\"entries\":[]}", "cannot be read")]
    [InlineData("{\"now\":\"2026-01-01T00:00:00Z\"}", "lists of 100")]
    [InlineData("{\"now\":\"2026-01-01T00:00:00Z\",\"entries\":[null]}", "lists of 100")]
    [InlineData("{\"now\":\"2026-01-01T00:00:00Z\",\"entries\":[{\"state\":\"dancing\"}]}", "cannot be read")]
    [InlineData("{\"now\":\"2026-01-01T00:00:00Z\",\"entries\":[{\"state\":7}]}", "cannot be read")]
    public async Task What_is_no_list_of_entries_is_refused_in_a_sentence(string body, string says)
    {
        var (status, answer) = await Send(body);
        status.ShouldBe(HttpStatusCode.BadRequest);
        answer["problem"]!.GetValue<string>().ShouldContain(says);
    }

    [Fact]
    public async Task Nothing_is_taken_without_the_proof_of_a_page()
    {
        (await Send(Batch(NewId(), "set/x"), "forged")).Status.ShouldBe(HttpStatusCode.BadRequest);
        (await Send(Batch(NewId(), "set/nowhere.r1"))).Body["answers"]![0]!["problem"]!.GetValue<string>().ShouldContain("not in the plan");
    }

    // A phone that is two hours fast says 14:00 at noon; a tick that it takes back at noon of the desk's clock is the later one.
    [Fact]
    public async Task A_clock_that_is_wrong_is_put_right_by_how_wrong_it_is_when_it_sends()
    {
        var task = await FirstTask("Set");
        var noon = DateTime.UtcNow.AddMinutes(-30);
        await Send(Batch(NewId(), task, at: noon.AddHours(2), now: DateTime.UtcNow.AddHours(2)));
        await Send(Batch(NewId(), task, "open", at: noon.AddMinutes(10)));
        var page = Parse(await Web.GetStringAsync($"{At}/field/{task.Split('/')[1].Split('.')[0]}"));
        page.QuerySelector($"[data-task='{task}']")!.ClassList.ShouldNotContain("done");
        foreach (var at in new[] { DateTime.MinValue, DateTime.MaxValue })
            (await Send(Batch(NewId(), task, "note", "when?", at, at))).Body["answers"]![0]!["number"]!
                .GetValue<int>()
                .ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task Two_measures_of_one_pull_are_shown_and_one_is_settled()
    {
        var task = await FirstTask("Pull");
        var feet = task.Count(c => c == '/') == 1 ? "44" : "12";
        (await Send(Batch(NewId(), task, value: feet))).Body["answers"]![0]!["problem"]!.GetValue<string>().ShouldBeEmpty();
        (await Send(Batch(NewId(), task, "settled", "46"))).Body["answers"]![0]!["problem"]!.GetValue<string>().ShouldBeEmpty();
        (await Send(Batch(NewId(), task, value: "abc"))).Body["answers"]![0]!["problem"]!.GetValue<string>().ShouldContain("no length");
        if (task.Count(c => c == '/') == 1)
            (await Web.GetStringAsync($"{At}/pull")).ShouldContain("took 46 ft");
    }

    [Fact]
    public async Task A_browser_without_a_script_ticks_too()
    {
        var task = await FirstTask("MakeUp");
        var room = $"{At}/field/{task.Split('/')[1].Split('.')[0]}";
        var token = Parse(await Web.GetStringAsync(room)).QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        var form = new MultipartFormDataContent
        {
            { new StringContent(token), "__RequestVerificationToken" },
            { new StringContent(task), "task" },
            { new StringContent("Done"), "state" },
        };
        (await Web.PostAsync(room, form)).EnsureSuccessStatusCode();
        Parse(await Web.GetStringAsync(room)).QuerySelector($"[data-task='{task}']")!.ClassList.ShouldContain("done");
    }

    private async Task<JsonNode> SendPicture(string task, byte[] bytes, string id)
    {
        var picture = new ByteArrayContent(bytes);
        picture.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        var form = new MultipartFormDataContent
        {
            { new StringContent(id), "entry" },
            { new StringContent(task), "task" },
            { new StringContent(DateTime.UtcNow.ToString("O")), "at" },
            { new StringContent(DateTime.UtcNow.ToString("O")), "now" },
            { picture, "picture", "wall.jpg" },
        };
        var request = new HttpRequestMessage(HttpMethod.Post, $"{At}/photos") { Content = form };
        request.Headers.Add("X-Form-Token", await Token());
        return JsonNode.Parse(await (await Web.SendAsync(request)).Content.ReadAsStringAsync())!["answers"]![0]!;
    }

    // A JPEG as a phone writes it: turned by a mark, with a place and a serial number in its head.
    private static byte[] Phone()
    {
        using var bitmap = new SKBitmap(400, 200);
        bitmap.Erase(SKColors.Tan);
        using var image = SKImage.FromBitmap(bitmap);
        var plain = image.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
        byte[] tiff =
        [
            .. "MM\0*\0\0\0\b\0\u0002"u8,
            0x01,
            0x12,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            6,
            0,
            0,
            0xA4,
            0x31,
            0,
            2,
            0,
            0,
            0,
            14,
            0,
            0,
            0,
            38,
            0,
            0,
            0,
            0,
            .. "SERIAL-0815-X\0"u8,
        ];
        byte[] head = [.. "Exif\0\0"u8, .. tiff];
        return [0xFF, 0xD8, 0xFF, 0xE1, (byte)((head.Length + 2) >> 8), (byte)(head.Length + 2), .. head, .. plain[2..]];
    }

    [Fact]
    public async Task A_photograph_is_made_anew_upright_without_what_the_phone_wrote_into_it()
    {
        var (task, id) = (await FirstTask("Photograph"), NewId());
        var bytes = Phone();
        Encoding.Latin1.GetString(bytes).ShouldContain("SERIAL-0815");
        (await SendPicture(task, bytes, id))["problem"]!.GetValue<string>().ShouldBeEmpty();
        (await SendPicture(task, bytes, id))["problem"]!.GetValue<string>().ShouldBeEmpty();
        var room = $"{At}/field/{task.Split('/')[1]}";
        var shown = Parse(await Web.GetStringAsync(room)).QuerySelectorAll($"[data-task='{task}'] .photos img");
        shown.Length.ShouldBe(1);
        var full = shown[0].GetAttribute("src")!.Replace("/small", "/full", StringComparison.Ordinal);
        var kept = await Web.GetByteArrayAsync(full);
        Encoding.Latin1.GetString(kept).ShouldNotContain("SERIAL");
        Encoding.Latin1.GetString(kept).ShouldNotContain("Exif");
        using var seen = SKBitmap.Decode(kept);
        (seen.Width, seen.Height).ShouldBe((200, 400));
    }

    [Fact]
    public async Task What_is_no_picture_is_told()
    {
        var task = await FirstTask("Photograph");
        (await SendPicture(task, "GIF89a no"u8.ToArray(), NewId()))["problem"]!.GetValue<string>().ShouldContain("no picture");
        (await SendPicture(task, [], NewId()))["problem"]!.GetValue<string>().ShouldContain("no picture");
        (await SendPicture("photo/nowhere/0", Phone(), NewId()))["problem"]!.GetValue<string>().ShouldContain("not in the plan");
        (await Web.GetAsync($"{At}/photos/999/full")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_was_built_shows_its_pictures_on_the_page_and_in_the_file()
    {
        var task = await FirstTask("Photograph");
        (await SendPicture(task, Phone(), NewId()))["problem"]!.GetValue<string>().ShouldBeEmpty();
        var page = Parse(await Web.GetStringAsync($"{At}/papers/as-built"));
        var shown = page.QuerySelectorAll("figure.photo img");
        shown.Length.ShouldBeGreaterThan(0);
        shown[0].GetAttribute("src")!.ShouldMatch("^/jobs/.+/photos/[0-9]+/full$");
        var with = await Web.GetByteArrayAsync($"{At}/files/as-built.pdf");
        Encoding.Latin1.GetString(with).ShouldContain("/Image");
        foreach (var paper in new[] { "booklet", "check-rough", "check-final", "corrections", "tests" })
            (await Web.GetByteArrayAsync($"{At}/files/{paper}.pdf")).Length.ShouldBeGreaterThan(2000, paper);
        (await Web.GetStringAsync($"{At}/files/tests.csv")).ShouldContain("circuit,serves,at,expected");
    }

    [Fact]
    public async Task A_made_up_house_is_the_same_again_by_its_number()
    {
        var one = await Web.GetStringAsync("/practice?house=4&kind=reach&n=2");
        one.ShouldContain("House number 4");
        var again = await Web.GetStringAsync("/practice?house=4&kind=reach&n=2");
        again.ShouldBe(one);
        (await Web.GetStringAsync("/practice?house=999&kind=nonsense&n=-4")).ShouldContain("Find it in few tests");
    }

    [Fact]
    public async Task The_code_of_a_run_leads_to_where_it_ends()
    {
        var task = Parse(await Web.GetStringAsync($"{At}/codes")).QuerySelectorAll(".codes").Length;
        task.ShouldBe(2);
        var number = (await FirstTask("Pull")).Split('/')[1];
        var answer = await Web.GetAsync($"{At}/run/{number}");
        answer.RequestMessage!.RequestUri!.PathAndQuery.ShouldContain("/field/");
        (await Web.GetAsync($"{At}/run/999")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
