using Circuitum.Formats.Drawings;
using SkiaSharp;
using static Circuitum.Formats.Pdf.Letters;

namespace Circuitum.Formats.Pdf;

// Drawings on a sheet.
public sealed partial class PdfSheet
{
    /// <summary>A drawing in a frame of its own units, as large as the width or what is left of the page lets it.</summary>
    /// <param name="left">Least x of the drawing.</param>
    /// <param name="top">Least y.</param>
    /// <param name="wide">How wide it is.</param>
    /// <param name="tall">How tall.</param>
    /// <param name="draw">Draws it; the number is how many units of the drawing a point is.</param>
    public void Drawing(double left, double top, double wide, double tall, Action<SKCanvas, float> draw)
    {
        var scale = (float)Math.Min(Inner / wide, (Height - y - Margin - FootRoom) / tall);
        if (canvas is not null)
        {
            canvas.Save();
            canvas.Translate(Margin + ((Inner - ((float)wide * scale)) / 2), y);
            canvas.Scale(scale);
            canvas.Translate((float)-left, (float)-top);
            draw(canvas, 1 / scale);
            canvas.Restore();
        }

        y += (float)tall * scale;
    }

    /// <summary>A drawing at its scale, in the middle of the page.</summary>
    /// <param name="drawing">The drawing.</param>
    /// <param name="perInch">Points to an inch of it.</param>
    /// <param name="perPixel">Points to a pixel of what keeps its size.</param>
    public void Put(Drawing drawing, float perInch, float perPixel)
    {
        if (document is null)
            said.AddRange(Texts(drawing.Layers.SelectMany(l => l.Shapes)));
        if (canvas is not null)
        {
            canvas.Save();
            canvas.Translate(Margin + ((Inner - ((float)drawing.Extent.Wide * perInch)) / 2), y);
            new PdfWriter(canvas, perInch, perPixel).Draw(drawing);
            canvas.Restore();
        }

        y += (float)drawing.Extent.Tall * perInch;
    }

    private static IEnumerable<string> Texts(IEnumerable<Shape> shapes) =>
        shapes.SelectMany(s =>
            s switch
            {
                TextShape text => [text.Text],
                AnchorShape anchor => Texts(anchor.Shapes),
                GroupShape group => Texts(group.Shapes),
                _ => [],
            }
        );

    /// <summary>A drawing whose units are points, at its own size in the middle of what is left of the page.</summary>
    /// <param name="drawing">The drawing.</param>
    public void TrueSize(LineDrawing drawing)
    {
        if (document is null)
            said.AddRange(drawing.Strokes.Where(s => s.Kind == StrokeKind.Text).Select(s => s.Text));
        if (canvas is not null)
        {
            canvas.Save();
            canvas.Translate((Width - drawing.Wide) / 2, y);
            Ink(canvas, drawing);
            canvas.Restore();
        }

        y += drawing.Tall;
    }

    /// <summary>A drawing in ink, as large as the width or what is left of the page lets it.</summary>
    /// <param name="drawing">The drawing.</param>
    public void Drawing(LineDrawing drawing)
    {
        if (document is null)
            said.AddRange(drawing.Strokes.Where(s => s.Kind == StrokeKind.Text).Select(s => s.Text));
        Drawing(0, 0, drawing.Wide, drawing.Tall, (on, _) => Ink(on, drawing));
    }

    private static void Ink(SKCanvas on, LineDrawing drawing)
    {
        foreach (var s in drawing.Strokes)
        {
            using var ink = new SKPaint
            {
                Color = SKColors.Black,
                IsStroke = s.Kind != StrokeKind.Fill,
                StrokeWidth = s.Weight,
                IsAntialias = true,
            };
            switch (s.Kind)
            {
                case StrokeKind.Line:
                    on.DrawLine(s.X0, s.Y0, s.X1, s.Y1, ink);
                    break;
                case StrokeKind.Box or StrokeKind.Fill:
                    on.DrawRect(s.X0, s.Y0, s.X1 - s.X0, s.Y1 - s.Y0, ink);
                    break;
                case StrokeKind.Circle:
                    on.DrawCircle(s.X0, s.Y0, s.X1, ink);
                    break;
                default:
                    Label(
                        on,
                        s.Text,
                        s.X0,
                        s.Y0,
                        s.X1,
                        s.Bold,
                        s.Side switch
                        {
                            TextSide.Middle => SKTextAlign.Center,
                            TextSide.End => SKTextAlign.Right,
                            _ => SKTextAlign.Left,
                        }
                    );
                    break;
            }
        }
    }

    /// <summary>Text anywhere in a drawing.</summary>
    public static void Label(
        SKCanvas on,
        string text,
        float x,
        float y,
        float size,
        bool bold = false,
        SKTextAlign align = SKTextAlign.Center
    )
    {
        using var font = Font(bold, size);
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        on.DrawText(text, x, y, align, font, ink);
    }
}
