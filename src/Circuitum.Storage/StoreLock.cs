using System.Diagnostics;
using System.Globalization;

namespace Circuitum.Storage;

/// <summary>
/// Says that one program holds a data directory. The operating system takes the lock back when the program ends, however it
/// ends, so that none is ever left over.
/// </summary>
public sealed class StoreLock : IDisposable
{
    private readonly FileStream held;

    private StoreLock(FileStream held) => this.held = held;

    /// <summary>Takes the lock of a data directory.</summary>
    /// <param name="directory">The directory; made when it is not there.</param>
    /// <exception cref="StoreException">Another program holds it; the sentence says which.</exception>
    public static StoreLock Take(string directory)
    {
        Make(directory);
        var owner = Path.Combine(directory, "circuitum.owner");
        if (TryOpen(Path.Combine(directory, "circuitum.lock")) is not { } file)
        {
            var who = File.Exists(owner) ? File.ReadAllText(owner).Trim() : "another program";
            throw new StoreException(
                $"The data directory {directory} is in use by {who}. Stop that first, or choose another directory with --data."
            );
        }

        File.WriteAllText(
            owner,
            string.Create(
                CultureInfo.InvariantCulture,
                $"process {Environment.ProcessId} since {Process.GetCurrentProcess().StartTime:yyyy-MM-dd HH:mm}"
            )
        );
        return new(file);
    }

    /// <summary>Waits for the right to change the database's form; two programs never do that at once.</summary>
    internal static async Task<IDisposable> ToMigrateAsync(string directory, CancellationToken cancel)
    {
        for (var tries = 0; ; tries++)
        {
            if (TryOpen(Path.Combine(directory, "circuitum.migrating")) is { } file)
                return file;
            if (tries > 600)
                throw new StoreException(
                    "Another program has been bringing the database up to date for a minute. Stop it and start again."
                );
            await Task.Delay(100, cancel).ConfigureAwait(false);
        }
    }

    /// <summary>Makes a data directory that only its owner may look into.</summary>
    /// <exception cref="StoreException">It cannot be made or written to.</exception>
    internal static void Make(string directory)
    {
        try
        {
            if (Directory.Exists(directory))
                return;
            if (OperatingSystem.IsWindows())
                Directory.CreateDirectory(directory);
            else
                Directory.CreateDirectory(directory, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or ArgumentException or NotSupportedException)
        {
            throw new StoreException($"The data directory {directory} cannot be made: {e.Message}", e);
        }
    }

    // None when another program has it open.
    private static FileStream? TryOpen(string path)
    {
        try
        {
            return new(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
        }
        catch (UnauthorizedAccessException e)
        {
            throw new StoreException($"The data directory {Path.GetDirectoryName(path)} cannot be written to.", e);
        }
        catch (DirectoryNotFoundException e)
        {
            throw new StoreException($"The data directory {Path.GetDirectoryName(path)} cannot be written to.", e);
        }
        catch (IOException)
        {
            return null;
        }
    }

    /// <inheritdoc/>
    public void Dispose() => held.Dispose();
}
