using System.Collections.Immutable;
using Circuitum.Core.Field;
using Circuitum.Formats;
using Circuitum.Formats.Documents;
using Circuitum.Storage;

namespace Circuitum.Web.Field;

/// <summary>Photographs of walls and boxes.</summary>
public sealed class PhotoDesk(string directory, FieldDesk field)
{
    /// <summary>Most bytes that a photograph comes with.</summary>
    public const long MostBytes = 15_000_000;

    /// <summary>The photographs of a job, the first one first.</summary>
    public async Task<IReadOnlyList<PhotoRow>> ListAsync(string id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.PhotosAsync(id, cancel);
    }

    /// <summary>The bytes of one, or none.</summary>
    public async Task<byte[]?> BytesAsync(string id, int number, bool small, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.PhotoAsync(id, number, small, cancel);
    }

    /// <summary>Most photographs that a paper shows.</summary>
    public const int MostOnPaper = 200;

    /// <summary>The photographs of a job with their bytes, for paper.</summary>
    public async Task<ImmutableArray<FieldPhoto>> AllAsync(string id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        var photos = ImmutableArray.CreateBuilder<FieldPhoto>();
        foreach (var (p, older) in OnPaper(await store.PhotosAsync(id, cancel), MostOnPaper))
        {
            if (await store.PhotoAsync(id, p.Number, small: false, cancel) is { } bytes)
                photos.Add(new(p.Number, p.Task, p.By, p.At, bytes, older));
        }

        return photos.ToImmutable();
    }

    /// <summary>
    /// Those that a paper shows, the first one first: of each thing the newest before the second newest of any, so that no wall goes
    /// without a picture while another has several. Each with how many older ones of its thing are left out.
    /// </summary>
    public static IEnumerable<(PhotoRow Photo, int Older)> OnPaper(IEnumerable<PhotoRow> photos, int most)
    {
        var shown = photos
            .GroupBy(p => p.Task)
            .SelectMany(g => g.OrderByDescending(p => p.Number).Select((Photo, Rank) => (Photo, Rank, All: g.Count())))
            .OrderBy(x => x.Rank)
            .ThenBy(x => x.Photo.Number)
            .Take(most)
            .ToList();
        var last = shown.GroupBy(x => x.Photo.Task).ToDictionary(g => g.Key, g => g.Count());
        return shown.OrderBy(x => x.Photo.Number).Select(x => (x.Photo, x.All - last[x.Photo.Task]));
    }

    /// <summary>Says what a pixel of one is in inches.</summary>
    public async Task<bool> ScaleAsync(string id, int number, double? inches, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.ScalePhotoAsync(id, number, inches, cancel);
    }

    /// <summary>Takes a photograph: looked at, made anew without what a phone writes into it, and kept; its task is done with it.</summary>
    /// <param name="id">The job.</param>
    /// <param name="entry">What it shows, and who took it.</param>
    /// <param name="file">The file.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<FieldAnswer> TakeAsync(string id, FieldEntry entry, IFormFile file, CancellationToken cancel)
    {
        if (file.Length > MostBytes)
            return new(entry.Id, 0, $"The picture is larger than {MostBytes / 1_000_000} MB. Take it smaller.");
        if (await field.OpenAsync(id, cancel) is not { } job)
            return new(entry.Id, 0, "That job is not there any more.");
        var said = entry with { State = FieldSaid.Done, Value = "" };
        if (FieldRules.Check(said, job.Task(entry.Task), job.Job.Analysis.Units) is { Length: > 0 } problem)
            return new(entry.Id, 0, problem);
        using var bytes = new MemoryStream();
        await file.CopyToAsync(bytes, cancel);
        var (photo, wrong) = await Task.Run(() => Photo.Make(bytes.ToArray()), cancel);
        if (photo is null)
            return new(entry.Id, 0, wrong);
        await using var store = JobStore.Connect(directory);
        if (await store.AddPhotoAsync(id, entry, new(photo.Bytes, photo.Small, photo.Wide, photo.Tall), cancel) is null)
            return new(entry.Id, 0, $"A job keeps {JobStore.MostPhotos} photographs at most.");
        return await field.TakeAsync(id, said, cancel);
    }
}
