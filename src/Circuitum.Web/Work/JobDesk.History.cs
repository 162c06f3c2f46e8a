using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Review;
using Circuitum.Storage;
using Circuitum.Storage.Archive;

namespace Circuitum.Web.Work;

// The states that a job was in.
public sealed partial class JobDesk
{
    /// <summary>Most characters of a state's name.</summary>
    public const int LongestStateName = 80;

    /// <summary>States of a job, the last one first, and which one it stands at.</summary>
    public async Task<(IReadOnlyList<RevisionListing> States, int Head)> HistoryAsync(
        string id,
        int before,
        int most,
        CancellationToken cancel
    )
    {
        await using var store = Connect();
        return (await store.HistoryAsync(id, before, most, cancel), await store.HeadAsync(id, cancel));
    }

    /// <summary>The job as it stood in a state, worked out; none where it is not there or cannot be read.</summary>
    public async Task<JobAnalysis?> StateAsync(string id, int number, CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.RevisionAsync(id, number, cancel) is { } job ? Analyzer.Analyze(job) : null;
    }

    /// <summary>
    /// Returns to a state: it becomes the newest one, and all that came after it stays. Gives a sentence when it was not done.
    /// </summary>
    public async Task<string> ReturnAsync(string id, int stamp, int number, CancellationToken cancel)
    {
        await using var store = Connect();
        if (await store.RevisionAsync(id, number, cancel) is not { } job)
            return $"State {number} is not there any more, or cannot be read.";
        var problem = await TryAsync(() => store.SaveAsync(id, stamp, job, $"returned to state {number}", cancel: cancel));
        if (problem.Length == 0)
            Changes.Tell(id, stamp + 1, Who, $"returned to state {number}");
        return problem;
    }

    /// <summary>Takes an archive of a job in as another one. Gives its id, or a sentence that says why there is none.</summary>
    public async Task<(string? Id, string Problem)> TakeInAsync(Stream archive, CancellationToken cancel)
    {
        await using var store = Connect();
        try
        {
            return await JobArchive.ReadAsync(store, archive, cancel);
        }
        catch (StoreException e)
        {
            return (null, e.Message);
        }
    }

    /// <summary>Deletes an archived job for good. Gives a sentence when it was not done.</summary>
    /// <param name="id">The job.</param>
    /// <param name="name">Its name, typed by who wants it gone.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<string> DeleteAsync(string id, string name, CancellationToken cancel)
    {
        await using var store = Connect();
        if ((await store.DeletedAsync(cancel)).FirstOrDefault(j => j.Id == id) is not { } job)
            return "That job is not among the archived ones.";
        if (!string.Equals(name.Trim(), job.Name, StringComparison.OrdinalIgnoreCase))
            return $"Type the name of the job to delete it for good: {job.Name}. Nothing was deleted.";

        // Another job may take its id.
        Interlocked.Increment(ref deletions);
        open.TryRemove(id);
        past.TryRemove(id);
        return await store.DeleteAsync(id, cancel) ? "" : "That job is not among the archived ones.";
    }

    private int deletions;

    /// <summary>
    /// How many jobs were deleted for good since the start. What is kept by the id of a job is kept by this as well, because another job
    /// may take the id of one that is gone.
    /// </summary>
    public int Deletions => deletions;

    // What an edit names first of the things of a house is what it is about.
    private static readonly string[] Things = ["Box", "Circuit", "Room", "Opening", "Panel", "Appliance", "Wish", "Storey", "Thing"];

    private static string About(JobCommand command) =>
        Things
            .Select(name => command.GetType().GetProperty(name)?.GetValue(command))
            .Select(value =>
                value is Subject thing ? thing.Id
                : value is string or int ? $"{value}"
                : ""
            )
            .FirstOrDefault(text => text.Length > 0)
        ?? "";

    /// <summary>Gives a state a name, or takes it away. Gives a sentence when it was not done.</summary>
    public async Task<string> NameStateAsync(string id, int number, string name, CancellationToken cancel)
    {
        var plain = name.Trim();
        if (plain.Length > LongestStateName || plain.Any(char.IsControl))
            return $"Name: say in at most {LongestStateName} characters what this state is.";
        await using var store = Connect();
        return await store.NameRevisionAsync(id, number, plain, cancel) ? "" : $"State {number} is not there any more.";
    }
}
