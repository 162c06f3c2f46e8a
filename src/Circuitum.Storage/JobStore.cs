using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <summary>
/// Keeps jobs and their revisions in one SQLite file. A change is on disk once the call has returned: each is one
/// transaction with full synchronisation.
/// </summary>
public sealed partial class JobStore : IAsyncDisposable
{
    private readonly JobDatabase db;

    private JobStore(JobDatabase db, string by = "") => (this.db, By) = (db, by);

    /// <summary>A store over a database that is there already, whatever its engine.</summary>
    /// <param name="database">The database, with its tables; it is closed with the store.</param>
    /// <param name="by">Whose edits are made.</param>
    public static JobStore Over(JobDatabase database, string by) => new(database, by);

    /// <summary>Whose name is kept with what is saved; empty where nobody was asked.</summary>
    public string By { get; }

    /// <summary>The database file in a data directory.</summary>
    public static string FileIn(string directory) => Path.Combine(directory, "circuitum.db");

    /// <summary>Opens the store of a data directory, made and migrated if need be; an older database is copied first.</summary>
    /// <exception cref="StoreException">The file is no database, one of a newer version, or cannot be written; it is left as it
    /// is.</exception>
    public static async Task<JobStore> OpenAsync(string directory, CancellationToken cancel = default)
    {
        StoreLock.Make(directory);
        var store = Connect(directory);
        try
        {
            await store.PrepareAsync(directory, cancel).ConfigureAwait(false);
            return store;
        }
        catch (Exception e)
        {
            await store.DisposeAsync().ConfigureAwait(false);
            SqliteConnection.ClearAllPools();
            if (e is SqliteException or DbUpdateException)
                throw StoreException.Of(e);
            throw;
        }
    }

    private async Task PrepareAsync(string directory, CancellationToken cancel)
    {
        var fresh = !File.Exists(FileIn(directory));
        var known = db.Database.GetMigrations().ToHashSet();
        using (await StoreLock.ToMigrateAsync(directory, cancel).ConfigureAwait(false))
        {
            var applied = (await db.Database.GetAppliedMigrationsAsync(cancel).ConfigureAwait(false)).ToList();
            if (applied.FirstOrDefault(a => !known.Contains(a)) is { } newer)
                throw new StoreException(
                    $"The database was written by a newer version of the program (it knows {newer}). It was left as it is; "
                        + "start that version, or choose another directory with --data."
                );
            if (applied.Count < known.Count)
            {
                if (applied.Count > 0)
                    Backup(directory, Free(FileIn(directory) + $".before-{applied.Count + 1}"));

                // Nobody else migrates while this program holds the lock: what a start that was cut off left behind is stale.
                await db.Database.ExecuteSqlRawAsync("DROP TABLE IF EXISTS \"__EFMigrationsLock\"", cancel).ConfigureAwait(false);
                await db.Database.MigrateAsync(cancel).ConfigureAwait(false);
            }
        }

        // A log in front of the file takes one flush a change instead of three; it is flushed before the call returns.
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=WAL", cancel).ConfigureAwait(false);
        if (fresh && !OperatingSystem.IsWindows())
            File.SetUnixFileMode(FileIn(directory), UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    // A copy never takes the place of an earlier one.
    private static string Free(string path) =>
        !File.Exists(path) ? path : Enumerable.Range(2, 1000).Select(n => $"{path}-{n}").First(p => !File.Exists(p));

    /// <summary>Connects to a store that has been opened before, without looking for migrations.</summary>
    /// <param name="directory">The data directory.</param>
    /// <param name="by">Whose name is kept with what is saved.</param>
    public static JobStore Connect(string directory, string by = "") =>
        new(new JobDatabase(new DbContextOptionsBuilder<JobDatabase>().UseSqlite(ConnectionTo(directory)).Options), by);

    /// <summary>How the database of a directory is reached.</summary>
    public static string ConnectionTo(string directory) =>
        new SqliteConnectionStringBuilder { DataSource = FileIn(directory), DefaultTimeout = 10 }.ToString();

    /// <summary>Whether the database answers.</summary>
    public async Task<bool> AnswersAsync(CancellationToken cancel = default)
    {
        try
        {
            await db.Jobs.AsNoTracking().CountAsync(cancel).ConfigureAwait(false);
            return true;
        }
        catch (SqliteException)
        {
            return false;
        }
    }

    /// <summary>All jobs, last changed first.</summary>
    public async Task<IReadOnlyList<JobListing>> ListAsync(CancellationToken cancel = default) =>
        await db
            .Jobs.AsNoTracking()
            .Where(j => j.Deleted == null)
            .OrderByDescending(j => j.Changed)
            .ThenBy(j => j.Id)
            .Select(j => new JobListing(j.Id, j.Name, j.Changed))
            .ToListAsync(cancel)
            .ConfigureAwait(false);

    /// <summary>Jobs that were put away, the last one first.</summary>
    public async Task<IReadOnlyList<JobListing>> DeletedAsync(CancellationToken cancel = default) =>
        await db
            .Jobs.AsNoTracking()
            .Where(j => j.Deleted != null)
            .OrderByDescending(j => j.Deleted)
            .ThenBy(j => j.Id)
            .Select(j => new JobListing(j.Id, j.Name, j.Deleted!.Value))
            .ToListAsync(cancel)
            .ConfigureAwait(false);

    /// <summary>Puts a job away, or takes it back. Nothing of it is lost.</summary>
    /// <returns>Whether there is such a job.</returns>
    public Task<bool> PutAwayAsync(string id, bool away, CancellationToken cancel = default) =>
        Written(async () =>
            await db
                .Jobs.Where(j => j.Id == id)
                .ExecuteUpdateAsync(j => j.SetProperty(x => x.Deleted, away ? DateTime.UtcNow : null), cancel)
                .ConfigureAwait(false) > 0
        );

    // What the database says of a write, as a sentence; a race for the same place is the caller's.
    private static async Task<T> Written<T>(Func<Task<T>> write)
    {
        try
        {
            return await write().ConfigureAwait(false);
        }
        catch (Exception e) when (e is SqliteException || (e is DbUpdateException update && !StoreException.IsRace(update)))
        {
            throw StoreException.Of(e);
        }
    }

    /// <summary>Which change a job stands at, or none when there is no such job.</summary>
    public async Task<int?> StampAsync(string id, CancellationToken cancel = default) =>
        await db
            .Jobs.AsNoTracking()
            .Where(j => j.Id == id && j.Deleted == null)
            .Select(j => (int?)j.Stamp)
            .FirstOrDefaultAsync(cancel)
            .ConfigureAwait(false);

    /// <summary>What holds for the firm, and which change that is; 0 while nobody has changed anything.</summary>
    public async Task<(Company Company, int Stamp)> CompanyAsync(CancellationToken cancel = default) =>
        await db.Companies.AsNoTracking().FirstOrDefaultAsync(cancel).ConfigureAwait(false) is { } row
            ? (JobFile.ReadCompany(row.Document), row.Stamp)
            : (new Company(), 0);

    /// <summary>Saves what holds for the firm.</summary>
    /// <returns>Whether it was saved; not when someone else changed it since <paramref name="stamp"/>.</returns>
    public async Task<bool> SaveCompanyAsync(int stamp, Company company, CancellationToken cancel = default)
    {
        var row = await db.Companies.FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if ((row?.Stamp ?? 0) != stamp)
            return false;
        if (row is null)
            db.Companies.Add(
                new CompanyRow
                {
                    Id = 1,
                    Stamp = 1,
                    Document = JobFile.Write(company),
                }
            );
        else
            (row.Stamp, row.Document) = (stamp + 1, JobFile.Write(company));
        return await SavedAsync(cancel).ConfigureAwait(false);
    }

    // False when another change took the place.
    private async Task<bool> SavedAsync(CancellationToken cancel)
    {
        try
        {
            await Written(() => db.SaveChangesAsync(cancel)).ConfigureAwait(false);
            return true;
        }
        catch (DbUpdateException)
        {
            db.ChangeTracker.Clear();
            return false;
        }
    }

    /// <summary>Adds a job and gives its id.</summary>
    public async Task<string> CreateAsync(Job job, string title, CancellationToken cancel = default)
    {
        var stem = new string([
            .. job.Name.ToLowerInvariant().Select(c => c is >= 'a' and <= 'z' or >= '0' and <= '9' ? c : '-').Take(30),
        ]).Trim('-');
        if (stem.Length == 0)
            stem = "job";
        for (var n = 1; ; n++)
        {
            var id = n == 1 ? stem : $"{stem}-{n}";
            if (await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false))
                continue;
            var now = DateTime.UtcNow;
            db.Jobs.Add(
                new JobRow
                {
                    Id = id,
                    Name = job.Name,
                    Head = 1,
                    Stamp = 1,
                    Changed = now,
                }
            );
            db.Revisions.Add(
                new RevisionRow
                {
                    JobId = id,
                    Number = 1,
                    Parent = 0,
                    Packed = Packing.Pack(JobFile.Write(job)),
                    Title = title,
                    By = By,
                    Made = now,
                }
            );

            // Another one of the same name may have been quicker: then the next number is taken.
            if (await SavedAsync(cancel).ConfigureAwait(false))
                return id;
        }
    }

    /// <summary>
    /// A job as it stands, or none. Where its last state cannot be read any more, the last one that can is given, and told.
    /// </summary>
    /// <exception cref="StoreException">None of its states can be read.</exception>
    public async Task<StoredJob?> GetAsync(string id, CancellationToken cancel = default)
    {
        if (
            await db.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id && j.Deleted == null, cancel).ConfigureAwait(false)
            is not { } row
        )
            return null;
        var (notice, number) = ("", row.Head);
        while (
            await db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.JobId == id && r.Number == number, cancel).ConfigureAwait(false)
                is { } revision
        )
        {
            var reading = JobFile.Read(await TextAsync(revision, cancel).ConfigureAwait(false));
            if (reading.Job is { } job)
            {
                var redo = notice.Length > 0 ? null : await RedoOf(id, row.Head, cancel).ConfigureAwait(false);
                var parent =
                    revision.Parent > 0
                    && await db.Revisions.AnyAsync(r => r.JobId == id && r.Number == revision.Parent, cancel).ConfigureAwait(false);
                return new(id, job, row.Stamp, parent ? revision.Title : null, redo?.Title) { Revision = revision.Number, Notice = notice };
            }

            if (notice.Length == 0)
                notice =
                    "The last state of this job cannot be read any more ("
                    + $"{(reading.Problems is [var first, ..] ? first.Sentence.TrimEnd('.') : "its document is damaged")}). "
                    + "Shown is the last one that can; the document itself can be saved from the job page.";
            number = revision.Parent;
        }

        throw new StoreException($"No state of the job {id} can be read any more. Its document can be saved from /jobs/{id}/document.");
    }

    /// <summary>The document of a job's last state as it is stored, read or not, or none when there is no such job.</summary>
    public async Task<string?> DocumentAsync(string id, CancellationToken cancel = default) =>
        await TextAsync(id, await HeadAsync(id, cancel).ConfigureAwait(false), cancel).ConfigureAwait(false);

    /// <inheritdoc/>
    public ValueTask DisposeAsync() => db.DisposeAsync();
}
