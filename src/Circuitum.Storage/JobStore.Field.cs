using Circuitum.Core.Field;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <summary>A photograph with what it shows.</summary>
/// <param name="Bytes">JPEG.</param>
/// <param name="Small">The same, small.</param>
/// <param name="Wide">Pixels.</param>
/// <param name="Tall">Pixels.</param>
public sealed record NewPhoto(byte[] Bytes, byte[] Small, int Wide, int Tall);

/// <content>
/// What is said and photographed in the field. It stands beside the revisions: an undo at the desk takes none of it back.
/// </content>
public sealed partial class JobStore
{
    /// <summary>Most photographs of a job.</summary>
    public const int MostPhotos = 1000;

    /// <summary>The entries of a job, in the order in which they came.</summary>
    /// <param name="id">The job.</param>
    /// <param name="after">Only those after this number.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<IReadOnlyList<FieldEntry>> FieldAsync(string id, int after = 0, CancellationToken cancel = default) =>
        [
            .. (
                await db
                    .Field.AsNoTracking()
                    .Where(f => f.JobId == id && f.Number > after)
                    .OrderBy(f => f.Number)
                    .ToListAsync(cancel)
                    .ConfigureAwait(false)
            ).Select(Entry),
        ];

    /// <summary>The number of the last entry of a job; 0 for none.</summary>
    public async Task<int> LastFieldAsync(string id, CancellationToken cancel = default) =>
        await db.Field.Where(f => f.JobId == id).MaxAsync(f => (int?)f.Number, cancel).ConfigureAwait(false) ?? 0;

    /// <summary>Adds an entry; one with the same name is there already and stays as it is.</summary>
    /// <returns>The entry with its number; none when the job is gone or has its most.</returns>
    /// <exception cref="StoreException">It cannot be written.</exception>
    public async Task<FieldEntry?> AddFieldAsync(string id, FieldEntry entry, CancellationToken cancel = default)
    {
        while (true)
        {
            if (
                await db
                    .Field.AsNoTracking()
                    .FirstOrDefaultAsync(f => f.JobId == id && f.EntryId == entry.Id, cancel)
                    .ConfigureAwait(false) is
                { } known
            )
                return Entry(known);
            var last = await LastFieldAsync(id, cancel).ConfigureAwait(false);
            if (last >= FieldRules.MostEntries || !await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false))
                return null;
            db.Field.Add(
                new FieldRow
                {
                    JobId = id,
                    Number = last + 1,
                    EntryId = entry.Id,
                    Task = entry.Task,
                    State = entry.State.ToString(),
                    Value = entry.Value,
                    Mark = entry.Mark,
                    By = entry.By,
                    At = entry.At,
                    Received = DateTime.UtcNow,
                }
            );

            // Two devices may send in the same moment: one of them takes the next number.
            if (await SavedAsync(cancel).ConfigureAwait(false))
                return entry with { Number = last + 1 };
        }
    }

    private static FieldEntry Entry(FieldRow f) =>
        new(
            f.EntryId,
            f.Task,
            Enum.TryParse<FieldSaid>(f.State, out var said) ? said : FieldSaid.Note,
            f.Value,
            f.Mark,
            f.By,
            DateTime.SpecifyKind(f.At, DateTimeKind.Utc)
        )
        {
            Number = f.Number,
        };

    /// <summary>The photographs of a job without their bytes, the first one first.</summary>
    public async Task<IReadOnlyList<PhotoRow>> PhotosAsync(string id, CancellationToken cancel = default) =>
        await db.Photos.AsNoTracking().Where(p => p.JobId == id).OrderBy(p => p.Number).ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>The bytes of a photograph, or none.</summary>
    public async Task<byte[]?> PhotoAsync(string id, int number, bool small, CancellationToken cancel = default) =>
        await db
            .PhotoBytes.AsNoTracking()
            .Where(p => p.JobId == id && p.Number == number)
            .Select(p => small ? p.Small : p.Full)
            .FirstOrDefaultAsync(cancel)
            .ConfigureAwait(false);

    /// <summary>Adds a photograph; one with the same name is there already and stays as it is.</summary>
    /// <returns>Its number; none when the job is gone or has its most.</returns>
    /// <exception cref="StoreException">It cannot be written.</exception>
    public async Task<int?> AddPhotoAsync(string id, FieldEntry entry, NewPhoto photo, CancellationToken cancel = default)
    {
        while (true)
        {
            if (
                await db
                    .Photos.AsNoTracking()
                    .FirstOrDefaultAsync(p => p.JobId == id && p.EntryId == entry.Id, cancel)
                    .ConfigureAwait(false) is
                { } known
            )
                return known.Number;
            var last = await db.Photos.Where(p => p.JobId == id).MaxAsync(p => (int?)p.Number, cancel).ConfigureAwait(false) ?? 0;
            if (last >= MostPhotos || !await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false))
                return null;
            db.Photos.Add(
                new PhotoRow
                {
                    JobId = id,
                    Number = last + 1,
                    EntryId = entry.Id,
                    Task = entry.Task,
                    Wide = photo.Wide,
                    Tall = photo.Tall,
                    Size = photo.Bytes.Length + photo.Small.Length,
                    By = entry.By,
                    At = entry.At,
                }
            );
            db.PhotoBytes.Add(
                new PhotoBytesRow
                {
                    JobId = id,
                    Number = last + 1,
                    Full = photo.Bytes,
                    Small = photo.Small,
                }
            );
            if (await SavedAsync(cancel).ConfigureAwait(false))
                return last + 1;
        }
    }

    /// <summary>Says what a pixel of a photograph is in inches.</summary>
    /// <returns>Whether there is such a photograph.</returns>
    public Task<bool> ScalePhotoAsync(string id, int number, double? inches, CancellationToken cancel = default) =>
        Written(async () =>
            await db
                .Photos.Where(p => p.JobId == id && p.Number == number)
                .ExecuteUpdateAsync(p => p.SetProperty(x => x.InchesPerPixel, inches), cancel)
                .ConfigureAwait(false) > 0
        );
}
