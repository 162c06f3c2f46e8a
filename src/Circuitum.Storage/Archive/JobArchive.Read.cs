using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Circuitum.Core.Field;
using Circuitum.Core.Intake;
using Circuitum.Formats;
using Circuitum.Formats.Supply;
using SkiaSharp;

namespace Circuitum.Storage.Archive;

public static partial class JobArchive
{
    /// <summary>Takes an archive in as another job: all of it, or nothing. The file is not trusted.</summary>
    /// <param name="store">Where it goes.</param>
    /// <param name="from">The file; must be able to go back.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>The job's id, or a sentence that says why there is none.</returns>
    /// <exception cref="StoreException">It cannot be written.</exception>
    public static async Task<(string? Id, string Problem)> ReadAsync(JobStore store, Stream from, CancellationToken cancel = default)
    {
        try
        {
            await using var zip = new ZipArchive(from, ZipArchiveMode.Read, leaveOpen: true, Encoding.UTF8);
            var parts = new Parts(zip);
            var head = parts.Json<ArchiveHead>(Head);
            if (head.Format != Format || head.Version != Version)
                throw new BadArchive($"{Head}: this is no archive of a job, or one of a newer program.");
            if (head.Name.Length is 0 or > JobRules.LongestName)
                throw new BadArchive($"{Head}: name: a job has a name of 1 to {JobRules.LongestName} characters.");
            var lists = parts.Json<ArchiveLists>(Lists);
            Check(lists, head);
            var present = JobFile.Read(Text(parts, Document(head.Head)));
            var read = new ReadJob(head, lists)
            {
                Present = present.Job ?? throw new BadArchive($"{Document(head.Head)}: {present.Problems[0]}"),
                Document = s => Text(parts, Document(s.Number)),
                Picture = p => Picture(parts, p),
                Photo = (p, small) => Photograph(parts, p, small),
            };
            return (await store.AddAsync(read, cancel).ConfigureAwait(false), "");
        }
        catch (BadArchive e)
        {
            return (null, e.Message);
        }
        catch (Exception e) when (e is InvalidDataException or EndOfStreamException or ArgumentException or NotSupportedException)
        {
            return (null, "The archive is damaged, or is no zip file.");
        }
    }

    private const int LongestOrder = 1_000_000;

    // A state that cannot be read any more was kept as it was, and is taken in so; the present one has to be a job.
    private static string Text(Parts parts, string name) => Encoding.UTF8.GetString(parts.Bytes(name, JobFile.MostBytes));

    private static byte[] Picture(Parts parts, ArchivePicture picture)
    {
        var name = Underlay(picture.Hash);
        var bytes = parts.Bytes(name, PictureFile.MostBytes);
        var (found, problem) = PictureFile.Look(bytes);
        return found is null || found.Hash != picture.Hash || found.MediaType != picture.MediaType
            ? throw new BadArchive($"{name}: {(problem.Length > 0 ? problem : "it is not the picture that its name says.")}")
            : bytes;
    }

    private static byte[] Photograph(Parts parts, ArchivePhoto photo, bool small)
    {
        var name = Photo(photo.Number, small);
        var bytes = parts.Bytes(name, PictureFile.MostBytes);
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        return
            codec is not { EncodedFormat: SKEncodedImageFormat.Jpeg }
            || Math.Max(codec.Info.Width, codec.Info.Height) > PictureFile.MostPixels
            ? throw new BadArchive($"{name}: it is no JPEG picture.")
            : bytes;
    }

    private static bool IsOrder(JsonElement order)
    {
        try
        {
            return order.GetRawText().Length <= LongestOrder && SupplyJson.ReadOrder(order.GetRawText()).Key is { Length: >= 8 and <= 40 };
        }
        catch (JsonException)
        {
            return false;
        }
    }

    private static void Check(ArchiveLists lists, ArchiveHead head)
    {
        Rising("states", lists.States.Select(s => s.Number), JobStore.MostRevisions + 100);
        Rising("sets", lists.Sets.Select(s => s.Number), JobStore.MostIssues);
        Rising("field", lists.Field.Select(f => f.Number), FieldRules.MostEntries);
        Rising("photos", lists.Photos.Select(p => p.Number), JobStore.MostPhotos);
        if (lists.Pictures.Length > JobStore.MostPictures)
            throw new BadArchive($"{Lists}: pictures: a job keeps {JobStore.MostPictures} at most.");
        var numbers = lists.States.Select(s => s.Number).ToHashSet();
        if (!numbers.Contains(head.Head))
            throw new BadArchive($"{Head}: head: there is no state {head.Head}.");
        foreach (var s in lists.States)
            Need(
                s.Parent < s.Number
                    && s.Parent >= 0
                    && Short(s.Title, 120)
                    && Short(s.About, 120)
                    && Short(s.By, 80)
                    && Short(s.Named ?? "", 80)
                    && Short(s.SteppedBy ?? "", 80),
                $"states: {s.Number}"
            );
        foreach (var s in lists.Sets)
            Need(Short(s.Name, 80) && numbers.Contains(s.State), $"sets: {s.Number}");
        foreach (var f in lists.Field)
            Need(
                Short(f.Id, 40)
                    && f.Id.Length >= 8
                    && Short(f.Task, FieldRules.LongestTask)
                    && Short(f.State, 20)
                    && Enum.TryParse<FieldSaid>(f.State, out _)
                    && Short(f.Value.Replace('\n', ' '), FieldRules.LongestValue)
                    && Short(f.Mark, FieldRules.LongestMark)
                    && Short(f.By, 80),
                $"field: {f.Number}"
            );
        foreach (var p in lists.Photos)
            Need(
                Short(p.Id, 40)
                    && p.Id.Length >= 8
                    && Short(p.Task, FieldRules.LongestTask)
                    && Short(p.By, 80)
                    && p.Wide is > 0 and <= PictureFile.MostPixels
                    && p.Tall is > 0 and <= PictureFile.MostPixels
                    && p.InchesPerPixel is null or (> 0 and < 1000),
                $"photos: {p.Number}"
            );
        Need(lists.Field.DistinctBy(f => f.Id).Count() == lists.Field.Length, "field: an entry is there twice");
        Need(lists.Photos.DistinctBy(p => p.Id).Count() == lists.Photos.Length, "photos: a picture is there twice");
        Need(lists.Pictures.All(p => p.Hash.Length == 64 && p.Hash.All(char.IsAsciiHexDigitLower)), "pictures: a name is not its hash");
        Need(lists.Orders.Length <= JobStore.MostOrders && lists.Orders.All(IsOrder), "orders");
    }

    private static void Rising(string list, IEnumerable<int> numbers, int most)
    {
        var (last, count) = (0, 0);
        foreach (var n in numbers)
        {
            if (n <= last || ++count > most)
                throw new BadArchive($"{Lists}: {list}: {n}: numbers rise from 1, {most} at most.");
            last = n;
        }
    }

    private static bool Short(string text, int most) => text.Length <= most && !text.Any(char.IsControl);

    private static void Need(bool right, string what)
    {
        if (!right)
            throw new BadArchive($"{Lists}: {what} is not as such a list has it.");
    }

    // A sentence that names the part; everything that is wrong with a file ends here.
    private sealed class BadArchive(string sentence) : Exception(sentence);

    /// <summary>The parts of a file, never more of them than is said beforehand.</summary>
    private sealed class Parts
    {
        private readonly Dictionary<string, ZipArchiveEntry> byName;
        private long read;

        internal Parts(ZipArchive zip)
        {
            if (zip.Entries.Count > MostParts)
                throw new BadArchive($"The archive has more than {MostParts} parts.");
            byName = zip.Entries.GroupBy(e => e.FullName).ToDictionary(g => g.Key, g => g.First());
        }

        internal byte[] Bytes(string name, long most)
        {
            if (!byName.TryGetValue(name, out var entry))
                throw new BadArchive($"{name}: it is missing from the archive.");
            using var part = entry.Open();
            using var bytes = new MemoryStream();
            var buffer = new byte[81_920];
            int n;
            while ((n = part.Read(buffer)) > 0)
            {
                // What a part says of its own size is not trusted.
                if (bytes.Length + n > most || (read += n) > MostBytes)
                    throw new BadArchive($"{name}: it is larger than such a part may be.");
                bytes.Write(buffer, 0, n);
            }

            return bytes.ToArray();
        }

        internal T Json<T>(string name)
        {
            try
            {
                return JsonSerializer.Deserialize<T>(Bytes(name, 60_000_000), ArchiveLists.Json)
                    ?? throw new BadArchive($"{name}: it is empty.");
            }
            catch (JsonException e)
            {
                throw new BadArchive($"{name}: {JobRules.Short(e.Path ?? "")}: it is not as such a list has it.");
            }
        }
    }
}
