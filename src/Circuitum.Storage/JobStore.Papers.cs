using Circuitum.Core.Jobs;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <content>Issued sets of papers, and the pictures under the plans.</content>
public sealed partial class JobStore
{
    /// <summary>Most sets that one job issues.</summary>
    public const int MostIssues = 200;

    /// <summary>Issues the job as it stands as a set of papers with a name.</summary>
    /// <returns>Whether it was done: not when someone else changed the job since <paramref name="stamp"/>, or when it has its most
    /// sets.</returns>
    public Task<bool> IssueAsync(string id, int stamp, string name, CancellationToken cancel = default) =>
        Written(async () =>
        {
            // Under the lock of changes: the state that is issued cannot be thinned out before it is kept for good.
            db.ChangeTracker.Clear();
            await using var at = await db.Database.BeginTransactionAsync(cancel).ConfigureAwait(false);
            if (!await Issued(id, stamp, name, cancel).ConfigureAwait(false))
                return false;
            await at.CommitAsync(cancel).ConfigureAwait(false);
            return true;
        });

    private async Task<bool> Issued(string id, int stamp, string name, CancellationToken cancel)
    {
        if (
            await db.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id, cancel).ConfigureAwait(false) is not { } row
            || row.Stamp != stamp
        )
            return false;
        var last = await db.Issues.Where(i => i.JobId == id).MaxAsync(i => (int?)i.Number, cancel).ConfigureAwait(false) ?? 0;
        if (last >= MostIssues)
            return false;

        // The same set of the same state, said twice, is one.
        if (
            await db
                .Issues.AnyAsync(i => i.JobId == id && i.Number == last && i.Name == name && i.Stamp == stamp, cancel)
                .ConfigureAwait(false)
        )
            return true;
        db.Issues.Add(
            new IssueRow
            {
                JobId = id,
                Number = last + 1,
                Name = name,
                Revision = row.Head,
                Stamp = stamp,
                Issued = DateTime.UtcNow,
            }
        );
        return await SavedAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>The sets of a job, last first.</summary>
    public async Task<IReadOnlyList<IssuedSet>> IssuedAsync(string id, CancellationToken cancel = default) =>
        await db
            .Issues.AsNoTracking()
            .Where(i => i.JobId == id)
            .OrderByDescending(i => i.Number)
            .Select(i => new IssuedSet(i.Number, i.Name, i.Stamp, i.Issued))
            .ToListAsync(cancel)
            .ConfigureAwait(false);

    /// <summary>The job as it stood when a set was issued, or none.</summary>
    public async Task<Job?> IssuedJobAsync(string id, int number, CancellationToken cancel = default)
    {
        if (
            await db.Issues.AsNoTracking().FirstOrDefaultAsync(i => i.JobId == id && i.Number == number, cancel).ConfigureAwait(false)
            is not { } issue
        )
            return null;
        return await RevisionAsync(id, issue.Revision, cancel).ConfigureAwait(false);
    }

    /// <summary>Most pictures that one job keeps; the oldest use of the space is a mistake of the hand, not of the store.</summary>
    public const int MostPictures = 24;

    /// <summary>Stores a picture with a job. Storing the same one again does nothing.</summary>
    /// <returns>Whether it is stored: not when there is no such job or it has its most pictures.</returns>
    public async Task<bool> AddPictureAsync(string id, string hash, string mediaType, byte[] bytes, CancellationToken cancel = default)
    {
        if (await db.Pictures.AnyAsync(p => p.JobId == id && p.Hash == hash, cancel).ConfigureAwait(false))
            return true;
        if (
            !await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false)
            || await db.Pictures.CountAsync(p => p.JobId == id, cancel).ConfigureAwait(false) >= MostPictures
        )
            return false;
        db.Pictures.Add(
            new PictureRow
            {
                JobId = id,
                Hash = hash,
                MediaType = mediaType,
                Bytes = bytes,
            }
        );
        await SavedAsync(cancel).ConfigureAwait(false);
        return true;
    }

    /// <summary>Takes a picture away again that was stored for an edit which was not made.</summary>
    public Task DropPictureAsync(string id, string hash, CancellationToken cancel = default) =>
        Written(() => db.Pictures.Where(p => p.JobId == id && p.Hash == hash).ExecuteDeleteAsync(cancel));

    /// <summary>A stored picture, or none.</summary>
    public async Task<PictureRow?> PictureAsync(string id, string hash, CancellationToken cancel = default) =>
        await db.Pictures.AsNoTracking().FirstOrDefaultAsync(p => p.JobId == id && p.Hash == hash, cancel).ConfigureAwait(false);

    /// <summary>The names of a job's pictures.</summary>
    public async Task<IReadOnlySet<string>> PicturesAsync(string id, CancellationToken cancel = default) =>
        (
            await db.Pictures.AsNoTracking().Where(p => p.JobId == id).Select(p => p.Hash).ToListAsync(cancel).ConfigureAwait(false)
        ).ToHashSet();
}
