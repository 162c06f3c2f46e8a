using System.IO.Compression;
using System.Text;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;
using Circuitum.Formats;
using Circuitum.Storage.Archive;
using Microsoft.Data.Sqlite;
using SkiaSharp;

namespace Circuitum.Storage.Tests;

/// <summary>A job with all that belongs to it, out as one file and in again.</summary>
public sealed class ArchiveTests : IDisposable
{
    private readonly string here = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private readonly string there = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(here, true);
        Directory.Delete(there, true);
    }

    private static byte[] Grey(SKEncodedImageFormat format)
    {
        using var bitmap = new SKBitmap(64, 48);
        bitmap.Erase(SKColors.Gray);
        return bitmap.Encode(format, 80).ToArray();
    }

    private static FieldEntry Entry(int n, FieldSaid state, string value) =>
        new(
            $"entry-{n:0000}",
            "set/kitchen.r1",
            state,
            value,
            "as planned",
            "Hal <b>",
            new DateTime(2026, 11, 1, 8, n, 0, DateTimeKind.Utc)
        );

    private static async Task<string> Filled(JobStore store)
    {
        var job = JobFile.Read(await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "demo", "gull-cottage.json"))).Job!;
        var id = await store.CreateAsync(job, "new");
        for (var n = 1; n <= 40; n++)
            await store.SaveAsync(id, n, job with { Name = $"State {n}, \"Gull\"" }, "edit room", about: "kitchen");
        await store.UndoAsync(id, 41);
        await store.NameRevisionAsync(id, 12, "before the stair moved");
        await store.IssueAsync(id, 42, "Permit");
        for (var n = 1; n <= 5; n++)
            await store.AddFieldAsync(id, Entry(n, n == 3 ? FieldSaid.Wrong : FieldSaid.Done, n == 3 ? "split" : ""));
        var photo = Photo.Make(Grey(SKEncodedImageFormat.Jpeg)).Photo!;
        await store.AddPhotoAsync(id, Entry(9, FieldSaid.Done, ""), new(photo.Bytes, photo.Small, photo.Wide, photo.Tall));
        await store.ScalePhotoAsync(id, 1, 0.25);
        var png = Grey(SKEncodedImageFormat.Png);
        await store.AddPictureAsync(id, PictureFile.Look(png).Picture!.Hash, "image/png", png);
        await store.AddOrderAsync(
            id,
            new Order
            {
                Key = "order-key-0001",
                Job = "Gull",
                State = OrderState.Waiting,
            }
        );
        return id;
    }

    private static async Task<byte[]> Out(JobStore store, string id)
    {
        using var bytes = new MemoryStream();
        (await JobArchive.WriteAsync(store, id, bytes)).ShouldBeTrue();
        return bytes.ToArray();
    }

    [Fact]
    public async Task Out_and_in_again_it_is_the_same()
    {
        await using var store = await JobStore.OpenAsync(here);
        await using var other = await JobStore.OpenAsync(there);
        var file = await Out(store, await Filled(store));
        var (id, problem) = await JobArchive.ReadAsync(other, new MemoryStream(file));
        problem.ShouldBeEmpty();
        (await Out(other, id!)).AsSpan().SequenceEqual(file).ShouldBeTrue();
        (await other.GetAsync(id!))!.ShouldSatisfyAllConditions(
            j => j.Job.Name.ShouldBe("State 39, \"Gull\""),
            j => j.Redo.ShouldNotBeNull()
        );
        (await other.WaitingOrdersAsync()).ShouldBeEmpty("nothing is sent because a file says so");

        // Beside the one that it was made of: all but the orders, whose keys are taken.
        var (copy, again) = await JobArchive.ReadAsync(store, new MemoryStream(file));
        again.ShouldBeEmpty();
        (await store.FieldAsync(copy!)).Count.ShouldBe(5);
        (await store.ListAsync()).Count.ShouldBe(2);
        (await JobArchive.WriteAsync(store, "none", new MemoryStream())).ShouldBeFalse();
    }

    public static TheoryData<string, string, string?> Broken =>
        new()
        {
            { "archive.json", "archive.json", null },
            { "archive.json", "no archive of a job", """{"format":"other","version":1,"name":"x","head":1}""" },
            { "archive.json", "newer program", """{"format":"circuitum-archive","version":2,"name":"x","head":40}""" },
            { "archive.json", "no state 900", """{"format":"circuitum-archive","version":1,"name":"x","head":900}""" },
            { "archive.json", "name", """{"format":"circuitum-archive","version":1,"name":"","head":40}""" },
            { "archive.json", "archive.json", """{"format":"circuitum-archive","version":1,"name":"x","head":40,"more":[]}""" },
            { "lists.json", "lists.json", "[" },
            { "lists.json", "lists.json", """{"states":null}""" },
            { "history/40.json", "history/40.json", "{}" },
            { "history/40.json", "larger", "ZEROS" },
            { "photos/1.jpg", "photos/1.jpg", "<script>alert(1)</script>" },
            { "photos/1-small.jpg", "missing", null },
            { "history/7.json", "missing", null },
        };

    [Theory]
    [MemberData(nameof(Broken))]
    public async Task What_is_wrong_with_a_file_is_told_by_its_part_and_nothing_is_taken_in(string part, string says, string? with)
    {
        await using var store = await JobStore.OpenAsync(here);
        await using var other = await JobStore.OpenAsync(there);
        using var file = new MemoryStream();
        await file.WriteAsync(await Out(store, await Filled(store)));
        using (var zip = new ZipArchive(file, ZipArchiveMode.Update, leaveOpen: true))
        {
            zip.GetEntry(part)!.Delete();
            if (with is not null)
            {
                await using var entry = zip.CreateEntry(part).Open();
                await entry.WriteAsync(with == "ZEROS" ? new byte[80_000_000] : Encoding.UTF8.GetBytes(with));
            }
        }

        file.Position = 0;
        var (id, problem) = await JobArchive.ReadAsync(other, file);
        id.ShouldBeNull();
        problem.ShouldContain(says);
        (await other.ListAsync()).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_file_that_is_cut_off_or_is_no_zip_is_told()
    {
        await using var store = await JobStore.OpenAsync(here);
        await using var other = await JobStore.OpenAsync(there);
        var file = await Out(store, await Filled(store));
        foreach (var bytes in new[] { file[..(file.Length / 2)], "no zip"u8.ToArray(), [] })
            (await JobArchive.ReadAsync(other, new MemoryStream(bytes))).ShouldBe((null, "The archive is damaged, or is no zip file."));

        // Bytes that turned somewhere: told, or the same job; never half of one.
        var random = new Random(4);
        for (var n = 0; n < 60; n++)
        {
            var turned = (byte[])file.Clone();
            turned[random.Next(turned.Length)] ^= (byte)(1 << random.Next(8));
            var (id, problem) = await JobArchive.ReadAsync(other, new MemoryStream(turned));
            (id is null).ShouldBe(problem.Length > 0);
            if (id is not null)
                (await other.HistoryAsync(id)).Count.ShouldBe(41);
        }
    }

    [Fact]
    public async Task Only_an_archived_job_is_deleted_and_with_it_all_that_is_its()
    {
        await using var store = await JobStore.OpenAsync(here);
        var id = await Filled(store);
        (await store.DeleteAsync(id)).ShouldBeFalse();
        await store.PutAwayAsync(id, true);
        (await store.DeleteAsync(id)).ShouldBeTrue();
        (await store.DeletedAsync()).ShouldBeEmpty();
        using var db = new SqliteConnection($"Data Source={JobStore.FileIn(here)};Pooling=False");
        db.Open();
        foreach (var table in new[] { "Revisions", "Issues", "Field", "Photos", "PhotoBytes", "Pictures", "Orders" })
        {
            using var count = db.CreateCommand();
            count.CommandText = $"SELECT COUNT(*) FROM {table}";
            ((long)count.ExecuteScalar()!).ShouldBe(0, table);
        }
    }
}
