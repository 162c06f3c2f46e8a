using System.Collections.Concurrent;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Planning;

namespace Circuitum.Web.Work;

// Edits that plan, which may take a while.
public sealed partial class JobDesk
{
    // What may take a while is looked on by whoever asks how far it is; it waits for its turn, and ends when the one who asked has gone.
    private async Task<CommandResult> Watched(
        string id,
        JobCommand command,
        Func<JobCommand, CommandResult> apply,
        CancellationToken cancel
    )
    {
        if (command is not PlanningCommand plan)
            return apply(command);
        using var watch = new PlanWatch();
        planning[id] = watch;
        try
        {
            if (Planners.CurrentCount == 0)
                watch.Say("Others are being served first.");
            await Planners.WaitAsync(cancel);
            try
            {
                await using var gone = cancel.Register(watch.Stop);
                var result = apply(plan with { Watch = watch });
                cancel.ThrowIfCancellationRequested();
                return result;
            }
            finally
            {
                Planners.Release();
            }
        }
        finally
        {
            planning.TryRemove(new(id, watch));
        }
    }

    /// <summary>Makes a job of the same house that is planned by the rules of another edition.</summary>
    /// <returns>The id of the new job; none when there is no such job or edition.</returns>
    public async Task<string?> CopyUnderAsync(string id, string edition, CancellationToken cancel)
    {
        if (!CodeLibrary.Editions.ContainsKey(edition) || await OpenAsync(id, cancel) is not { Analysis.Job: var job })
            return null;
        await Planners.WaitAsync(cancel);
        try
        {
            job = OtherRules.Under(job, edition);
        }
        finally
        {
            Planners.Release();
        }

        return await CreateAsync(job with { Underlays = [] }, "by other rules", null, cancel);
    }

    // As many as there are processors: more at once would make all of them wait.
    private static readonly SemaphoreSlim Planners = new(Environment.ProcessorCount);

    private readonly ConcurrentDictionary<string, PlanWatch> planning = new();

    /// <summary>How far the planning of a job is, in a sentence; none when nothing is planned.</summary>
    public string? Planning(string id) => planning.TryGetValue(id, out var watch) ? watch.Says : null;

    /// <summary>Ends the planning of a job with the best so far. Says whether there was one.</summary>
    public bool StopPlanning(string id)
    {
        if (!planning.TryGetValue(id, out var watch))
            return false;
        try
        {
            watch.Stop();
            return true;
        }
        catch (ObjectDisposedException)
        {
            // It ended by itself meanwhile.
            return false;
        }
    }
}
