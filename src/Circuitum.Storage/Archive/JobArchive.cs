using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage.Archive;

/// <summary>
/// A job with all that belongs to it as one file: a zip of JSON and pictures. The layout is described in <c>docs/archive-format.md</c>.
/// </summary>
public static partial class JobArchive
{
    /// <summary>What an archive calls itself.</summary>
    public const string Format = "circuitum-archive";

    /// <summary>The version of the layout that is written.</summary>
    public const int Version = 1;

    /// <summary>Most bytes that all parts of an archive unpack to.</summary>
    public const long MostBytes = 2_000_000_000;

    /// <summary>Most parts of an archive.</summary>
    public const int MostParts = 10_000;

    private const string Head = "archive.json",
        Lists = "lists.json",
        Present = "job.json";

    // The same job makes the same bytes: no part carries the hour at which it was packed.
    private static readonly DateTimeOffset Still = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);

    /// <summary>Writes a job.</summary>
    /// <param name="store">Where it is.</param>
    /// <param name="id">The job.</param>
    /// <param name="to">Where to write; need not be able to go back.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>Whether there is such a job.</returns>
    public static async Task<bool> WriteAsync(JobStore store, string id, Stream to, CancellationToken cancel = default)
    {
        var db = store.Database;
        if (await db.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id, cancel).ConfigureAwait(false) is not { } job)
            return false;
        await using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true, Encoding.UTF8);
        await Put(zip, Head, JsonSerializer.SerializeToUtf8Bytes(new ArchiveHead(Format, Version, job.Name, job.Head), ArchiveLists.Json));
        var lists = await ListsOf(db, id, cancel).ConfigureAwait(false);
        await Put(zip, Present, await Text(job.Head).ConfigureAwait(false));
        await Put(zip, Lists, JsonSerializer.SerializeToUtf8Bytes(lists, ArchiveLists.Json));
        foreach (var state in lists.States)
            await Put(zip, Document(state.Number), await Text(state.Number).ConfigureAwait(false));
        foreach (var picture in lists.Pictures)
        {
            if (await store.PictureAsync(id, picture.Hash, cancel).ConfigureAwait(false) is { } row)
                await Put(zip, Underlay(picture.Hash), row.Bytes, packed: false);
        }

        foreach (var photo in lists.Photos)
        {
            foreach (var small in new[] { false, true })
                await Put(
                    zip,
                    Photo(photo.Number, small),
                    await store.PhotoAsync(id, photo.Number, small, cancel).ConfigureAwait(false) ?? [],
                    packed: false
                );
        }

        return true;

        async Task<byte[]> Text(int number) =>
            Encoding.UTF8.GetBytes(await store.TextAsync(id, number, cancel).ConfigureAwait(false) ?? "");
    }

    private static async Task<ArchiveLists> ListsOf(JobDatabase db, string id, CancellationToken cancel) =>
        new(
            await db
                .Revisions.AsNoTracking()
                .Where(r => r.JobId == id)
                .OrderBy(r => r.Number)
                .Select(r => new ArchiveState(r.Number, r.Parent, r.Title, r.About, r.By, r.Made, r.Named, r.Stepped, r.SteppedBy))
                .ToArrayAsync(cancel)
                .ConfigureAwait(false),
            await db
                .Issues.AsNoTracking()
                .Where(i => i.JobId == id)
                .OrderBy(i => i.Number)
                .Select(i => new ArchiveSet(i.Number, i.Name, i.Revision, i.Stamp, i.Issued))
                .ToArrayAsync(cancel)
                .ConfigureAwait(false),
            await db
                .Field.AsNoTracking()
                .Where(f => f.JobId == id)
                .OrderBy(f => f.Number)
                .Select(f => new ArchiveEntry(f.Number, f.EntryId, f.Task, f.State, f.Value, f.Mark, f.By, f.At, f.Received))
                .ToArrayAsync(cancel)
                .ConfigureAwait(false),
            await db
                .Photos.AsNoTracking()
                .Where(p => p.JobId == id)
                .OrderBy(p => p.Number)
                .Select(p => new ArchivePhoto(p.Number, p.EntryId, p.Task, p.Wide, p.Tall, p.By, p.At, p.InchesPerPixel))
                .ToArrayAsync(cancel)
                .ConfigureAwait(false),
            await db
                .Pictures.AsNoTracking()
                .Where(p => p.JobId == id)
                .OrderBy(p => p.Hash)
                .Select(p => new ArchivePicture(p.Hash, p.MediaType))
                .ToArrayAsync(cancel)
                .ConfigureAwait(false),
            [
                .. (
                    await db
                        .Orders.AsNoTracking()
                        .Where(o => o.JobId == id)
                        .OrderBy(o => o.Number)
                        .Select(o => o.Document)
                        .ToListAsync(cancel)
                        .ConfigureAwait(false)
                ).Select(d => JsonDocument.Parse(d).RootElement),
            ]
        );

    private static async Task Put(ZipArchive zip, string name, byte[] bytes, bool packed = true)
    {
        var entry = zip.CreateEntry(name, packed ? CompressionLevel.Fastest : CompressionLevel.NoCompression);
        entry.LastWriteTime = Still;
        await using var part = await entry.OpenAsync().ConfigureAwait(false);
        await part.WriteAsync(bytes).ConfigureAwait(false);
    }

    private static string Document(int number) => FormattableString.Invariant($"history/{number}.json");

    private static string Underlay(string hash) => $"pictures/{hash}";

    private static string Photo(int number, bool small) => FormattableString.Invariant($"photos/{number}{(small ? "-small" : "")}.jpg");
}
