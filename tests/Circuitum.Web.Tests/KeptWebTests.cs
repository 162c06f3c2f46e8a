using System.IO.Compression;
using System.Net;
using System.Text;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Circuitum.Web.Tests;

/// <summary>Files that are taken in, backups and the history, asked for from outside.</summary>
public sealed class KeptWebTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private readonly WebApplicationFactory<Program> factory;
    private readonly HttpClient web;

    public KeptWebTests()
    {
        factory = new WebApplicationFactory<Program>().WithWebHostBuilder(b => b.UseSetting("data", folder));
        web = factory.CreateClient();
    }

    public void Dispose()
    {
        web.Dispose();
        factory.Dispose();
        Directory.Delete(folder, true);
    }

    private async Task<string> Token(string page)
    {
        var html = await web.GetStringAsync(page);
        var at = html.IndexOf("__RequestVerificationToken\" type=\"hidden\" value=\"", StringComparison.Ordinal);
        var from = html.IndexOf("value=\"", at, StringComparison.Ordinal) + 7;
        return html[from..html.IndexOf('"', from)];
    }

    private async Task<HttpResponseMessage> Import(string name, byte[] bytes)
    {
        using var form = new MultipartFormDataContent
        {
            { new StringContent(await Token("/")), "__RequestVerificationToken" },
            { new ByteArrayContent(bytes), "file", name },
        };
        return await web.PostAsync("/?handler=Import", form);
    }

    private async Task<HttpResponseMessage> Post(string page, string handler, params (string, string)[] fields)
    {
        using var form = new FormUrlEncodedContent([
            new("__RequestVerificationToken", await Token(page)),
            .. fields.Select(f => KeyValuePair.Create(f.Item1, f.Item2)),
        ]);
        return await web.PostAsync($"{page}{(page.Contains('?') ? '&' : '?')}handler={handler}", form);
    }

    [Theory]
    [InlineData("PK no archive")]
    [InlineData("")]
    [InlineData("PK\u0003\u0004 and more than twenty-two bytes of something else")]
    public async Task What_is_no_archive_is_told(string text)
    {
        var answer = await Import("job.zip", Encoding.Latin1.GetBytes(text));
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await answer.Content.ReadAsStringAsync()).ShouldContain("damaged");
    }

    [Fact]
    public async Task A_job_goes_out_and_comes_in_with_its_history()
    {
        var file = await web.GetByteArrayAsync("/jobs/gull-cottage/archive.zip");
        var answer = await Import("job.zip", file);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        answer.RequestMessage!.RequestUri!.AbsolutePath.ShouldBe("/jobs/gull-cottage-2/rooms");
        (await web.GetByteArrayAsync("/jobs/gull-cottage-2/archive.zip")).AsSpan().SequenceEqual(file).ShouldBeTrue();
        (await web.GetAsync("/jobs/none/archive.zip")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Every_job_goes_out_in_one_file_each_as_its_own_archive()
    {
        await Post("/", "PutAway", ("job", "tamarack-row"));
        using var zip = new ZipArchive(new MemoryStream(await web.GetByteArrayAsync("/archives.zip")));
        string[] demos = ["gull-cottage", "larch-siding", "sidr-villa", "tamarack-row"];
        zip.Entries.Select(e => e.FullName).ShouldBe(demos.SelectMany(d => new[] { $"{d}.zip", $"{d}--planned.zip" }), ignoreOrder: true);
        foreach (var entry in zip.Entries)
        {
            using var part = new MemoryStream();
            await (await entry.OpenAsync()).CopyToAsync(part);
            var alone = await web.GetByteArrayAsync($"/jobs/{entry.FullName}".Replace(".zip", "/archive.zip", StringComparison.Ordinal));
            part.ToArray().AsSpan().SequenceEqual(alone).ShouldBeTrue();
        }
    }

    // Twice what any other request may bring: a part that is no part of an archive fills it up, and nobody reads it.
    [Fact]
    public async Task An_archive_with_many_pictures_is_taken_and_no_other_file_of_its_size()
    {
        using var file = new MemoryStream();
        file.Write(await web.GetByteArrayAsync("/jobs/gull-cottage/archive.zip"));
        await using (var zip = new ZipArchive(file, ZipArchiveMode.Update, leaveOpen: true))
        {
            await using var more = await zip.CreateEntry("more", CompressionLevel.NoCompression).OpenAsync();
            await more.WriteAsync(new byte[2 * App.MostRequestBytes]);
        }

        var answer = await Import("job.zip", file.ToArray());
        answer.RequestMessage!.RequestUri!.AbsolutePath.ShouldBe("/jobs/gull-cottage-2/rooms");
        foreach (var name in new[] { "job.json", "job.dxf" })
        {
            var refused = await Import(name, file.ToArray());
            refused.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
            (await refused.Content.ReadAsStringAsync()).ShouldContain("larger than 12 MB");
        }
    }

    [Fact]
    public async Task States_that_are_not_there_are_told()
    {
        const string At = "/jobs/gull-cottage/history";
        (await web.GetStringAsync($"{At}?from=1&to=77")).ShouldContain("is not there any more");
        (await (await Post(At, "Return", ("number", "9"), ("stamp", "1"))).Content.ReadAsStringAsync()).ShouldContain(
            "State 9 is not there"
        );
        (await (await Post(At, "Return", ("number", "1"), ("stamp", "7"))).Content.ReadAsStringAsync()).ShouldContain("changed meanwhile");
        (await (await Post(At, "Name", ("number", "1"), ("name", new string('x', 90)))).Content.ReadAsStringAsync()).ShouldContain(
            "at most 80 characters"
        );
        (await web.GetAsync("/jobs/none/history")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_backup_that_is_not_there_is_not_found_and_no_path_leads_out()
    {
        (await Post("/backups", "Make")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var made = Directory.GetFiles(Path.Combine(folder, "backups")).Select(Path.GetFileName).ShouldHaveSingleItem();
        (await web.GetByteArrayAsync($"/backups?handler=file&name={made}")).AsSpan(0, 6).SequenceEqual("SQLite"u8).ShouldBeTrue();
        foreach (var name in new[] { "none.db", "../circuitum.db", "..%2Fcircuitum.db", "" })
        {
            (await web.GetAsync($"/backups?handler=file&name={name}")).StatusCode.ShouldBe(HttpStatusCode.NotFound, name);
            if (name.Length > 0)
                (await web.GetAsync($"/backups?look={name}")).StatusCode.ShouldBe(HttpStatusCode.NotFound, name);
        }

        (await web.GetStringAsync($"/backups?look={made}")).ShouldContain("Nothing differs");
        (await (await Post($"/backups?look={made}", "BringBack", ("job", "none"))).Content.ReadAsStringAsync()).ShouldContain(
            "not in the backup"
        );
        Directory.GetDirectories(folder, "opened-*").ShouldBeEmpty();
    }
}
