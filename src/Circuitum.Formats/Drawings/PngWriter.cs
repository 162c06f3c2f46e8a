using SkiaSharp;

namespace Circuitum.Formats.Drawings;

/// <summary>Writes a drawing as a picture, in black on white.</summary>
public static class PngWriter
{
    /// <summary>Pixels to a pixel of the drawing, so that its letters stay sharp on a page that is read closely.</summary>
    private const float Sharp = 2;

    // A picture of a whole lot stays small enough for a phone to open it.
    private const float MostPixels = 16_000_000;

    /// <summary>The picture, at twice the scale for which the drawing was composed and of 16 million pixels at most.</summary>
    /// <param name="drawing">The drawing.</param>
    public static byte[] Write(Drawing drawing)
    {
        var area = drawing.Extent.Wide * drawing.Extent.Tall * drawing.Scale * drawing.Scale;
        var sharp = Math.Min(Sharp, MathF.Sqrt(MostPixels / (float)Math.Max(1, area)));
        var perInch = (float)drawing.Scale * sharp;
        var size = new SKImageInfo(
            Math.Max(1, (int)Math.Ceiling(drawing.Extent.Wide * perInch)),
            Math.Max(1, (int)Math.Ceiling(drawing.Extent.Tall * perInch))
        );
        using var surface = SKSurface.Create(size) ?? throw new InvalidOperationException("There is no memory for the picture.");
        surface.Canvas.Clear(SKColors.White);
        new CanvasWriter(surface.Canvas, perInch, sharp).Draw(drawing);
        using var picture = surface.Snapshot();
        using var data = picture.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
