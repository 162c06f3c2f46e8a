using SkiaSharp;

namespace Circuitum.Formats.Pictures;

/// <summary>
/// A picture of a plan taken at a slant, laid flat: four points of it that are the corners of a rectangle in the house become one.
/// </summary>
/// <param name="Png">The flat picture.</param>
/// <param name="Left">Where the rectangle begins in it, as a share of its width.</param>
/// <param name="Top">Where it begins, as a share of its height.</param>
/// <param name="Width">The rectangle's width as a share of the picture's.</param>
/// <param name="Height">Its height as a share of the picture's.</param>
public sealed record SquaredPicture(byte[] Png, double Left, double Top, double Width, double Height)
{
    // What lies around the four corners is kept as far as this beyond each side, in widths and heights of the rectangle.
    private const double MostAround = 2;
    private const double MostAcross = 4000;
    private const double LeastShare = 0.02;
    private const double MostTimesAsLong = 20;

    /// <summary>Lays a picture flat.</summary>
    /// <param name="bytes">The file, of which <see cref="PictureFile.Look"/> has nothing to say.</param>
    /// <param name="corners">Four points as shares of its width and height, in any order.</param>
    /// <param name="proportion">Width of the true rectangle by its height; null when nobody measured it, then it is estimated.</param>
    /// <returns>The flat picture, or a sentence when the corners make none.</returns>
    public static (SquaredPicture? Squared, string Problem) Of(
        byte[] bytes,
        IReadOnlyList<(double X, double Y)> corners,
        double? proportion = null
    )
    {
        var (whole, problem) = GrayPicture.Decode(bytes);
        if (whole is null)
            return (null, problem);
        using var picture = whole;
        if (Round([.. corners.Select(c => (c.X * picture.Width, c.Y * picture.Height))]) is not { } quad)
            return (null, "Corners: the four points are to be the corners of a rectangle in the house, in any order.");
        if (Area(quad) < LeastShare * picture.Width * picture.Height)
            return (null, "Corners: the four points are too close together.");

        var across = Math.Max(Far(quad[0], quad[1]), Far(quad[3], quad[2]));
        var down = Math.Max(Far(quad[1], quad[2]), Far(quad[0], quad[3]));
        var wideByTall = proportion ?? Perspective.Proportion(quad, picture.Width / 2.0, picture.Height / 2.0);
        if (!(wideByTall is > 1 / MostTimesAsLong and < MostTimesAsLong))
            return (null, "Corners: that size and those four points do not go together.");
        var (wide, tall) = wideByTall * down > across ? (wideByTall * down, down) : (across, across / wideByTall);
        var (left, top, right, bottom) = Around(Perspective.Onto(quad, 0, 0, 1, 1), picture.Width, picture.Height);
        var fit = Math.Min(1, MostAcross / Math.Max(wide * (left + 1 + right), tall * (top + 1 + bottom)));
        (wide, tall) = (wide * fit, tall * fit);
        var flat = Perspective.Onto(quad, wide * left, tall * top, wide, tall);
        var (sheetWide, sheetTall) = ((int)Math.Ceiling(wide * (left + 1 + right)), (int)Math.Ceiling(tall * (top + 1 + bottom)));
        using var sheet = new SKBitmap(sheetWide, sheetTall, SKColorType.Rgb888x, SKAlphaType.Opaque);
        using (var canvas = new SKCanvas(sheet))
        {
            canvas.Clear(Edge(picture));
            canvas.SetMatrix(flat);
            // Pixels that no longer change are not copied.
            picture.SetImmutable();
            using var image = SKImage.FromBitmap(picture);
            canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        }

        using var png = sheet.Encode(SKEncodedImageFormat.Png, 90);
        return (new(png.ToArray(), wide * left / sheetWide, tall * top / sheetTall, wide / sheetWide, tall / sheetTall), "");
    }

    // What lies beyond the picture is as what lies along its edge, so that no paper seems to begin where it ends.
    private static SKColor Edge(SKBitmap picture)
    {
        var step = Math.Max(1, picture.Width / 64);
        var (red, green, blue, count) = (0, 0, 0, 0);
        for (var x = 0; x < picture.Width; x += step)
        {
            foreach (var y in new[] { 0, picture.Height - 1 })
            {
                var colour = picture.GetPixel(x, y);
                (red, green, blue, count) = (red + colour.Red, green + colour.Green, blue + colour.Blue, count + 1);
            }
        }

        return new((byte)(red / count), (byte)(green / count), (byte)(blue / count));
    }

    // How far the picture goes on beyond each side of the rectangle, in its widths and heights.
    private static (double Left, double Top, double Right, double Bottom) Around(SKMatrix unit, int wide, int tall)
    {
        var (left, top, right, bottom) = (0.0, 0.0, 0.0, 0.0);
        foreach (var (x, y) in new[] { (0, 0), (wide, 0), (wide, tall), (0, tall) })
        {
            // What lies beyond the horizon is as far as can be.
            var depth = (unit.Persp0 * x) + (unit.Persp1 * y) + unit.Persp2;
            if (depth * unit.Persp2 <= 0)
                return (MostAround, MostAround, MostAround, MostAround);
            var p = unit.MapPoint(x, y);
            (left, right) = (Math.Max(left, -p.X), Math.Max(right, p.X - 1));
            (top, bottom) = (Math.Max(top, -p.Y), Math.Max(bottom, p.Y - 1));
        }

        return (Math.Min(left, MostAround), Math.Min(top, MostAround), Math.Min(right, MostAround), Math.Min(bottom, MostAround));
    }

    // The corners clockwise from the one nearest to the picture's upper left; none when they are not those of a rectangle seen.
    private static (double X, double Y)[]? Round((double X, double Y)[] corners)
    {
        if (corners.Length != 4 || corners.Any(c => !double.IsFinite(c.X) || !double.IsFinite(c.Y)))
            return null;
        var (mx, my) = (corners.Average(c => c.X), corners.Average(c => c.Y));
        var round = corners.OrderBy(c => Math.Atan2(c.Y - my, c.X - mx)).ToArray();
        var first = Array.IndexOf(round, round.MinBy(c => c.X + c.Y));
        (double X, double Y)[] quad = [.. round[first..], .. round[..first]];

        // At each corner it turns to the right.
        for (var i = 0; i < 4; i++)
        {
            var (a, b, c) = (quad[i], quad[(i + 1) % 4], quad[(i + 2) % 4]);
            if (((b.X - a.X) * (c.Y - b.Y)) - ((b.Y - a.Y) * (c.X - b.X)) <= 0)
                return null;
        }

        return quad;
    }

    private static double Far((double X, double Y) a, (double X, double Y) b) =>
        Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));

    private static double Area((double X, double Y)[] quad) =>
        Math.Abs(Enumerable.Range(0, 4).Sum(i => (quad[i].X * quad[(i + 1) % 4].Y) - (quad[(i + 1) % 4].X * quad[i].Y))) / 2;
}
