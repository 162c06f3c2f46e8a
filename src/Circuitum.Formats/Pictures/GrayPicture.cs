using SkiaSharp;

namespace Circuitum.Formats.Pictures;

/// <summary>A picture in shades of grey, 0 for black.</summary>
/// <param name="Wide">Pixels across.</param>
/// <param name="Tall">Pixels down.</param>
/// <param name="Shades">Row after row.</param>
internal sealed record GrayPicture(int Wide, int Tall, byte[] Shades)
{
    // A larger one would take more memory than one reading may have.
    private const long MostPixels = 40_000_000;

    // Nothing that is darker than this is paper.
    private const double LeastPaper = 60;

    internal byte this[int x, int y] => Shades[(y * Wide) + x];

    /// <summary>Decodes a file; a sentence when it is too large.</summary>
    internal static (SKBitmap? Picture, string Problem) Decode(byte[] bytes)
    {
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        if (codec is null)
            return (null, "This is not a PNG or JPEG picture.");
        var info = codec.Info;
        if ((long)info.Width * info.Height > MostPixels)
            return (null, $"The picture has more than {MostPixels / 1_000_000} million pixels. Save it smaller.");
        var whole = SKBitmap.Decode(codec, new(info.Width, info.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        return whole is null ? (null, "The picture cannot be decoded. Save it again.") : (whole, "");
    }

    /// <summary>Decodes a file and brings it to a width; a sentence when it is too large.</summary>
    internal static (GrayPicture? Picture, string Problem) Read(byte[] bytes, int wide)
    {
        var (decoded, problem) = Decode(bytes);
        if (decoded is null)
            return (null, problem);
        using var whole = decoded;
        var tall = Math.Max(1, (int)Math.Round((double)whole.Height * wide / whole.Width));
        using var sized = whole.Resize(
            new SKImageInfo(wide, tall, SKColorType.Rgba8888, SKAlphaType.Premul),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
        var shades = new byte[wide * tall];
        var pixels = sized.GetPixelSpan();
        for (var i = 0; i < shades.Length; i++)
        {
            // What is clear lies on white paper.
            var at = (i / wide * sized.RowBytes) + (i % wide * 4);
            var light = (0.299 * pixels[at]) + (0.587 * pixels[at + 1]) + (0.114 * pixels[at + 2]);
            shades[i] = (byte)Math.Min(255, Math.Round(light + 255 - pixels[at + 3]));
        }

        return (new(wide, tall, shades), "");
    }

    /// <summary>Turned about its middle, so that what leaned by an angle stands straight; white comes in at the corners.</summary>
    /// <param name="radians">The angle.</param>
    internal GrayPicture Turned(double radians)
    {
        var turned = new byte[Shades.Length];
        var (c, s) = (Math.Cos(radians), Math.Sin(radians));
        var (mx, my) = (Wide / 2.0, Tall / 2.0);
        for (var y = 0; y < Tall; y++)
        {
            for (var x = 0; x < Wide; x++)
            {
                var (dx, dy) = (x - mx, y - my);
                turned[(y * Wide) + x] = Between(mx + (c * dx) - (s * dy), my + (s * dx) + (c * dy));
            }
        }

        return new(Wide, Tall, turned);
    }

    /// <summary>
    /// As if paper were equally white everywhere: a lamp at one side, a fold, and the table around the sheet are taken out. Paper is the
    /// brightest that lies about a place.
    /// </summary>
    /// <param name="cell">A length in pixels that is more than a wall is thick.</param>
    internal GrayPicture Even(int cell)
    {
        var (across, down) = ((Wide + cell - 1) / cell, (Tall + cell - 1) / cell);
        var bright = new byte[across, down];
        for (var y = 0; y < Tall; y++)
        {
            for (var x = 0; x < Wide; x++)
                bright[x / cell, y / cell] = Math.Max(bright[x / cell, y / cell], this[x, y]);
        }

        var paper = Around(Around(bright, (a, b) => Math.Max(a, b)), null);
        var even = new byte[Shades.Length];
        for (var y = 0; y < Tall; y++)
        {
            for (var x = 0; x < Wide; x++)
            {
                var white = At(paper, ((x + 0.5) / cell) - 0.5, ((y + 0.5) / cell) - 0.5);
                even[(y * Wide) + x] = (byte)Math.Min(byte.MaxValue, Math.Round(this[x, y] * byte.MaxValue / Math.Max(LeastPaper, white)));
            }
        }

        return new(Wide, Tall, even);
    }

    // Each cell as it and its neighbours make it together: by a rule, or as their mean.
    private static byte[,] Around(byte[,] cells, Func<byte, byte, byte>? both)
    {
        var (across, down) = (cells.GetLength(0), cells.GetLength(1));
        var made = new byte[across, down];
        for (var y = 0; y < down; y++)
        {
            for (var x = 0; x < across; x++)
            {
                var (sum, count, one) = (0, 0, cells[x, y]);
                for (var v = Math.Max(0, y - 1); v <= Math.Min(down - 1, y + 1); v++)
                {
                    for (var u = Math.Max(0, x - 1); u <= Math.Min(across - 1, x + 1); u++)
                    {
                        (sum, count) = (sum + cells[u, v], count + 1);
                        one = both?.Invoke(one, cells[u, v]) ?? one;
                    }
                }

                made[x, y] = both is null ? (byte)(sum / count) : one;
            }
        }

        return made;
    }

    private static double At(byte[,] cells, double x, double y)
    {
        var (across, down) = (cells.GetLength(0), cells.GetLength(1));
        (x, y) = (Math.Clamp(x, 0, across - 1), Math.Clamp(y, 0, down - 1));
        var (x0, y0) = ((int)x, (int)y);
        var (x1, y1) = (Math.Min(across - 1, x0 + 1), Math.Min(down - 1, y0 + 1));
        var (fx, fy) = (x - x0, y - y0);
        return (((cells[x0, y0] * (1 - fx)) + (cells[x1, y0] * fx)) * (1 - fy))
            + (((cells[x0, y1] * (1 - fx)) + (cells[x1, y1] * fx)) * fy);
    }

    private byte Between(double x, double y)
    {
        var (x0, y0) = ((int)Math.Floor(x), (int)Math.Floor(y));
        if (x0 < 0 || y0 < 0 || x0 + 1 >= Wide || y0 + 1 >= Tall)
            return byte.MaxValue;
        var (fx, fy) = (x - x0, y - y0);
        var above = (this[x0, y0] * (1 - fx)) + (this[x0 + 1, y0] * fx);
        var below = (this[x0, y0 + 1] * (1 - fx)) + (this[x0 + 1, y0 + 1] * fx);
        return (byte)Math.Round((above * (1 - fy)) + (below * fy));
    }

    /// <summary>The shade that best tells ink from paper: the two groups it makes differ most (Otsu).</summary>
    internal int Threshold()
    {
        var counts = new long[256];
        foreach (var shade in Shades)
            counts[shade]++;
        double total = Shades.Length,
            sum = counts.Select((n, i) => (double)n * i).Sum(),
            darkSum = 0,
            dark = 0,
            best = -1;
        var at = 128;
        for (var i = 0; i < 256; i++)
        {
            dark += counts[i];
            darkSum += (double)counts[i] * i;
            if (dark == 0 || dark >= total)
                continue;
            var apart = (darkSum / dark) - ((sum - darkSum) / (total - dark));
            var between = dark * (total - dark) * apart * apart;
            if (between > best)
                (best, at) = (between, i);
        }

        return at;
    }
}
