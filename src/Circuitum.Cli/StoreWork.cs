using Circuitum.Storage;
using Circuitum.Storage.Archive;

namespace Circuitum.Cli;

/// <summary>The commands that work on the database of the web application; it may be in use meanwhile.</summary>
internal static class StoreWork
{
    private static string In(DirectoryInfo? data) => Path.GetFullPath(data?.FullName ?? "data");

    internal static async Task<int> Backup(FileInfo file, DirectoryInfo? data, CancellationToken cancel)
    {
        var facts = await Backups.MakeAsync(In(data), file.FullName, cancel);
        Console.WriteLine($"{file.FullName}: {facts.InWords}, opened and whole.");
        return 0;
    }

    internal static async Task<int> Restore(FileInfo file, DirectoryInfo? data, CancellationToken cancel)
    {
        if (!file.Exists)
            throw new StoreException($"{file.FullName} is not there.");
        var (to, different) = await Backups.RestoreAsync(file.FullName, In(data), DateTime.UtcNow, cancel);
        Console.WriteLine($"The backup is in {to}. Start the program with --data {to} to work in it.");
        if (to != In(data))
            Console.WriteLine(
                different.Count == 0 ? "Nothing differs from the database that was there." : "It differs from the database that was there:"
            );
        foreach (var d in different)
            Console.WriteLine($"  {d.Id}: {d.Name}: {d.Words}");
        return 0;
    }

    internal static async Task<int> Archive(string job, FileInfo? output, DirectoryInfo? data, CancellationToken cancel)
    {
        if (!File.Exists(JobStore.FileIn(In(data))))
            throw new StoreException($"There is no database in {In(data)}. Choose its directory with --data.");
        await using var store = JobStore.Connect(In(data));
        if (job != "all")
            return await Write(store, job, output?.FullName ?? $"{job}.zip", cancel);
        var directory = Directory.CreateDirectory(output?.FullName ?? "archives");
        foreach (var listed in (await store.ListAsync(cancel)).Concat(await store.DeletedAsync(cancel)))
        {
            if (await Write(store, listed.Id, Path.Combine(directory.FullName, $"{listed.Id}.zip"), cancel) is var ended and not 0)
                return ended;
        }

        return 0;
    }

    private static async Task<int> Write(JobStore store, string job, string file, CancellationToken cancel)
    {
        try
        {
            await using (var to = new FileStream(file, FileMode.CreateNew))
            {
                if (await JobArchive.WriteAsync(store, job, to, cancel))
                {
                    Console.WriteLine(file);
                    return 0;
                }
            }

            File.Delete(file);
            await Console.Error.WriteLineAsync($"{job}: there is no such job.");
        }
        catch (Exception e) when (e is UnauthorizedAccessException or IOException and not StoreException)
        {
            await Console.Error.WriteLineAsync($"{file}: it cannot be written. {e.Message}");
        }

        return 2;
    }

    internal static async Task<int> Import(FileInfo file, DirectoryInfo? data, CancellationToken cancel)
    {
        if (!file.Exists)
            throw new StoreException($"{file.FullName} is not there.");
        await using var store = await JobStore.OpenAsync(In(data), cancel);
        await using var from = file.OpenRead();
        var (id, problem) = await JobArchive.ReadAsync(store, from, cancel);
        if (id is null)
            await Console.Error.WriteLineAsync(problem);
        else
            Console.WriteLine(id);
        return id is null ? 2 : 0;
    }
}
