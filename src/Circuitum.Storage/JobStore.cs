using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <summary>A job as it stands in the store.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Job">The document.</param>
/// <param name="Stamp">Which change it is; an edit carries the one it was made against.</param>
/// <param name="Undo">What undo would take back, or none.</param>
/// <param name="Redo">What redo would do again, or none.</param>
public sealed record StoredJob(string Id, Job Job, int Stamp, string? Undo, string? Redo);

/// <summary>A line of the list of jobs.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Changed">Last change, UTC.</param>
public sealed record JobListing(string Id, string Name, DateTime Changed);

/// <summary>A set of papers that was issued.</summary>
/// <param name="Number">Rising from 1.</param>
/// <param name="Name">What it was issued for.</param>
/// <param name="Stamp">The change number on its papers.</param>
/// <param name="Issued">When, UTC.</param>
public sealed record IssuedSet(int Number, string Name, int Stamp, DateTime Issued);

/// <summary>
/// Keeps jobs and their revisions in one SQLite file. A change is on disk once the call has returned: each is one
/// transaction with full synchronisation.
/// </summary>
public sealed class JobStore : IAsyncDisposable
{
    private readonly JobDatabase db;

    private JobStore(JobDatabase db) => this.db = db;

    /// <summary>The database file in a data directory.</summary>
    public static string FileIn(string directory) => Path.Combine(directory, "circuitum.db");

    /// <summary>Opens the store of a data directory, made and migrated if need be; an older database is copied first.</summary>
    public static async Task<JobStore> OpenAsync(string directory, CancellationToken cancel = default)
    {
        Directory.CreateDirectory(directory);
        var store = Connect(directory);
        var pending = (await store.db.Database.GetPendingMigrationsAsync(cancel).ConfigureAwait(false)).Any();
        if (pending)
        {
            if (File.Exists(FileIn(directory)) && (await store.db.Database.GetAppliedMigrationsAsync(cancel).ConfigureAwait(false)).Any()) Backup(directory, FileIn(directory) + ".before-migration");
            await store.db.Database.MigrateAsync(cancel).ConfigureAwait(false);
        }

        // A log in front of the file takes one flush a change instead of three; it is flushed before the call returns.
        await store.db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=WAL", cancel).ConfigureAwait(false);

        return store;
    }

    /// <summary>Connects to a store that has been opened before, without looking for migrations.</summary>
    public static JobStore Connect(string directory)
    {
        var connection = new SqliteConnectionStringBuilder { DataSource = FileIn(directory), Pooling = false, DefaultTimeout = 10 }.ToString();
        return new(new JobDatabase(new DbContextOptionsBuilder<JobDatabase>().UseSqlite(connection).Options));
    }

    /// <summary>Copies the live database.</summary>
    public static void Backup(string directory, string to)
    {
        using var from = new SqliteConnection($"Data Source={FileIn(directory)};Pooling=False");
        using var copy = new SqliteConnection($"Data Source={to};Pooling=False");
        from.Open();
        copy.Open();
        from.BackupDatabase(copy);
    }

    /// <summary>All jobs, last changed first.</summary>
    public async Task<IReadOnlyList<JobListing>> ListAsync(CancellationToken cancel = default) =>
        await db.Jobs.AsNoTracking().OrderByDescending(j => j.Changed).ThenBy(j => j.Id).Select(j => new JobListing(j.Id, j.Name, j.Changed)).ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>Which change a job stands at, or none when there is no such job.</summary>
    public async Task<int?> StampAsync(string id, CancellationToken cancel = default) =>
        await db.Jobs.AsNoTracking().Where(j => j.Id == id).Select(j => (int?)j.Stamp).FirstOrDefaultAsync(cancel).ConfigureAwait(false);

    /// <summary>What holds for the firm, and which change that is; 0 while nobody has changed anything.</summary>
    public async Task<(Company Company, int Stamp)> CompanyAsync(CancellationToken cancel = default) =>
        await db.Companies.AsNoTracking().FirstOrDefaultAsync(cancel).ConfigureAwait(false) is { } row ? (JobFile.ReadCompany(row.Document), row.Stamp) : (new Company(), 0);

    /// <summary>Saves what holds for the firm.</summary>
    /// <returns>Whether it was saved; not when someone else changed it since <paramref name="stamp"/>.</returns>
    public async Task<bool> SaveCompanyAsync(int stamp, Company company, CancellationToken cancel = default)
    {
        var row = await db.Companies.FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if ((row?.Stamp ?? 0) != stamp) return false;
        if (row is null) db.Companies.Add(new CompanyRow { Id = 1, Stamp = 1, Document = JobFile.Write(company) });
        else (row.Stamp, row.Document) = (stamp + 1, JobFile.Write(company));
        try
        {
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            return true;
        }
        catch (DbUpdateException)
        {
            return false;
        }
    }

    /// <summary>Adds a job and gives its id.</summary>
    public async Task<string> CreateAsync(Job job, string title, CancellationToken cancel = default)
    {
        var stem = new string([.. job.Name.ToLowerInvariant().Select(c => c is >= 'a' and <= 'z' or >= '0' and <= '9' ? c : '-').Take(30)]).Trim('-');
        if (stem.Length == 0) stem = "job";
        var id = stem;
        for (var n = 2; await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false); n++) id = $"{stem}-{n}";
        var now = DateTime.UtcNow;
        db.Jobs.Add(new JobRow { Id = id, Name = job.Name, Head = 1, Stamp = 1, Changed = now });
        db.Revisions.Add(new RevisionRow { JobId = id, Number = 1, Parent = 0, Document = JobFile.Write(job), Title = title, Made = now });
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return id;
    }

    /// <summary>A job as it stands, or none.</summary>
    public async Task<StoredJob?> GetAsync(string id, CancellationToken cancel = default)
    {
        if (await db.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id, cancel).ConfigureAwait(false) is not { } row) return null;
        var head = await db.Revisions.AsNoTracking().FirstAsync(r => r.JobId == id && r.Number == row.Head, cancel).ConfigureAwait(false);
        var redo = await RedoOf(id, row.Head, cancel).ConfigureAwait(false);
        var job = JobFile.Read(head.Document).Job ?? throw new InvalidDataException($"Revision {row.Head} of job {id} does not pass the rules of its document.");
        return new(id, job, row.Stamp, head.Parent > 0 ? head.Title : null, redo?.Title);
    }

    /// <summary>Saves a changed job.</summary>
    /// <returns>Whether it was saved; not when someone else changed the job since <paramref name="stamp"/>.</returns>
    public Task<bool> SaveAsync(string id, int stamp, Job job, string title, CancellationToken cancel = default) => ChangeAsync(id, stamp, async row =>
    {
        var number = await db.Revisions.Where(r => r.JobId == id).MaxAsync(r => r.Number, cancel).ConfigureAwait(false) + 1;
        db.Revisions.Add(new RevisionRow { JobId = id, Number = number, Parent = row.Head, Document = JobFile.Write(job), Title = title, Made = DateTime.UtcNow });
        row.Head = number;
        row.Name = job.Name;
        return true;
    }, cancel);

    /// <summary>Goes back to the revision before.</summary>
    public Task<bool> UndoAsync(string id, int stamp, CancellationToken cancel = default) => ChangeAsync(id, stamp, async row =>
    {
        var head = await db.Revisions.AsNoTracking().FirstAsync(r => r.JobId == id && r.Number == row.Head, cancel).ConfigureAwait(false);
        if (head.Parent == 0) return false;
        row.Head = head.Parent;
        return true;
    }, cancel);

    /// <summary>Goes forward to the last revision made from the present one.</summary>
    public Task<bool> RedoAsync(string id, int stamp, CancellationToken cancel = default) => ChangeAsync(id, stamp, async row =>
    {
        if (await RedoOf(id, row.Head, cancel).ConfigureAwait(false) is not { } next) return false;
        row.Head = next.Number;
        return true;
    }, cancel);

    /// <summary>Most sets that one job issues.</summary>
    public const int MostIssues = 200;

    /// <summary>Issues the job as it stands as a set of papers with a name.</summary>
    /// <returns>Whether it was done: not when someone else changed the job since <paramref name="stamp"/>, or when it has its most sets.</returns>
    public async Task<bool> IssueAsync(string id, int stamp, string name, CancellationToken cancel = default)
    {
        if (await db.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id, cancel).ConfigureAwait(false) is not { } row || row.Stamp != stamp) return false;
        var last = await db.Issues.Where(i => i.JobId == id).MaxAsync(i => (int?)i.Number, cancel).ConfigureAwait(false) ?? 0;
        if (last >= MostIssues) return false;
        db.Issues.Add(new IssueRow { JobId = id, Number = last + 1, Name = name, Revision = row.Head, Stamp = stamp, Issued = DateTime.UtcNow });
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return true;
    }

    /// <summary>The sets of a job, last first.</summary>
    public async Task<IReadOnlyList<IssuedSet>> IssuedAsync(string id, CancellationToken cancel = default) =>
        await db.Issues.AsNoTracking().Where(i => i.JobId == id).OrderByDescending(i => i.Number).Select(i => new IssuedSet(i.Number, i.Name, i.Stamp, i.Issued)).ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>The job as it stood when a set was issued, or none.</summary>
    public async Task<Job?> IssuedJobAsync(string id, int number, CancellationToken cancel = default)
    {
        if (await db.Issues.AsNoTracking().FirstOrDefaultAsync(i => i.JobId == id && i.Number == number, cancel).ConfigureAwait(false) is not { } issue) return null;
        var revision = await db.Revisions.AsNoTracking().FirstAsync(r => r.JobId == id && r.Number == issue.Revision, cancel).ConfigureAwait(false);
        return JobFile.Read(revision.Document).Job;
    }

    /// <summary>Most pictures that one job keeps; the oldest use of the space is a mistake of the hand, not of the store.</summary>
    public const int MostPictures = 24;

    /// <summary>Stores a picture with a job. Storing the same one again does nothing.</summary>
    /// <returns>Whether it is stored: not when there is no such job or it has its most pictures.</returns>
    public async Task<bool> AddPictureAsync(string id, string hash, string mediaType, byte[] bytes, CancellationToken cancel = default)
    {
        if (await db.Pictures.AnyAsync(p => p.JobId == id && p.Hash == hash, cancel).ConfigureAwait(false)) return true;
        if (!await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false) || await db.Pictures.CountAsync(p => p.JobId == id, cancel).ConfigureAwait(false) >= MostPictures) return false;
        db.Pictures.Add(new PictureRow { JobId = id, Hash = hash, MediaType = mediaType, Bytes = bytes });
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return true;
    }

    /// <summary>A stored picture, or none.</summary>
    public async Task<PictureRow?> PictureAsync(string id, string hash, CancellationToken cancel = default) =>
        await db.Pictures.AsNoTracking().FirstOrDefaultAsync(p => p.JobId == id && p.Hash == hash, cancel).ConfigureAwait(false);

    /// <summary>The names of a job's pictures.</summary>
    public async Task<IReadOnlySet<string>> PicturesAsync(string id, CancellationToken cancel = default) =>
        (await db.Pictures.AsNoTracking().Where(p => p.JobId == id).Select(p => p.Hash).ToListAsync(cancel).ConfigureAwait(false)).ToHashSet();

    /// <summary>Deletes a job with its revisions.</summary>
    public async Task DeleteAsync(string id, CancellationToken cancel = default) =>
        await db.Jobs.Where(j => j.Id == id).ExecuteDeleteAsync(cancel).ConfigureAwait(false);

    /// <inheritdoc/>
    public ValueTask DisposeAsync() => db.DisposeAsync();

    private async Task<RevisionRow?> RedoOf(string id, int head, CancellationToken cancel) =>
        await db.Revisions.AsNoTracking().Where(r => r.JobId == id && r.Parent == head).OrderByDescending(r => r.Number).FirstOrDefaultAsync(cancel).ConfigureAwait(false);

    private async Task<bool> ChangeAsync(string id, int stamp, Func<JobRow, Task<bool>> change, CancellationToken cancel)
    {
        db.ChangeTracker.Clear();
        if (await db.Jobs.FirstOrDefaultAsync(j => j.Id == id, cancel).ConfigureAwait(false) is not { } row || row.Stamp != stamp) return false;
        if (!await change(row).ConfigureAwait(false)) return false;
        row.Stamp++;
        row.Changed = DateTime.UtcNow;
        try
        {
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            return true;
        }
        catch (DbUpdateException)
        {
            // Another edit got in between: the stamp or the revision number was taken.
            db.ChangeTracker.Clear();
            return false;
        }
    }
}
