using System.Buffers.Binary;
using System.Security.Cryptography;
using SkiaSharp;

namespace Circuitum.Formats;

/// <summary>A picture that may be laid under a storey.</summary>
/// <param name="MediaType"><c>image/png</c> or <c>image/jpeg</c>.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Hash">SHA-256 of the file, in small hexadecimal digits.</param>
public sealed record PictureFile(string MediaType, int Width, int Height, string Hash)
{
    /// <summary>Most bytes in a picture.</summary>
    public const int MostBytes = 8_000_000;

    /// <summary>Most pixels along a side; a browser would not draw more.</summary>
    public const int MostPixels = 12_000;

    /// <summary>
    /// Looks at a file that is not trusted: its head, and whether it goes on to its end. No more than a line of it is decoded at a time.
    /// </summary>
    /// <returns>The picture, or a sentence when it is none or too large.</returns>
    public static (PictureFile? Picture, string Problem) Look(byte[] bytes)
    {
        if (bytes.Length > MostBytes)
            return (null, $"The picture is larger than {MostBytes / 1_000_000} MB. Save it smaller.");
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        if (codec is null || codec.EncodedFormat is not (SKEncodedImageFormat.Png or SKEncodedImageFormat.Jpeg))
            return (null, "This is not a PNG or JPEG picture.");
        var (width, height) = (codec.Info.Width, codec.Info.Height);
        if (width > MostPixels || height > MostPixels)
            return (null, $"The picture is {width:#,0} by {height:#,0} pixels; the most is {MostPixels:#,0} either way. Save it smaller.");
        if (width < 16 || height < 16)
            return (null, $"The picture is only {width} by {height} pixels.");
        if (!(codec.EncodedFormat == SKEncodedImageFormat.Png ? WholePng(bytes) : WholeJpeg(codec)))
            return (null, "The picture breaks off before its end. Save or send it again.");
        return (
            new(
                codec.EncodedFormat == SKEncodedImageFormat.Png ? "image/png" : "image/jpeg",
                width,
                height,
                Convert.ToHexStringLower(SHA256.HashData(bytes))
            ),
            ""
        );
    }

    /// <summary>
    /// The picture as it is meant to be seen: a camera held upright often writes its lines lying and only notes how to turn them.
    /// </summary>
    /// <param name="bytes">A picture of which <see cref="Look"/> has nothing to say.</param>
    public static byte[] Upright(byte[] bytes)
    {
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        var origin = codec.EncodedOrigin;
        if (origin == SKEncodedOrigin.TopLeft)
            return bytes;
        using var lying = SKBitmap.Decode(codec);
        var aside = origin >= SKEncodedOrigin.LeftTop;
        var (wide, tall) = aside ? (lying.Height, lying.Width) : (lying.Width, lying.Height);
        using var standing = new SKBitmap(wide, tall, SKColorType.Rgb888x, SKAlphaType.Opaque);
        using (var canvas = new SKCanvas(standing))
        {
            canvas.SetMatrix(Turn(origin, wide, tall));
            using var image = SKImage.FromBitmap(lying);
            canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Nearest));
        }

        using var jpeg = standing.Encode(SKEncodedImageFormat.Jpeg, 92);
        return jpeg.ToArray();
    }

    // Where the picture's own right and down go when it is seen as meant.
    private static SKMatrix Turn(SKEncodedOrigin origin, int wide, int tall) =>
        origin switch
        {
            SKEncodedOrigin.TopRight => new(-1, 0, wide, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new(-1, 0, wide, 0, -1, tall, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new(1, 0, 0, 0, -1, tall, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new(0, -1, wide, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new(0, -1, wide, -1, 0, tall, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new(0, 1, 0, -1, 0, tall, 0, 0, 1),
            _ => SKMatrix.Identity,
        };

    // Chunk after chunk, each told by its length, up to the one that ends it.
    private static bool WholePng(ReadOnlySpan<byte> bytes)
    {
        const int Head = 8,
            Around = 12;
        for (long at = Head; at + Around <= bytes.Length; )
        {
            var length = BinaryPrimitives.ReadUInt32BigEndian(bytes[(int)at..]);
            var ends = bytes.Slice((int)at + 4, 4).SequenceEqual("IEND"u8);
            at += Around + length;
            if (ends)
                return at <= bytes.Length;
        }

        return false;
    }

    private static bool WholeJpeg(SKCodec codec)
    {
        var info = new SKImageInfo(codec.Info.Width, codec.Info.Height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        using var line = new SKBitmap(info.WithSize(info.Width, 1));
        if (codec.StartScanlineDecode(info) != SKCodecResult.Success)
            return false;
        for (var y = 0; y < info.Height; y++)
        {
            if (codec.GetScanlines(line.GetPixels(), 1, line.RowBytes) != 1)
                return false;
        }

        return true;
    }
}
