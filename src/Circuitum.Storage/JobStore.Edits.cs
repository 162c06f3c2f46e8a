using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <content>Edits, undo and redo.</content>
public sealed partial class JobStore
{
    // Nudges of one thing that follow each other within this are one state: a key that is held down, not a second thought.
    private static readonly TimeSpan OneNudge = TimeSpan.FromSeconds(3);

    /// <summary>Saves a changed job.</summary>
    /// <param name="id">The job.</param>
    /// <param name="stamp">The change that the edit was made against.</param>
    /// <param name="job">The job with the edit.</param>
    /// <param name="title">What was done.</param>
    /// <param name="nudge">What was nudged, when the next nudge of the same thing is to take this one's place; none else.</param>
    /// <param name="about">To what it was done; empty for the whole job.</param>
    /// <param name="from">The revision that the edit was made from, where that is not the job's last one.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>Whether it was saved; not when someone else changed the job since <paramref name="stamp"/>.</returns>
    /// <exception cref="StoreException">The disk is full or cannot be written.</exception>
    public Task<bool> SaveAsync(
        string id,
        int stamp,
        Job job,
        string title,
        string? nudge = null,
        int? from = null,
        string about = "",
        CancellationToken cancel = default
    ) =>
        ChangeAsync(
            id,
            stamp,
            async row =>
            {
                var last = await db.Revisions.Where(r => r.JobId == id).MaxAsync(r => r.Number, cancel).ConfigureAwait(false);
                row.Name = job.Name;
                var now = DateTime.UtcNow;
                if (
                    nudge is { Length: <= 120 }
                    && from is null
                    && row.Head == last
                    && await Nudged(id, last, nudge, now, cancel).ConfigureAwait(false) is { } same
                )
                {
                    await Pack(same, JobFile.Write(job), cancel).ConfigureAwait(false);
                    (same.Made, same.By) = (now, By);
                    return true;
                }

                var next = new RevisionRow
                {
                    JobId = id,
                    Number = last + 1,
                    Parent = from ?? row.Head,
                    Title = title,
                    About = about.Length > 120 ? about[..120] : about,
                    By = By,
                    Made = now,
                    Nudge = nudge is { Length: <= 120 } ? nudge : null,
                };
                await Pack(next, JobFile.Write(job), cancel).ConfigureAwait(false);
                db.Revisions.Add(next);
                row.Head = last + 1;
                return true;
            },
            cancel
        );

    // The head, when it is a nudge of the same thing a moment ago that no paper shows.
    private async Task<RevisionRow?> Nudged(string id, int head, string nudge, DateTime now, CancellationToken cancel)
    {
        var row = await db.Revisions.FirstOrDefaultAsync(r => r.JobId == id && r.Number == head, cancel).ConfigureAwait(false);
        if (row?.Nudge != nudge || now - row.Made > OneNudge)
            return null;
        return await db.Issues.AnyAsync(i => i.JobId == id && i.Revision == head, cancel).ConfigureAwait(false) ? null : row;
    }

    /// <summary>Goes back to the revision before.</summary>
    public Task<bool> UndoAsync(string id, int stamp, CancellationToken cancel = default) =>
        ChangeAsync(
            id,
            stamp,
            async row =>
            {
                var head = await db.Revisions.FirstAsync(r => r.JobId == id && r.Number == row.Head, cancel).ConfigureAwait(false);
                if (
                    head.Parent == 0
                    || !await db.Revisions.AnyAsync(r => r.JobId == id && r.Number == head.Parent, cancel).ConfigureAwait(false)
                )
                    return false;
                (head.Stepped, head.SteppedBy) = (DateTime.UtcNow, By);
                await StandAt(row, head.Parent, cancel).ConfigureAwait(false);
                return true;
            },
            cancel
        );

    /// <summary>Goes forward to the last revision made from the present one.</summary>
    public Task<bool> RedoAsync(string id, int stamp, CancellationToken cancel = default) =>
        ChangeAsync(
            id,
            stamp,
            async row =>
            {
                if (await RedoOf(id, row.Head, cancel).ConfigureAwait(false) is not { } next)
                    return false;
                (next.Stepped, next.SteppedBy) = (DateTime.UtcNow, By);
                await StandAt(row, next.Number, cancel).ConfigureAwait(false);
                return true;
            },
            cancel
        );

    // The list of jobs names the job as it stands.
    private async Task StandAt(JobRow row, int number, CancellationToken cancel)
    {
        row.Head = number;
        if (await RevisionAsync(row.Id, number, cancel).ConfigureAwait(false) is { } job)
            row.Name = job.Name;
    }

    private async Task<RevisionRow?> RedoOf(string id, int head, CancellationToken cancel) =>
        await db
            .Revisions.Where(r => r.JobId == id && r.Parent == head)
            .OrderByDescending(r => r.Number)
            .FirstOrDefaultAsync(cancel)
            .ConfigureAwait(false);

    // Read and written under one lock: what a change is made from, such as the state that it is written against, cannot be thinned out
    // in between.
    private Task<bool> ChangeAsync(string id, int stamp, Func<JobRow, Task<bool>> change, CancellationToken cancel) =>
        Written(async () =>
        {
            db.ChangeTracker.Clear();
            await using var at = await db.Database.BeginTransactionAsync(cancel).ConfigureAwait(false);
            if (await db.Jobs.FirstOrDefaultAsync(j => j.Id == id, cancel).ConfigureAwait(false) is not { } row || row.Stamp != stamp)
                return false;
            if (!await change(row).ConfigureAwait(false))
                return false;
            row.Stamp++;
            row.Changed = DateTime.UtcNow;
            if (!await SavedAsync(cancel).ConfigureAwait(false))
                return false;
            await at.CommitAsync(cancel).ConfigureAwait(false);
            await at.DisposeAsync().ConfigureAwait(false);
            if (row.Head % ThinEvery == 0)
                await ThinAsync(id, DateTime.UtcNow, cancel).ConfigureAwait(false);
            return true;
        });
}
