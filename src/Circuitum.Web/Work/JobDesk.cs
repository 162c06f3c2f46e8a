using System.Collections.Concurrent;
using BitFaster.Caching.Lru;
using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Storage;

namespace Circuitum.Web.Work;

/// <summary>What the pages ask of the application: open, edit, undo, make and import jobs.</summary>
/// <param name="directory">The data directory.</param>
/// <param name="who">Says whose edit is made; none where nobody is asked for a name.</param>
public sealed partial class JobDesk(string directory, Func<string>? who = null)
{
    // About as many as a company of twenty has open at once; one takes a few megabytes.
    private const int MostCached = 24;

    private readonly ConcurrentLru<string, OpenJob> open = new(MostCached);

    private JobStore Connect() => JobStore.Connect(directory, Who);

    /// <summary>What a person is told when the job was changed elsewhere since the page was drawn.</summary>
    public const string Stale =
        "This job was changed meanwhile, in another window. Here is how it stands now; your last edit was not made.";

    /// <summary>Makes the database and, in an empty one, the demo jobs.</summary>
    public async Task PrepareAsync()
    {
        await using var store = await JobStore.OpenAsync(directory);
        if ((await store.ListAsync()).Count > 0 || (await store.DeletedAsync()).Count > 0)
            return;
        foreach (var file in Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "demo"), "*.json").Order(StringComparer.Ordinal))
        {
            await using var stream = File.OpenRead(file);
            if ((await JobFile.ReadAsync(stream)).Job is not { } job)
                continue;
            await store.CreateAsync(job, "demo");

            // Planned as well as bare: to look around in, and to begin with.
            await store.CreateAsync(Planner.PlanAll(job) with { Name = $"{job.Name}, planned" }, "demo");
        }
    }

    private static readonly (string File, string Text)[] StarterHouses =
    [
        ("cabin", "a one-room cabin with a bath"),
        ("bungalow", "a two-bedroom bungalow"),
        ("two-storey", "a two-storey family house"),
    ];

    /// <summary>The starter houses: file and what it is.</summary>
    public IReadOnlyList<(string File, string Text)> Starters => StarterHouses;

    /// <summary>Reads a starter house.</summary>
    public async Task<JobReading> StarterAsync(string name, CancellationToken cancel)
    {
        if (StarterHouses.All(s => s.File != name))
            return new(null, [new Problem("start", "There is no such starter house.")]);
        await using var stream = File.OpenRead(Path.Combine(AppContext.BaseDirectory, "demo", "starters", name + ".json"));
        return await JobFile.ReadAsync(stream, cancel);
    }

    /// <summary>All jobs.</summary>
    public async Task<IReadOnlyList<JobListing>> ListAsync(CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.ListAsync(cancel);
    }

    /// <summary>A job with its analysis, or none.</summary>
    public async Task<OpenJob?> OpenAsync(string id, CancellationToken cancel)
    {
        await using var store = Connect();
        return await OpenAsync(store, id, cancel);
    }

    /// <summary>Adds a job. A form that is sent twice makes one.</summary>
    /// <param name="job">The job.</param>
    /// <param name="title">What was done.</param>
    /// <param name="key">What the form carries to be known again, or none.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<string> CreateAsync(Job job, string title, string? key, CancellationToken cancel)
    {
        if (key is not { Length: 32 })
            return await Create();
        return await made.GetOrAdd(key, _ => new(Create)).Value;

        async Task<string> Create()
        {
            // Only what can be worked out is written down; the first page will ask for it anyway.
            var analysis = Analyzer.Analyze(job);
            await using var store = Connect();
            var id = await store.CreateAsync(job, title, cancel);
            if (await store.GetAsync(id, cancel) is { } stored)
                Keep(id, new OpenJob(stored, analysis, await Pictures(store, id, job, cancel)));
            return id;
        }
    }

    /// <summary>Makes another job of one, with its pictures; what was decided comes with it, its history does not.</summary>
    /// <returns>The id of the copy; none when there is no such job.</returns>
    public async Task<string?> CopyAsync(string id, string? key, CancellationToken cancel)
    {
        if (await OpenAsync(id, cancel) is not { Analysis.Job: var job })
            return null;
        var name = $"{job.Name}, copy";
        var copy = await CreateAsync(job with { Name = name[..Math.Min(name.Length, JobRules.LongestName)] }, "copy", key, cancel);
        await using var store = Connect();
        foreach (var hash in await store.PicturesAsync(id, cancel))
        {
            if (await store.PictureAsync(id, hash, cancel) is { } picture)
                await store.AddPictureAsync(copy, hash, picture.MediaType, picture.Bytes, cancel);
        }

        open.TryRemove(copy);
        return copy;
    }

    private const int MostMade = 1000;

    private readonly ConcurrentLru<string, Lazy<Task<string>>> made = new(MostMade);

    /// <summary>Jobs that were put away.</summary>
    public async Task<IReadOnlyList<JobListing>> DeletedAsync(CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.DeletedAsync(cancel);
    }

    /// <summary>Puts a job away or takes it back.</summary>
    public async Task<bool> PutAwayAsync(string id, bool away, CancellationToken cancel)
    {
        await using var store = Connect();
        open.TryRemove(id);
        return await store.PutAwayAsync(id, away, cancel);
    }

    /// <summary>Whether the database answers.</summary>
    public async Task<bool> AnswersAsync(CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.AnswersAsync(cancel);
    }

    /// <summary>A job's document as it is stored, readable or not; none when there is no such job.</summary>
    public async Task<string?> DocumentAsync(string id, CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.DocumentAsync(id, cancel);
    }

    // The last edit of each job: what it was made against, and what its form said.
    private readonly ConcurrentDictionary<string, (int Stamp, string Form)> last = new();

    /// <summary>Makes an edit. Gives a sentence when it was not made.</summary>
    /// <param name="id">The job.</param>
    /// <param name="stamp">The change that the edit was made against.</param>
    /// <param name="command">The edit.</param>
    /// <param name="cancel">Gives up.</param>
    /// <param name="form">What the form said, to know it when it is sent twice; none when that cannot be.</param>
    public async Task<string> EditAsync(string id, int stamp, JobCommand command, CancellationToken cancel, string? form = null)
    {
        await using var store = Connect();
        if (await OpenAsync(store, id, cancel) is not { Stored: var stored, Analysis: var before })
            return "That job is not there any more.";
        if (stored.Stamp != stamp)
        {
            if (form is not null && last.TryGetValue(id, out var done) && done == (stamp, form))
                return "";
            if (!IsGoodNow(id, stamp, stored.Job, command))
                return await StaleBy(id, cancel);
        }

        var result = await Watched(id, command, c => c.Apply(stored.Job), cancel);
        if (result.Job is null)
            return result.Problem;

        // Only what can be worked out is written down.
        var analysis = Analyzer.Analyze(result.Job);
        try
        {
            int? from = stored.Notice.Length > 0 ? stored.Revision : null;
            if (!await store.SaveAsync(id, stored.Stamp, result.Job, command.Title, command.Nudges, from, About(command), cancel))
                return Stale;
        }
        catch (StoreException e)
        {
            return e.Message;
        }

        // What was just written need not be read again: the next page shows it.
        if (form is not null)
            last[id] = (stamp, form);
        var saved = stored with { Job = result.Job, Stamp = stored.Stamp + 1, Undo = command.Title, Redo = null, Notice = "" };
        Keep(id, new OpenJob(saved, analysis, await Pictures(store, id, result.Job, cancel), before));
        Changes.Tell(id, saved.Stamp, Who, $"{command.Title}{(About(command) is { Length: > 0 } about ? $": {about}" : "")}");
        return "";
    }

    /// <summary>Undoes or redoes.</summary>
    public async Task<string> StepAsync(string id, int stamp, bool back, CancellationToken cancel)
    {
        await using var store = Connect();
        if (await OpenAsync(store, id, cancel) is not { Stored: var stored })
            return "That job is not there any more.";
        if (stored.Stamp != stamp)
            return Stale;
        if ((back ? stored.Undo : stored.Redo) is null)
            return back ? "There is nothing to undo." : "There is nothing to redo.";
        var problem = await TryAsync(() => back ? store.UndoAsync(id, stamp, cancel) : store.RedoAsync(id, stamp, cancel));
        if (problem.Length == 0)
            Changes.Tell(id, stamp + 1, Who, $"{(back ? "undo" : "redo")}: {(back ? stored.Undo : stored.Redo)}");
        return problem;
    }

    // Another window is named only when it was one; a full disk is a full disk.
    private static async Task<string> TryAsync(Func<Task<bool>> write)
    {
        try
        {
            return await write() ? "" : Stale;
        }
        catch (StoreException e)
        {
            return e.Message;
        }
    }

    // The stamp tells whether the analysed job is still the stored one, so most requests read one number.
    private async Task<OpenJob?> OpenAsync(JobStore store, string id, CancellationToken cancel)
    {
        if (open.TryGet(id, out var there) && await store.StampAsync(id, cancel) == there.Stored.Stamp)
            return there;
        if (await store.GetAsync(id, cancel) is not { } stored)
            return null;
        return Keep(id, new OpenJob(stored, Analyzer.Analyze(stored.Job), await Pictures(store, id, stored.Job, cancel)));
    }

    private OpenJob Keep(string id, OpenJob job)
    {
        open.AddOrUpdate(id, job);
        Remember(id, job.Stored.Stamp, job.Stored.Job);
        return job;
    }

    private static async Task<IReadOnlySet<string>> Pictures(JobStore store, string id, Job job, CancellationToken cancel) =>
        job.Underlays.Length > 0 ? await store.PicturesAsync(id, cancel) : new HashSet<string>();
}
