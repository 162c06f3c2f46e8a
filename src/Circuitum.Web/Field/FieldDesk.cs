using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using BitFaster.Caching.Lru;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Field;
using Circuitum.Storage;
using Circuitum.Web.Work;

namespace Circuitum.Web.Field;

/// <summary>A job as it is worked on in the field.</summary>
/// <param name="Job">The job.</param>
/// <param name="Tasks">What is to be done.</param>
/// <param name="Checks">What is looked at, and noted of inspections.</param>
/// <param name="State">How it stands.</param>
public sealed record FieldJob(OpenJob Job, ImmutableArray<FieldTask> Tasks, ImmutableArray<FieldTask> Checks, FieldState State)
{
    /// <summary>The task of a name, or none.</summary>
    public FieldTask? Task(string key) => Tasks.FirstOrDefault(t => t.Key == key) ?? Checks.FirstOrDefault(t => t.Key == key);

    /// <summary>What wants a person, gravest first.</summary>
    public ImmutableArray<FieldRemark> Remarks => FieldRemark.Of(Job.Analysis, [.. Tasks, .. Checks], State);
}

/// <summary>What became of an entry.</summary>
/// <param name="Id">The entry.</param>
/// <param name="Number">Its number; 0 when it was not taken.</param>
/// <param name="Problem">Why it was not taken, or empty.</param>
public sealed record FieldAnswer(string Id, int Number, string Problem);

/// <summary>What the pages and the phones ask: how the work stands, and to take down what is said of it.</summary>
public sealed class FieldDesk(string directory, JobDesk desk)
{
    private const int MostKept = 24;
    private const int Attempts = 5;

    // Kept as long as the house that they are of.
    private readonly ConditionalWeakTable<JobAnalysis, Work> plans = [];
    private readonly ConcurrentLru<(string, int), (ImmutableArray<FieldEntry> Entries, FieldState State)> states = new(MostKept);

    private sealed record Work(ImmutableArray<FieldTask> Tasks, ImmutableArray<FieldTask> Checks);

    /// <summary>A job with its work, or none.</summary>
    public async Task<FieldJob?> OpenAsync(string id, CancellationToken cancel)
    {
        if (await desk.OpenAsync(id, cancel) is not { } job)
            return null;
        var plan = plans.GetValue(job.Analysis, a => new(FieldPlan.Of(a), CheckOff.Tasks(a)));
        return new(job, plan.Tasks, plan.Checks, await StateAsync(id, cancel));
    }

    /// <summary>How everything stands that was said of a job.</summary>
    public async Task<FieldState> StateAsync(string id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        var key = (id, desk.Deletions);
        var known = states.TryGet(key, out var kept) ? kept : ([], FieldState.None);
        if (await store.LastFieldAsync(id, cancel) == known.State.UpTo)
            return known.State;
        ImmutableArray<FieldEntry> entries = [.. known.Entries, .. await store.FieldAsync(id, known.State.UpTo, cancel)];
        states.AddOrUpdate(key, known = (entries, FieldState.Of(entries)));
        return known.State;
    }

    /// <summary>All that was said of a job, in the order in which it came.</summary>
    public async Task<IReadOnlyList<FieldEntry>> EntriesAsync(string id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.FieldAsync(id, 0, cancel);
    }

    /// <summary>An entry that is said in a form, now.</summary>
    public static FieldEntry Said(string? task, string? mark, FieldSaid state, string? words, string by) =>
        new(Guid.NewGuid().ToString("N"), task ?? "", state, (words ?? "").Trim(), mark ?? "", by, DateTime.UtcNow);

    /// <summary>Takes an entry down, once however often it is sent; what it says of a home run the plan learns too.</summary>
    /// <param name="id">The job.</param>
    /// <param name="entry">The entry.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<FieldAnswer> TakeAsync(string id, FieldEntry entry, CancellationToken cancel)
    {
        if (await OpenAsync(id, cancel) is not { } field)
            return new(entry.Id, 0, "That job is not there any more.");
        var task = field.Task(entry.Task);
        var problem = FieldRules.Check(entry, task, field.Job.Analysis.Units);
        if (problem.Length == 0)
            problem = await PlanLearns(field, entry, task!, cancel);
        if (problem.Length > 0)
            return new(entry.Id, 0, problem);
        await using var store = JobStore.Connect(directory);
        var kept = await store.AddFieldAsync(id, entry, cancel);
        if (kept is null)
            return new(entry.Id, 0, $"A job keeps {FieldRules.MostEntries} entries from the field at most.");
        desk.Changes.TellFromHouse(id, entry.By);
        return new(entry.Id, kept.Number, "");
    }

    // A pull belongs to the plan: cable, reels and labour are worked out from it. Done first, and again as often as it is sent: it says the
    // same, so a program that ends between the two loses nothing.
    private async Task<string> PlanLearns(FieldJob field, FieldEntry entry, FieldTask task, CancellationToken cancel)
    {
        if (task.HomeRun is not { } number || entry.State is FieldSaid.Note or FieldSaid.Wrong)
            return "";
        var id = field.Job.Stored.Id;
        var (measured, reel) = FieldRules.Pull(entry.Value, field.Job.Analysis.Units);
        for (var attempt = 0; attempt < Attempts; attempt++)
        {
            if (await desk.OpenAsync(id, cancel) is not { } open)
                return "That job is not there any more.";
            var pulled = open.Analysis.CircuitByNumber(number)?.Pulled;
            if (entry.State == FieldSaid.Open ? pulled is null : pulled is not null && (measured is null || pulled.Measured == measured))
                return "";

            // What somebody else has measured stays until a person says which holds.
            if (entry.State == FieldSaid.Done && pulled?.Measured is not null)
                return "";
            var edit = new MarkPulled(number, entry.State != FieldSaid.Open, measured, reel ?? pulled?.Reel);
            var problem = await desk.EditAsync(id, open.Stored.Stamp, edit, cancel);
            if (problem != JobDesk.Stale)
                return problem;
        }

        return JobDesk.Stale;
    }
}
