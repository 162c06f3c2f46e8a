using SkiaSharp;

namespace Circuitum.Formats;

/// <summary>A photograph made anew: upright, no larger than it is looked at, with nothing in it but what is seen.</summary>
/// <param name="Bytes">JPEG.</param>
/// <param name="Small">The same for a list.</param>
/// <param name="Wide">Width in pixels.</param>
/// <param name="Tall">Height in pixels.</param>
public sealed record Photo(byte[] Bytes, byte[] Small, int Wide, int Tall)
{
    private const int Largest = 1600;
    private const int LargestSmall = 320;
    private const int Quality = 80;
    private const int QualitySmall = 70;
    private const long MostPixels = 60_000_000;
    private const string NoPicture = "That is no picture that can be read. Take a JPEG or PNG.";

    /// <summary>Makes one of a file. Place, serial numbers and whatever else a phone writes into a file are not taken over.</summary>
    /// <param name="file">The file's bytes.</param>
    /// <returns>The photograph, or a sentence that says why there is none.</returns>
    public static (Photo? Photo, string Problem) Make(byte[] file)
    {
        using var stream = new SKMemoryStream(file);
        using var codec = SKCodec.Create(stream);
        if (
            codec is null
            || codec.EncodedFormat is not (SKEncodedImageFormat.Jpeg or SKEncodedImageFormat.Png or SKEncodedImageFormat.Webp)
        )
            return (null, NoPicture);
        if (codec.Info.Width < 1 || codec.Info.Height < 1 || (long)codec.Info.Width * codec.Info.Height > MostPixels)
            return (null, $"The picture has more than {MostPixels / 1_000_000} million pixels. Take it smaller.");
        using var bitmap = new SKBitmap(new SKImageInfo(codec.Info.Width, codec.Info.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) is not (SKCodecResult.Success or SKCodecResult.IncompleteInput))
            return (null, NoPicture);
        using var upright = Upright(bitmap, codec.EncodedOrigin);
        var (full, wide, tall) = Fitted(upright, Largest, Quality);
        return (new(full, Fitted(upright, LargestSmall, QualitySmall).Bytes, wide, tall), "");
    }

    private static SKBitmap Upright(SKBitmap bitmap, SKEncodedOrigin origin)
    {
        var (w, h) = (bitmap.Width, bitmap.Height);
        var turned =
            origin is SKEncodedOrigin.RightTop or SKEncodedOrigin.LeftBottom or SKEncodedOrigin.LeftTop or SKEncodedOrigin.RightBottom;
        var upright = new SKBitmap(turned ? h : w, turned ? w : h);
        using var canvas = new SKCanvas(upright);
        canvas.Clear(SKColors.White);
        var matrix = origin switch
        {
            SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new SKMatrix(0, -1, h, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, h, -1, 0, w, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, w, 0, 0, 1),
            _ => SKMatrix.Identity,
        };
        canvas.SetMatrix(matrix);
        canvas.DrawBitmap(bitmap, 0, 0, new SKSamplingOptions(SKFilterMode.Nearest));
        return upright;
    }

    private static (byte[] Bytes, int Wide, int Tall) Fitted(SKBitmap bitmap, int largest, int quality)
    {
        var scale = Math.Min(1.0, (double)largest / Math.Max(bitmap.Width, bitmap.Height));
        var (wide, tall) = (Math.Max(1, (int)Math.Round(bitmap.Width * scale)), Math.Max(1, (int)Math.Round(bitmap.Height * scale)));
        using var small = scale < 1 ? bitmap.Resize(new SKImageInfo(wide, tall), new SKSamplingOptions(SKCubicResampler.Mitchell)) : null;
        using var image = SKImage.FromBitmap(small ?? bitmap);
        using var data = image.Encode(SKEncodedImageFormat.Jpeg, quality);
        return (data.ToArray(), wide, tall);
    }
}
