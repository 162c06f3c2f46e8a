using System.IO.Compression;
using Circuitum.Storage;
using Circuitum.Storage.Archive;
using Circuitum.Web.Access;

namespace Circuitum.Web.Work;

/// <summary>A job with all that belongs to it as one file.</summary>
public static class Archives
{
    /// <summary>Adds the addresses.</summary>
    /// <param name="app">The application.</param>
    /// <param name="directory">The data directory.</param>
    public static void Map(WebApplication app, string directory)
    {
        // Written into a file first: a connection that breaks off half way is no archive that looks whole.
        app.MapGet("/jobs/{id}/archive.zip", async (string id, CancellationToken cancel) =>
        {
            var file = NewFile();
            await using var store = JobStore.Connect(directory);
            if (!await JobArchive.WriteAsync(store, id, file, cancel))
            {
                await file.DisposeAsync();
                return Results.NotFound();
            }

            file.Position = 0;
            return Results.File(file, "application/zip", $"{id}.zip");
        });

        // Every job, archived ones too, each the file that its own address gives.
        app.MapGet("/archives.zip", async (CancellationToken cancel) =>
            {
                var file = NewFile();
                await using var store = JobStore.Connect(directory);
                await using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
                {
                    foreach (var job in (await store.ListAsync(cancel)).Concat(await store.DeletedAsync(cancel)))
                    {
                        await using var part = NewFile();
                        if (!await JobArchive.WriteAsync(store, job.Id, part, cancel))
                            continue;
                        part.Position = 0;
                        await using var entry = await zip.CreateEntry($"{job.Id}.zip", CompressionLevel.NoCompression).OpenAsync(cancel);
                        await part.CopyToAsync(entry, cancel);
                    }
                }

                file.Position = 0;
                return Results.File(file, "application/zip", "all-jobs.zip");
            })
            .RequireAuthorization(Roles.Owner);
    }

    /// <summary>A file of its own that is gone when it is closed.</summary>
    public static FileStream NewFile() =>
        new(
            Path.Combine(Path.GetTempPath(), Path.GetRandomFileName()),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            81_920,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous
        );
}
