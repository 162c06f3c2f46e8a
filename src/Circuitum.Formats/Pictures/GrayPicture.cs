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
