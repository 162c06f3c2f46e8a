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

    /// <summary>Looks at a file that is not trusted. Only its head is decoded.</summary>
    /// <returns>The picture, or a sentence when it is none or too large.</returns>
    public static (PictureFile? Picture, string Problem) Look(byte[] bytes)
    {
        if (bytes.Length > MostBytes) return (null, $"The picture is larger than {MostBytes / 1_000_000} MB. Save it smaller.");
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        if (codec is null || codec.EncodedFormat is not (SKEncodedImageFormat.Png or SKEncodedImageFormat.Jpeg)) return (null, "This is not a PNG or JPEG picture.");
        var (width, height) = (codec.Info.Width, codec.Info.Height);
        if (width > MostPixels || height > MostPixels) return (null, $"The picture is {width:#,0} by {height:#,0} pixels; the most is {MostPixels:#,0} either way. Save it smaller.");
        if (width < 16 || height < 16) return (null, $"The picture is only {width} by {height} pixels.");
        return (new(codec.EncodedFormat == SKEncodedImageFormat.Png ? "image/png" : "image/jpeg", width, height, Convert.ToHexStringLower(SHA256.HashData(bytes))), "");
    }
}
