using Circuitum.Storage;
using Circuitum.Storage.Archive;

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
