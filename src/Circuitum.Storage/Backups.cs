using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Formats;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <summary>What was found in a backup when it was opened.</summary>
/// <param name="Jobs">Jobs, archived ones among them.</param>
/// <param name="States">States of all jobs.</param>
/// <param name="Photos">Photographs from the field.</param>
/// <param name="Bytes">Size of the file.</param>
/// <param name="Unreadable">Jobs whose present state cannot be read: they could not where they come from either.</param>
public sealed record BackupFacts(int Jobs, int States, int Photos, long Bytes, ImmutableArray<string> Unreadable)
{
    /// <summary>In a sentence without its end.</summary>
    public string InWords =>
        FormattableString.Invariant($"{Jobs} jobs, {States} states, {Photos} photographs, {Bytes / 1e6:0.0} MB")
        + (Unreadable.Length == 0 ? "" : $"; the present state cannot be read of {string.Join(", ", Unreadable)}");
}

/// <summary>A job that is not the same in two databases.</summary>
/// <param name="Id">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="Words">What is different.</param>
public sealed record JobDifference(string Id, string Name, string Words);

/// <summary>Copies of the whole database: made while it is in use, opened before they count, never put over anything.</summary>
public static class Backups
{
    private const string Unfinished = ".part";

    /// <summary>The directory in which scheduled backups stand.</summary>
    public static string DirectoryIn(string directory) => Path.Combine(directory, "backups");

    /// <summary>The name of a backup made at a time, UTC.</summary>
    public static string NameAt(DateTime now) => now.ToString("'circuitum-'yyyyMMdd-HHmmss'.db'", CultureInfo.InvariantCulture);

    /// <summary>Makes a backup of a live database and opens it to see that it is whole.</summary>
    /// <param name="directory">The data directory.</param>
    /// <param name="file">Where to; must not be there yet.</param>
    /// <param name="cancel">Gives up.</param>
    /// <exception cref="StoreException">There is no database, the place is taken, cannot be written to, or what was written does not
    /// open.</exception>
    public static async Task<BackupFacts> MakeAsync(string directory, string file, CancellationToken cancel = default)
    {
        if (!File.Exists(JobStore.FileIn(directory)))
            throw new StoreException($"There is no database in {directory}. Choose its directory with --data.");
        if (File.Exists(file))
            throw new StoreException($"{file} is there already. A backup never goes over another file.");
        if (Path.GetDirectoryName(Path.GetFullPath(file)) is { } parent && !Directory.Exists(parent))
            throw new StoreException($"There is no directory {parent}. Make it first.");
        var part = file + Unfinished;
        try
        {
            File.Delete(part);
            await Task.Run(() => JobStore.Backup(directory, part), cancel).ConfigureAwait(false);
            var facts = await VerifyAsync(part, cancel).ConfigureAwait(false);
            File.Move(part, file, overwrite: false);
            return facts;
        }
        catch (SqliteException e)
        {
            throw StoreException.Of(e);
        }
        catch (Exception e) when (e is UnauthorizedAccessException or IOException and not StoreException)
        {
            throw new StoreException($"{file} cannot be written: {e.Message}", e);
        }
        finally
        {
            File.Delete(part);
        }
    }

    /// <summary>Opens a backup: the file is sound, and the present state of every job in it can be read.</summary>
    /// <exception cref="StoreException">It is no backup, or damaged.</exception>
    public static async Task<BackupFacts> VerifyAsync(string file, CancellationToken cancel = default)
    {
        try
        {
            await using var link = new SqliteConnection($"Data Source={file};Mode=ReadOnly;Pooling=False");
            await link.OpenAsync(cancel).ConfigureAwait(false);
            foreach (var check in new[] { "PRAGMA integrity_check", "PRAGMA foreign_key_check" })
            {
                var command = link.CreateCommand();
                await using var closing = command.ConfigureAwait(false);
                command.CommandText = check;
                var rows = await command.ExecuteReaderAsync(cancel).ConfigureAwait(false);
                await using var ending = rows.ConfigureAwait(false);
                while (await rows.ReadAsync(cancel).ConfigureAwait(false))
                {
                    if (rows.FieldCount != 1 || rows.GetString(0) != "ok")
                        throw new StoreException($"{file} is damaged: {rows.GetValue(0)}.");
                }
            }

            return new(
                await Count("SELECT COUNT(*) FROM Jobs").ConfigureAwait(false),
                await Count("SELECT COUNT(*) FROM Revisions").ConfigureAwait(false),
                await Count("SELECT COUNT(*) FROM sqlite_master WHERE name = 'Photos'").ConfigureAwait(false) == 0
                    ? 0
                    : await Count("SELECT COUNT(*) FROM Photos").ConfigureAwait(false),
                new FileInfo(file).Length,
                await UnreadableAsync(link, cancel).ConfigureAwait(false)
            );

            async Task<int> Count(string text)
            {
                var command = link.CreateCommand();
                await using var closing = command.ConfigureAwait(false);
                command.CommandText = text;
                return Convert.ToInt32(await command.ExecuteScalarAsync(cancel).ConfigureAwait(false), CultureInfo.InvariantCulture);
            }
        }
        catch (SqliteException e)
        {
            throw new StoreException($"{file} is no backup of this program, or is damaged.", e);
        }
    }

    // A backup of an older program has its documents as plain text.
    private static async Task<ImmutableArray<string>> UnreadableAsync(SqliteConnection link, CancellationToken cancel)
    {
        var packs = link.CreateCommand();
        await using var closing = packs.ConfigureAwait(false);
        packs.CommandText = "SELECT COUNT(*) FROM pragma_table_info('Revisions') WHERE name = 'Packed'";
        var packed = Convert.ToInt32(await packs.ExecuteScalarAsync(cancel).ConfigureAwait(false), CultureInfo.InvariantCulture) > 0;
        packs.CommandText =
            $"SELECT j.Id, r.Document, {(packed ? "r.Packed, b.Packed" : "NULL, NULL")} FROM Jobs j "
            + "LEFT JOIN Revisions r ON r.JobId = j.Id AND r.Number = j.Head "
            + (packed ? "LEFT JOIN Revisions b ON b.JobId = j.Id AND b.Number = r.Base AND r.Base > 0" : "");
        var rows = await packs.ExecuteReaderAsync(cancel).ConfigureAwait(false);
        await using var ending = rows.ConfigureAwait(false);
        var found = ImmutableArray.CreateBuilder<string>();
        while (await rows.ReadAsync(cancel).ConfigureAwait(false))
        {
            var against = rows[3] is byte[] whole ? Packing.Unpack(whole) ?? "" : "";
            var text = rows[2] is byte[] bytes ? Packing.Unpack(bytes, against) : rows[1] as string;
            if (JobFile.Read(text ?? "").Job is null)
                found.Add(rows.GetString(0));
        }

        return found.ToImmutable();
    }

    /// <summary>
    /// Puts a backup into a directory that has no database: into the one that is told, or beside it where that has one.
    /// </summary>
    /// <param name="file">The backup.</param>
    /// <param name="directory">Where it is to go.</param>
    /// <param name="now">Names the directory beside.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>The directory in which it is, and what differs from the database that was there.</returns>
    /// <exception cref="StoreException">It is no backup, or cannot be written.</exception>
    public static async Task<(string Directory, IReadOnlyList<JobDifference> Different)> RestoreAsync(
        string file,
        string directory,
        DateTime now,
        CancellationToken cancel = default
    )
    {
        await VerifyAsync(file, cancel).ConfigureAwait(false);
        var taken = File.Exists(JobStore.FileIn(directory));
        var to = taken
            ? Free(directory.TrimEnd('/', '\\') + now.ToString("'-restored-'yyyyMMdd-HHmmss", CultureInfo.InvariantCulture))
            : directory;
        await OpenInAsync(file, to, cancel).ConfigureAwait(false);
        return (to, taken ? await CompareAsync(directory, to, cancel).ConfigureAwait(false) : []);
    }

    /// <summary>Puts a backup into an empty directory and brings it up to date. The backup itself stays as it is.</summary>
    internal static async Task OpenInAsync(string file, string to, CancellationToken cancel)
    {
        StoreLock.Make(to);
        using (StoreLock.Take(to))
        {
            var part = JobStore.FileIn(to) + Unfinished;
            try
            {
                File.Copy(file, part, overwrite: true);
                File.Move(part, JobStore.FileIn(to), overwrite: false);
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException)
            {
                File.Delete(part);
                throw new StoreException($"{to} cannot be written: {e.Message}", e);
            }
        }

        await using var store = await JobStore.OpenAsync(to, cancel).ConfigureAwait(false);
    }

    /// <summary>What is different in two databases, job by job.</summary>
    /// <param name="here">The directory of the one in use.</param>
    /// <param name="there">The directory of the one from the backup.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<JobDifference>> CompareAsync(string here, string there, CancellationToken cancel = default)
    {
        var (now, then) = (await JobsAsync(here, cancel).ConfigureAwait(false), await JobsAsync(there, cancel).ConfigureAwait(false));
        return
        [
            .. now
                .Keys.Union(then.Keys)
                .Order(StringComparer.Ordinal)
                .Select(id => (Id: id, Now: now.GetValueOrDefault(id), Then: then.GetValueOrDefault(id)))
                .Select(x => new JobDifference(x.Id, (x.Now ?? x.Then)!.Name, Words(x.Now, x.Then)))
                .Where(d => d.Words.Length > 0),
        ];
    }

    private static string Words(Standing? now, Standing? then)
    {
        if (now is null)
            return "only in the backup";
        if (then is null)
            return "not in the backup";
        List<string> parts = [];
        if (now.Stamp != then.Stamp || now.Document != then.Document)
            parts.Add(string.Create(CultureInfo.InvariantCulture, $"change {now.Stamp} here, {then.Stamp} in the backup"));
        if (now.Archived != then.Archived)
            parts.Add(now.Archived ? "archived here" : "archived in the backup");
        if (now.Field != then.Field)
            parts.Add(string.Create(CultureInfo.InvariantCulture, $"{now.Field} entries from the field here, {then.Field} in the backup"));
        if (now.Photos != then.Photos)
            parts.Add(string.Create(CultureInfo.InvariantCulture, $"{now.Photos} photographs here, {then.Photos} in the backup"));
        return string.Join("; ", parts);
    }

    // How a job stands, as far as two databases are compared.
    private sealed record Standing(string Name, int Stamp, bool Archived, string Document, int Field, int Photos);

    private static async Task<Dictionary<string, Standing>> JobsAsync(string directory, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        var db = store.Database;
        var jobs = new Dictionary<string, Standing>();
        foreach (var j in await db.Jobs.AsNoTracking().ToListAsync(cancel).ConfigureAwait(false))
            jobs[j.Id] = new(
                j.Name,
                j.Stamp,
                j.Deleted is not null,
                await store.TextAsync(j.Id, j.Head, cancel).ConfigureAwait(false) ?? "",
                await db.Field.CountAsync(f => f.JobId == j.Id, cancel).ConfigureAwait(false),
                await db.Photos.CountAsync(p => p.JobId == j.Id, cancel).ConfigureAwait(false)
            );
        return jobs;
    }

    private static string Free(string path) =>
        !Directory.Exists(path) ? path : Enumerable.Range(2, 1000).Select(n => $"{path}-{n}").First(p => !Directory.Exists(p));

    /// <summary>The backups in a directory, the last one first; unfinished ones are none.</summary>
    public static IReadOnlyList<FileInfo> List(string backups) =>
        Directory.Exists(backups)
            ? [.. new DirectoryInfo(backups).GetFiles("circuitum-*.db").OrderByDescending(f => f.Name, StringComparer.Ordinal)]
            : [];

    /// <summary>Takes the oldest backups away until so many are left.</summary>
    /// <param name="backups">Their directory.</param>
    /// <param name="most">How many stay; one always does.</param>
    /// <param name="now">The time. What bears a later one is of a clock that was wrong, and goes before any other.</param>
    public static void Keep(string backups, int most, DateTime now)
    {
        var latest = NameAt(now);
        foreach (var old in List(backups).OrderBy(f => string.CompareOrdinal(f.Name, latest) > 0).Skip(Math.Max(1, most)))
            old.Delete();
    }
}
