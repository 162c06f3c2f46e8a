using System.Collections.Concurrent;
using Circuitum.Core;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Storage;

namespace Circuitum.Web.Work;

/// <summary>A job with its analysis.</summary>
/// <param name="Stored">As stored.</param>
/// <param name="Analysis">What follows from it.</param>
public sealed record OpenJob(StoredJob Stored, JobAnalysis Analysis);

/// <summary>What the pages ask of the application: open, edit, undo, make and import jobs.</summary>
public sealed class JobDesk(string directory)
{
    private const int MostCached = 12;

    private readonly ConcurrentDictionary<string, OpenJob> open = new();

    /// <summary>What a person is told when the job was changed elsewhere since the page was drawn.</summary>
    public const string Stale = "This job was changed meanwhile, in another window. Here is how it stands now; your last edit was not made.";

    /// <summary>Makes the database and, in an empty one, the demo jobs.</summary>
    public async Task PrepareAsync()
    {
        await using var store = await JobStore.OpenAsync(directory);
        if ((await store.ListAsync()).Count > 0) return;
        foreach (var file in Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "demo"), "*.json").OrderDescending(StringComparer.Ordinal))
        {
            await using var stream = File.OpenRead(file);
            if ((await JobFile.ReadAsync(stream)).Job is { } job) await store.CreateAsync(job, "demo");
        }
    }

    /// <summary>All jobs.</summary>
    public async Task<IReadOnlyList<JobListing>> ListAsync(CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.ListAsync(cancel);
    }

    /// <summary>A job with its analysis, or none.</summary>
    public async Task<OpenJob?> OpenAsync(string id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await OpenAsync(store, id, cancel);
    }

    /// <summary>Adds a job.</summary>
    public async Task<string> CreateAsync(Job job, string title, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.CreateAsync(job, title, cancel);
    }

    /// <summary>Makes an edit. Gives a sentence when it was not made.</summary>
    public async Task<string> EditAsync(string id, int stamp, JobCommand command, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        if (await OpenAsync(store, id, cancel) is not { Stored: var stored }) return "That job is not there any more.";
        if (stored.Stamp != stamp) return Stale;
        var result = command.Apply(stored.Job);
        if (result.Job is null) return result.Problem;
        return await store.SaveAsync(id, stamp, result.Job, command.Title, cancel) ? "" : Stale;
    }

    /// <summary>Undoes or redoes.</summary>
    public async Task<string> StepAsync(string id, int stamp, bool back, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        if (await OpenAsync(store, id, cancel) is not { Stored: var stored }) return "That job is not there any more.";
        if (stored.Stamp != stamp) return Stale;
        if ((back ? stored.Undo : stored.Redo) is null) return back ? "There is nothing to undo." : "There is nothing to redo.";
        return await (back ? store.UndoAsync(id, stamp, cancel) : store.RedoAsync(id, stamp, cancel)) ? "" : Stale;
    }

    // The stamp tells whether the analysed job is still the stored one, so most requests read one number.
    private async Task<OpenJob?> OpenAsync(JobStore store, string id, CancellationToken cancel)
    {
        if (open.TryGetValue(id, out var there) && await store.StampAsync(id, cancel) == there.Stored.Stamp) return there;
        if (await store.GetAsync(id, cancel) is not { } stored) return null;
        if (open.Count >= MostCached) open.Clear();
        return open[id] = new OpenJob(stored, Analyzer.Analyze(stored.Job));
    }
}
