using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <content>The states of a job: kept small, listed, named, thinned out.</content>
public sealed partial class JobStore
{
    /// <summary>Most states that a job keeps, however they were thinned out.</summary>
    public const int MostRevisions = 5000;

    // As many states are written against one whole one: a damaged one takes no more with it, and no answer unpacks a chain.
    private const int AgainstOne = 32;

    // Thinning out reads the list of all states: not at every edit.
    private const int ThinEvery = 50;

    /// <summary>States of a job, the last one first.</summary>
    /// <param name="id">The job.</param>
    /// <param name="before">Only those with a lower number; 0 for the last ones.</param>
    /// <param name="most">How many at most.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<IReadOnlyList<RevisionListing>> HistoryAsync(
        string id,
        int before = 0,
        int most = 100,
        CancellationToken cancel = default
    )
    {
        var issued = (await db.Issues.AsNoTracking().Where(i => i.JobId == id).ToListAsync(cancel).ConfigureAwait(false)).ToLookup(
            i => i.Revision,
            i => i.Name
        );
        return
        [
            .. (
                await db
                    .Revisions.AsNoTracking()
                    .Where(r => r.JobId == id && (before == 0 || r.Number < before))
                    .OrderByDescending(r => r.Number)
                    .Take(most)
                    .Select(r => new
                    {
                        r.Number,
                        r.Parent,
                        r.Title,
                        r.About,
                        r.By,
                        r.Made,
                        r.Named,
                        r.Stepped,
                        r.SteppedBy,
                    })
                    .ToListAsync(cancel)
                    .ConfigureAwait(false)
            ).Select(r => new RevisionListing(
                r.Number,
                r.Parent,
                r.Title,
                r.About,
                r.By,
                r.Made,
                r.Named,
                issued[r.Number].Any() ? string.Join(", ", issued[r.Number]) : null,
                r.Stepped,
                r.SteppedBy
            )),
        ];
    }

    /// <summary>The job as it stood in a state, or none where it is not there or cannot be read.</summary>
    public async Task<Job?> RevisionAsync(string id, int number, CancellationToken cancel = default) =>
        await TextAsync(id, number, cancel).ConfigureAwait(false) is { } text ? JobFile.Read(text).Job : null;

    /// <summary>Which state a job stands at, or 0.</summary>
    public async Task<int> HeadAsync(string id, CancellationToken cancel = default) =>
        await db.Jobs.AsNoTracking().Where(j => j.Id == id).Select(j => j.Head).FirstOrDefaultAsync(cancel).ConfigureAwait(false);

    /// <summary>Gives a state a name, by which it is kept for ever; an empty one takes the name away.</summary>
    /// <returns>Whether there is such a state.</returns>
    public Task<bool> NameRevisionAsync(string id, int number, string name, CancellationToken cancel = default) =>
        Written(async () =>
            await db
                .Revisions.Where(r => r.JobId == id && r.Number == number)
                .ExecuteUpdateAsync(r => r.SetProperty(x => x.Named, name.Length == 0 ? null : name), cancel)
                .ConfigureAwait(false) > 0
        );

    // The text of a state; none where there is no such one, empty where its bytes are damaged.
    internal async Task<string?> TextAsync(string id, int number, CancellationToken cancel) =>
        await db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.JobId == id && r.Number == number, cancel).ConfigureAwait(false)
            is { } row
            ? await TextAsync(row, cancel).ConfigureAwait(false)
            : null;

    private async Task<string> TextAsync(RevisionRow row, CancellationToken cancel)
    {
        if (row.Packed is null)
            return row.Document;
        var against = row.Base == 0 ? "" : await TextAsync(row.JobId, row.Base, cancel).ConfigureAwait(false);
        return against is null ? "" : Packing.Unpack(row.Packed, against) ?? "";
    }

    // Writes a document into its row: against the last whole one where that is near and helps.
    private async Task Pack(RevisionRow row, string text, CancellationToken cancel)
    {
        row.Document = "";
        var whole = await db
            .Revisions.AsNoTracking()
            .Where(r => r.JobId == row.JobId && r.Base == 0 && r.Packed != null && r.Number < row.Number)
            .OrderByDescending(r => r.Number)
            .FirstOrDefaultAsync(cancel)
            .ConfigureAwait(false);
        if (
            whole is not null
            && row.Number - whole.Number < AgainstOne
            && Packing.Unpack(whole.Packed!) is { } against
            && Packing.Pack(text, against) is { } small
            && small.Length < whole.Packed!.Length / 2
        )
            (row.Packed, row.Base) = (small, whole.Number);
        else
            (row.Packed, row.Base) = (Packing.Pack(text), 0);
    }

    /// <summary>
    /// Thins out the states of a job: all of a day stay, of a week the last one of each hour, before that the last one of each day; those
    /// with a name, those on issued papers and the present one for ever.
    /// </summary>
    /// <returns>How many went.</returns>
    public Task<int> ThinAsync(string id, DateTime now, CancellationToken cancel = default) =>
        Written(async () =>
        {
            db.ChangeTracker.Clear();
            await using var at = await db.Database.BeginTransactionAsync(cancel).ConfigureAwait(false);
            var all = await db
                .Revisions.AsNoTracking()
                .Where(r => r.JobId == id)
                .OrderBy(r => r.Number)
                .Select(r => new Thin(r.Number, r.Parent, r.Base, r.Made, r.Named != null))
                .ToListAsync(cancel)
                .ConfigureAwait(false);
            var kept = (await db.Issues.Where(i => i.JobId == id).Select(i => i.Revision).ToListAsync(cancel).ConfigureAwait(false))
                .Append(await HeadAsync(id, cancel).ConfigureAwait(false))
                .ToHashSet();
            var gone = Thin.Out(all, kept, now, MostRevisions);
            if (gone.Count == 0)
                return 0;
            await Rejoin(id, all, gone, cancel).ConfigureAwait(false);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            await db.Revisions.Where(r => r.JobId == id && gone.Contains(r.Number)).ExecuteDeleteAsync(cancel).ConfigureAwait(false);
            await at.CommitAsync(cancel).ConfigureAwait(false);
            db.ChangeTracker.Clear();
            return gone.Count;
        });

    /// <summary>Packs the states that were written before states were packed.</summary>
    /// <returns>How many were packed.</returns>
    public async Task<int> CompactAsync(string id, CancellationToken cancel = default)
    {
        const int Lot = 50;
        for (var packed = 0; ; packed += Lot)
        {
            db.ChangeTracker.Clear();
            await using var at = await db.Database.BeginTransactionAsync(cancel).ConfigureAwait(false);
            var rows = await db
                .Revisions.Where(r => r.JobId == id && r.Packed == null && r.Document != "")
                .OrderBy(r => r.Number)
                .Take(Lot)
                .ToListAsync(cancel)
                .ConfigureAwait(false);
            foreach (var row in rows)
            {
                await Pack(row, row.Document, cancel).ConfigureAwait(false);

                // The next one is packed against it.
                await Written(() => db.SaveChangesAsync(cancel)).ConfigureAwait(false);
            }

            await at.CommitAsync(cancel).ConfigureAwait(false);
            if (rows.Count < Lot)
                return packed + rows.Count;
        }
    }

    // What stays is written anew where it was written against a state that goes, and follows the nearest one before it that stays.
    private async Task Rejoin(string id, List<Thin> all, HashSet<int> gone, CancellationToken cancel)
    {
        var parents = all.ToDictionary(r => r.Number, r => r.Parent);
        var whole = new Dictionary<int, (int Number, string Text)>();
        foreach (var r in all.Where(r => !gone.Contains(r.Number) && (gone.Contains(r.Parent) || gone.Contains(r.Base))))
        {
            var row = await db.Revisions.FirstAsync(x => x.JobId == id && x.Number == r.Number, cancel).ConfigureAwait(false);
            while (gone.Contains(row.Parent))
                row.Parent = parents.GetValueOrDefault(row.Parent);
            if (!gone.Contains(r.Base))
                continue;
            var text = await TextAsync(row, cancel).ConfigureAwait(false);
            if (text.Length == 0)
                continue;
            if (whole.TryGetValue(r.Base, out var first))
                (row.Packed, row.Base) = (Packing.Pack(text, first.Text), first.Number);
            else
                (row.Packed, row.Base, whole[r.Base]) = (Packing.Pack(text), 0, (r.Number, text));
        }
    }

    // A state among those that are thinned out.
    private sealed record Thin(int Number, int Parent, int Base, DateTime Made, bool Named)
    {
        private static readonly TimeSpan Day = TimeSpan.FromDays(1);
        private static readonly TimeSpan Week = TimeSpan.FromDays(7);

        internal static HashSet<int> Out(List<Thin> all, HashSet<int> kept, DateTime now, int most)
        {
            var gone = all.Where(r => now - r.Made > Day && !r.Named && !kept.Contains(r.Number))
                .GroupBy(r => now - r.Made > Week ? r.Made.Date : r.Made.Date.AddHours(r.Made.Hour))
                .SelectMany(g => g.OrderBy(r => r.Number).SkipLast(1))
                .Select(r => r.Number)
                .ToHashSet();
            var left = all.Count - gone.Count - most;
            if (left > 0)
                gone.UnionWith(
                    all.Where(r => !r.Named && !kept.Contains(r.Number) && !gone.Contains(r.Number)).Take(left).Select(r => r.Number)
                );
            return gone;
        }
    }
}
