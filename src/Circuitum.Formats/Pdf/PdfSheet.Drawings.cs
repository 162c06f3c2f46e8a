using Circuitum.Formats.Drawings;
using SkiaSharp;

namespace Circuitum.Formats.Pdf;

// Drawings on a sheet.
public sealed partial class PdfSheet
{
    /// <summary>A drawing at its scale, in the middle of the page.</summary>
    /// <param name="drawing">The drawing.</param>
    /// <param name="name">What it is called where it cannot be seen.</param>
    /// <param name="perInch">Points to an inch of it.</param>
    /// <param name="perPixel">Points to a pixel of what keeps its size.</param>
    public void Put(Drawing drawing, string name, float perInch, float perPixel)
    {
        if (canvas is not null)
        {
            canvas.Save();
            canvas.Translate(Margin + ((Inner - ((float)drawing.Extent.Wide * perInch)) / 2), y);
            var writer = new CanvasWriter(canvas, perInch, perPixel);
            writer.Draw(drawing);
            tags.Open("Figure", name);
            tags.Texts(writer.Texts);
            tags.Close();
            canvas.Restore();
        }

        y += (float)drawing.Extent.Tall * perInch;
    }

    private const float MostPhoto = 300;

    /// <summary>A photograph with what it shows under it; on a new page where it would not fit.</summary>
    /// <param name="jpeg">Its bytes.</param>
    /// <param name="caption">What it shows.</param>
    public void Photo(ReadOnlyMemory<byte> jpeg, string caption)
    {
        using var data = SKData.CreateCopy(jpeg.Span);
        using var image = SKImage.FromEncodedData(data);
        if (image is null)
            return;
        var scale = Math.Min(Inner / image.Width, MostPhoto / image.Height);
        var tall = image.Height * scale;
        if (!HasRoom(tall + 30))
            Page();
        if (canvas is not null)
        {
            tags.Open("Figure", caption);
            canvas.DrawImage(image, SKRect.Create(Margin, y, image.Width * scale, tall), new SKSamplingOptions());
            tags.Close();
        }

        y += tall + 4;
        Text(caption);
        Space(8);
    }

    /// <summary>A drawing as large as the width or what is left of the page lets it, but not larger than on a screen.</summary>
    /// <param name="drawing">The drawing.</param>
    /// <param name="name">What it is called where it cannot be seen.</param>
    /// <param name="most">Points to a pixel at most.</param>
    public void Fit(Drawing drawing, string name, float most = 1)
    {
        var left = Height - y - Margin - FootRoom;
        var scale = Math.Min(most, Math.Min(Inner / (float)drawing.Extent.Wide, left / (float)drawing.Extent.Tall));
        Put(drawing, name, scale, scale / (float)drawing.Scale);
    }
}
