using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pictures;
using SkiaSharp;

namespace Circuitum.Formats.Tests;

/// <summary>Pictures of plans of which the truth is known, and how much of it was read.</summary>
internal static class PlanPictures
{
    private const double Near = 3;

    /// <summary>Jobs whose storeys are read.</summary>
    internal static readonly string[] Names =
    [
        "tamarack-row",
        "gull-cottage",
        "starters/bungalow",
        "starters/cabin",
        "starters/two-storey",
    ];

    /// <summary>How many there were and how many were found.</summary>
    internal sealed class Tally
    {
        internal int Rooms { get; private set; }

        internal int Found { get; private set; }

        internal int Doors { get; private set; }

        internal int Right { get; private set; }

        internal List<string> Missed { get; } = [];

        /// <summary>Counts a storey.</summary>
        internal void Add(JobAnalysis a, string storey, PicturePlan plan, Area extent)
        {
            var truth = a.House.Rooms.Where(r => r.Room.Storey == storey && !r.Room.Kind.OpenAir()).ToList();
            var shapes = plan.Rooms.Select(r => new RoomShape(r)).ToList();
            var missed = truth.Where(t => !shapes.Exists(s => Same(t, s, extent))).Select(t => t.Room.Name).ToList();
            Rooms += truth.Count;
            Found += truth.Count - missed.Count;
            Missed.AddRange(missed.Select(m => $"{a.Job.Name}: {m}"));
            var there = truth
                .SelectMany(r =>
                    r.Openings.Where(o => o.Opening.Room == r.Room.Id && o.Opening.Kind == OpeningKind.Hinged).Select(o => (r, o))
                )
                .ToList();
            Doors += there.Count;
            Right += there.Count(d => plan.Openings.Any(o => IsThat(plan, o, d.r, d.o, extent)));
        }

        /// <inheritdoc/>
        public override string ToString() => $"{Found} of {Rooms} rooms, {Right} of {Doors} doors; missed {string.Join(", ", Missed)}";
    }

    private static bool Same(RoomShape truth, RoomShape read, Area extent) =>
        Off(truth.MinX, read.MinX, extent.X0) <= Near
        && Off(truth.MaxX, read.MaxX, extent.X0) <= Near
        && Off(truth.MinY, read.MinY, extent.Y0) <= Near
        && Off(truth.MaxY, read.MaxY, extent.Y0) <= Near
        && Math.Abs((truth.AreaSqFt / read.AreaSqFt) - 1) < 0.06;

    private static double Off(Length truth, Length read, double origin) => Math.Abs(truth.InInches - origin - read.InInches);

    private static bool IsThat(PicturePlan plan, Opening read, RoomShape room, RoomOpening truth, Area extent)
    {
        if (read.Kind != OpeningKind.Hinged)
            return false;
        var there = new RoomShape(plan.Rooms.Single(r => r.Id == read.Room)).Walls[read.Wall].At(read.From + (read.Width / 2));
        var at = room.Walls[truth.Wall].At(truth.From + (truth.Opening.Width / 2));
        var (dx, dy) = (at.X.InInches - extent.X0 - there.X.InInches, at.Y.InInches - extent.Y0 - there.Y.InInches);
        if (Math.Sqrt((dx * dx) + (dy * dy)) >= 12 || (read.Width - truth.Opening.Width).Abs() > Length.Inches(4))
            return false;

        // It swings to the same side, about the same jamb.
        var shape = new RoomShape(plan.Rooms.Single(r => r.Id == read.Room));
        var (hinge, leaf) = Leaf(shape, read.Wall, read.From, read.Width, read.Hinge, read.SwingsIn);
        var (jamb, tip) = Leaf(room, truth.Wall, truth.From, truth.Opening.Width, truth.Hinge, truth.SwingsIn);
        return IsNear(hinge, jamb, extent) && IsNear(leaf, tip, extent);
    }

    private static (Point Hinge, Point Tip) Leaf(RoomShape room, int wall, Length from, Length width, End hinge, bool swingsIn)
    {
        var at = hinge == End.Start ? from : from + width;
        return (room.On(wall, at), room.On(wall, at, swingsIn ? width.InInches : -width.InInches));
    }

    // Which face of the wall a jamb is measured on differs by who says it.
    private static bool IsNear(Point read, Point truth, Area extent) =>
        Math.Abs(truth.X.InInches - extent.X0 - read.X.InInches) < 14 && Math.Abs(truth.Y.InInches - extent.Y0 - read.Y.InInches) < 14;

    /// <summary>As a scanner would give it: turned on its white sheet, with noise, compressed.</summary>
    internal static byte[] Scanned(byte[] png, double lean, int noise, int quality) =>
        Seen(png, noise, quality, (wide, tall) => SKMatrix.CreateRotationDegrees((float)lean, wide / 2f, tall / 2f));

    /// <summary>
    /// A picture drawn through a matrix, with noise, compressed; on a table, with a lamp at one side, where it is a photograph.
    /// </summary>
    internal static byte[] Seen(byte[] png, int noise, int quality, Func<int, int, SKMatrix> through, bool photograph = false)
    {
        using var sharp = SKBitmap.Decode(png);
        using var sheet = new SKBitmap(sharp.Width, sharp.Height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        using (var canvas = new SKCanvas(sheet))
        {
            canvas.Clear(photograph ? new SKColor(190, 185, 175) : SKColors.White);
            canvas.SetMatrix(through(sharp.Width, sharp.Height));
            using var image = SKImage.FromBitmap(sharp);
            canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKCubicResampler.Mitchell));
        }

        var random = new Random(5);
        var bytes = sheet.Bytes;
        for (var i = 0; noise > 0 && i < bytes.Length; i += 4)
        {
            var lit = photograph ? 0.6 + (0.4 * (i / 4 % sheet.Width) / sheet.Width) : 1;
            var shade = (byte)Math.Clamp((bytes[i] * lit) + random.Next(-noise, noise + 1) - (noise / 2), 0, 255);
            (bytes[i], bytes[i + 1], bytes[i + 2]) = (shade, shade, shade);
        }

        System.Runtime.InteropServices.Marshal.Copy(bytes, 0, sheet.GetPixels(), bytes.Length);
        using var data = sheet.Encode(quality == 100 ? SKEncodedImageFormat.Png : SKEncodedImageFormat.Jpeg, quality);
        return data.ToArray();
    }
}
