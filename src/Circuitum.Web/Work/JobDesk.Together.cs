using System.Collections.Immutable;
using BitFaster.Caching.Lru;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Edits;

namespace Circuitum.Web.Work;

// Several people at one job.
public sealed partial class JobDesk
{
    // How far back an edit may have been made from; a page that is older shows the house anew.
    private const int MostPast = 30;

    private readonly ConcurrentLru<string, ImmutableList<(int Stamp, Job Job)>> past = new(MostCached);

    /// <summary>Tells those who look at a job of what others do.</summary>
    public JobChanges Changes { get; } = new();

    private string Who => who?.Invoke() ?? "";

    private void Remember(string id, int stamp, Job job)
    {
        var before = past.TryGet(id, out var known) ? known : [];
        if (before.All(p => p.Stamp != stamp))
            past.AddOrUpdate(id, [.. before.TakeLast(MostPast - 1), (stamp, job)]);
    }

    // Whether an edit that was made from an older state is as good on the job as it stands: where it touches nothing that was changed
    // meanwhile. What plans the house looks at all of it.
    private bool IsGoodNow(string id, int stamp, Job now, JobCommand command)
    {
        if (command is PlanningCommand || !past.TryGet(id, out var known) || known.Find(p => p.Stamp == stamp) is not { Job: { } then })
            return false;
        if (command.Apply(then).Job is not { } meant || command.Apply(now).Job is not { } made)
            return false;
        var (others, own, real) = (JobTouch.Between(then, now), JobTouch.Between(then, meant), JobTouch.Between(now, made));
        return JobTouch.Apart(others, own) && JobTouch.Apart(others, real);
    }

    // Who did what, where an edit was not made because of it.
    private async Task<string> StaleBy(string id, CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.HistoryAsync(id, most: 1, cancel: cancel) is [{ } last]
            ? $"{Stale} The last change: {last.Title}{(last.About.Length > 0 ? $", {last.About}" : "")}"
                + $"{(last.By.Length > 0 ? $", by {last.By}" : "")}."
            : Stale;
    }
}
