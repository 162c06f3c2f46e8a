using System.Globalization;
using Circuitum.Storage;
using Circuitum.Storage.Archive;

namespace Circuitum.Web.Work;

/// <summary>Backups in the data directory: made by a button or by the clock, opened before they count, the oldest taken away.</summary>
public sealed class BackupDesk : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromMinutes(10);

    private readonly string directory;
    private readonly TimeProvider clock;
    private readonly ILogger<BackupDesk> log;
    private readonly SemaphoreSlim one = new(1);

    /// <summary>Looks after the backups of a data directory.</summary>
    /// <param name="directory">The data directory.</param>
    /// <param name="settings"><c>backup-every</c> hours, 24 without it, 0 for never; <c>backup-keep</c> at most, 14 without it.</param>
    /// <param name="clock">The time.</param>
    /// <param name="log">Where what failed by the clock is told too.</param>
    /// <exception cref="StoreException">A setting is no such number.</exception>
    public BackupDesk(string directory, IConfiguration settings, TimeProvider clock, ILogger<BackupDesk> log)
    {
        (this.directory, this.clock, this.log) = (directory, clock, log);
        (Every, Most) = (
            TimeSpan.FromHours(Setting(settings, "backup-every", 24, 0, 24 * 31)),
            Setting(settings, "backup-keep", 14, 1, 1000)
        );
    }

    /// <summary>How often one is made by itself; zero for never.</summary>
    public TimeSpan Every { get; }

    /// <summary>How many are kept.</summary>
    public int Most { get; }

    /// <summary>What went wrong the last time, or empty.</summary>
    public string Problem { get; private set; } = "";

    private string Place => Backups.DirectoryIn(directory);

    /// <summary>The backups, the last one first.</summary>
    public IReadOnlyList<FileInfo> All => Backups.List(Place);

    /// <summary>A backup by its file name, or none.</summary>
    public FileInfo? Of(string name) => All.FirstOrDefault(f => f.Name == name);

    private static int Setting(IConfiguration settings, string name, int usual, int least, int most) =>
        settings[name] is not { Length: > 0 } text ? usual
        : int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n >= least && n <= most ? n
        : throw new StoreException($"--{name}: '{text}' is not a number from {least} to {most}.");

    /// <summary>Makes one now. Gives what is in it, or a sentence that says why there is none.</summary>
    public async Task<(BackupFacts? Facts, string Problem)> MakeAsync(CancellationToken cancel)
    {
        await one.WaitAsync(cancel);
        try
        {
            Directory.CreateDirectory(Place);
            var now = clock.GetUtcNow().UtcDateTime;
            var facts = await Backups.MakeAsync(directory, Path.Combine(Place, Backups.NameAt(now)), cancel);
            Backups.Keep(Place, Most, now);
            return (facts, Problem = "");
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            return (null, Problem = e.Message);
        }
        finally
        {
            one.Release();
        }
    }

    /// <summary>What differs between the jobs as they stand and a backup.</summary>
    public Task<IReadOnlyList<JobDifference>> CompareAsync(FileInfo backup, CancellationToken cancel) =>
        OpenedAsync(backup, opened => Backups.CompareAsync(directory, opened, cancel), cancel);

    /// <summary>Brings a job of a backup in as another one. Gives its id, or a sentence that says why there is none.</summary>
    public Task<(string? Id, string Problem)> BringBackAsync(FileInfo backup, string job, CancellationToken cancel) =>
        OpenedAsync(
            backup,
            async opened =>
            {
                var file = Path.Combine(opened, "job.zip");
                await using var zip = new FileStream(file, FileMode.CreateNew, FileAccess.ReadWrite);
                await using (var from = JobStore.Connect(opened))
                {
                    if (!await JobArchive.WriteAsync(from, job, zip, cancel))
                        return (null, "That job is not in the backup.");
                }

                zip.Position = 0;
                await using var to = JobStore.Connect(directory);
                return await JobArchive.ReadAsync(to, zip, cancel);
            },
            cancel
        );

    // A backup may be of an older program: a copy of it is brought up to date and read, the backup stays as it is.
    private async Task<T> OpenedAsync<T>(FileInfo backup, Func<string, Task<T>> work, CancellationToken cancel)
    {
        var opened = Path.Combine(directory, $"opened-{Guid.NewGuid():N}");
        try
        {
            await Backups.RestoreAsync(backup.FullName, opened, clock.GetUtcNow().UtcDateTime, cancel);
            return await work(opened);
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearPool(new(JobStore.ConnectionTo(opened)));
            if (Directory.Exists(opened))
                Directory.Delete(opened, true);
        }
    }

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        foreach (var left in Directory.GetDirectories(directory, "opened-*"))
            Directory.Delete(left, true);
        await TidyAsync(stoppingToken);
        while (!stoppingToken.IsCancellationRequested)
        {
            if (IsDue)
            {
                if (await MakeAsync(stoppingToken) is { Facts: null, Problem: var problem })
                    log.LogError("No backup was made by the clock: {Problem}", problem);
                await TidyAsync(stoppingToken);
            }

            await Task.Delay(Look, clock, stoppingToken);
        }
    }

    // States of an older program are packed, old ones thinned out: also of a job that nobody edits any more.
    private async Task TidyAsync(CancellationToken cancel)
    {
        try
        {
            await using var store = JobStore.Connect(directory);
            foreach (var job in (await store.ListAsync(cancel)).Concat(await store.DeletedAsync(cancel)))
            {
                await store.CompactAsync(job.Id, cancel);
                await store.ThinAsync(job.Id, clock.GetUtcNow().UtcDateTime, cancel);
            }
        }
        catch (Exception e) when (e is StoreException or Microsoft.Data.Sqlite.SqliteException)
        {
            log.LogError("States could not be thinned out: {Problem}", e.Message);
        }
    }

    /// <summary>
    /// Whether the next one is due. One of the future is of a clock that was wrong: it neither stops backups for years nor makes one at
    /// every look. Before the first backup the age of the database counts: a new one has nothing to lose yet.
    /// </summary>
    public bool IsDue
    {
        get
        {
            var now = clock.GetUtcNow().UtcDateTime;
            var made = All.Select(f => f.LastWriteTimeUtc).ToList();
            var last =
                made.Count == 0 ? File.GetCreationTimeUtc(JobStore.FileIn(directory))
                : made.Exists(m => m <= now) ? made.Where(m => m <= now).Max()
                : DateTime.MinValue;
            return Every > TimeSpan.Zero && now - last >= Every;
        }
    }
}
