using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats;
using Circuitum.Formats.Pictures;
using Circuitum.Storage;

namespace Circuitum.Web.Work;

// Pictures of paper plans that lie under a storey.
public sealed partial class JobDesk
{
    /// <summary>
    /// Stores a picture and lays it under a storey, forty feet wide until its scale is set. Gives a sentence when it was not done.
    /// </summary>
    public async Task<string> LayUnderAsync(string id, int stamp, string storey, byte[] bytes, CancellationToken cancel)
    {
        var (_, problem) = PictureFile.Look(bytes);
        return problem.Length > 0
            ? problem
            : await LayAsync(id, stamp, await Task.Run(() => PictureFile.Upright(bytes), cancel), Lies, cancel);

        Underlay Lies(string hash, double wideByTall)
        {
            var width = Length.Feet(40);
            return new()
            {
                Storey = storey,
                Picture = hash,
                Width = width,
                Height = Length.Inches(width.InInches / wideByTall),
            };
        }
    }

    /// <summary>
    /// Lays the picture under a storey flat by four of its points and puts it where the rectangle between them was. Gives a sentence when
    /// it was not done.
    /// </summary>
    /// <param name="id">The job.</param>
    /// <param name="stamp">The change that the edit was made from.</param>
    /// <param name="under">The picture as it lies.</param>
    /// <param name="corners">The four points on the plan.</param>
    /// <param name="size">Width and depth of the rectangle in the house; null when nobody measured it.</param>
    /// <param name="cancel">Gives it up.</param>
    public async Task<string> SquareUnderAsync(
        string id,
        int stamp,
        Underlay under,
        IReadOnlyList<Point> corners,
        (Length Width, Length Depth)? size,
        CancellationToken cancel
    )
    {
        if (await PictureAsync(id, under.Picture, cancel) is not { } picture)
            return "There is no picture under this storey any more.";
        var shares = corners.Select(c =>
            ((c.X - under.At.X).InInches / under.Width.InInches, (c.Y - under.At.Y).InInches / under.Height.InInches)
        );
        var proportion = size is var (wide, deep) ? wide.InInches / deep.InInches : (double?)null;
        var (flat, problem) = await Task.Run(() => SquaredPicture.Of(picture.Bytes, [.. shares], proportion), cancel);
        if (flat is null)
            return problem;

        var (west, north) = (corners.Min(c => c.X), corners.Min(c => c.Y));
        return await LayAsync(id, stamp, flat.Png, Lies, cancel);

        Underlay Lies(string hash, double wideByTall)
        {
            var width = (size?.Width ?? corners.Max(c => c.X) - west).InInches / flat.Width;
            var height = width / wideByTall;
            return under with
            {
                Picture = hash,
                Width = Length.Inches(width),
                Height = Length.Inches(height),
                At = new(west - Length.Inches(flat.Left * width), north - Length.Inches(flat.Top * height)),
            };
        }
    }

    private async Task<string> LayAsync(string id, int stamp, byte[] bytes, Func<string, double, Underlay> lies, CancellationToken cancel)
    {
        var (picture, problem) = PictureFile.Look(bytes);
        if (picture is null)
            return problem;
        await using var store = Connect();
        var had = (await store.PicturesAsync(id, cancel)).Contains(picture.Hash);
        if (!await store.AddPictureAsync(id, picture.Hash, picture.MediaType, bytes, cancel))
            return $"A job keeps {JobStore.MostPictures} pictures at most.";
        var refused = await EditAsync(id, stamp, new LayUnder(lies(picture.Hash, (double)picture.Width / picture.Height)), cancel);

        // A picture for an edit that was not made takes no place.
        if (refused.Length > 0 && !had)
            await store.DropPictureAsync(id, picture.Hash, cancel);
        return refused;
    }
}
