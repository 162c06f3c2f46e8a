using Circuitum.Formats.Documents;
using Circuitum.Formats.Drawings;
using SkiaSharp;
using static Circuitum.Formats.Pdf.Letters;

namespace Circuitum.Formats.Pdf;

/// <summary>Lays text, tables and drawings out on pages of a PDF, black on white, the foot on every page. Measures in points.</summary>
public sealed partial class PdfSheet
{
    private const float Margin = PageRoom.Margin,
        FootRoom = PageRoom.FootRoom,
        Gap = 4;

    private readonly SKDocument? document;
    private readonly string foot;
    private readonly int pages;
    private readonly PdfTags tags = new();
    private SKCanvas? canvas;
    private float y;

    private PdfSheet(SKDocument? document, PaperSize size, string foot, int pages)
    {
        (this.document, this.foot, this.pages) = (document, foot, pages);
        (Width, Height) = PageRoom.Of(size);
    }

    /// <summary>Width of a page.</summary>
    public float Width { get; private set; }

    /// <summary>Height of a page.</summary>
    public float Height { get; private set; }

    /// <summary>Pages begun so far.</summary>
    public int PageCount { get; private set; }

    private float Inner => Width - (2 * Margin);

    /// <summary>Makes a document. What is laid out is laid out twice, first to count the pages.</summary>
    /// <param name="title">Its title.</param>
    /// <param name="size">Of its pages.</param>
    /// <param name="foot">Stands at the foot of every page, with the page's number.</param>
    /// <param name="lay">Lays it out.</param>
    /// <param name="bookmarks">After it was laid out: titles with the pages that they are on, from 1.</param>
    public static byte[] Make(
        string title,
        PaperSize size,
        string foot,
        Action<PdfSheet> lay,
        Func<IReadOnlyList<(string Title, int Page)>> bookmarks
    )
    {
        var count = new PdfSheet(null, size, foot, 0);
        lay(count);
        using var stream = new MemoryStream();
        PdfSheet sheet;
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = title,
                    Producer = "Circuitum",
                    EncodingQuality = 100,
                }
            )
        )
        {
            sheet = new PdfSheet(document, size, foot, count.PageCount);
            lay(sheet);
            sheet.End();
            document.Close();
        }

        var pdf = new PdfObjects(stream.ToArray());
        sheet.tags.Write(pdf);
        PdfBookmarks.Add(pdf, bookmarks());
        return pdf.Bytes();
    }

    /// <summary>Makes a document of drawings that fill their pages as they are: a point is a point.</summary>
    /// <param name="title">Its title.</param>
    /// <param name="pages">One drawing for each page, as large as it.</param>
    public static byte[] Make(string title, IEnumerable<Drawing> pages)
    {
        using var stream = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = title,
                    Producer = "Circuitum",
                    EncodingQuality = 100,
                }
            )
        )
        {
            foreach (var page in pages)
            {
                new CanvasWriter(document.BeginPage((float)page.Extent.Wide, (float)page.Extent.Tall), 1, 1).Draw(page);
                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    /// <summary>What is left of the page, in points.</summary>
    public float Left => Height - Margin - FootRoom - y;

    /// <summary>Whether something of a height still goes on the page.</summary>
    public bool HasRoom(float points) => PageCount > 0 && points <= Left;

    /// <summary>Begins a page.</summary>
    /// <param name="turned">Its long side is below.</param>
    public void Page(bool turned = false)
    {
        End();
        var (shorter, longer) = (Math.Min(Width, Height), Math.Max(Width, Height));
        (Width, Height) = turned ? (longer, shorter) : (shorter, longer);
        PageCount++;
        canvas = document?.BeginPage(Width, Height);
        tags.Page();
        y = Margin;
    }

    private const int FewLines = 4;

    /// <summary>A heading, with a page of its own if it would stand alone at the foot.</summary>
    /// <param name="text">Its text.</param>
    /// <param name="size">Of its letters.</param>
    /// <param name="level">Its level, from 1.</param>
    public void Heading(string text, float size, int level)
    {
        Need(size * 4);
        y += size * 0.4f;
        Text(text, size, bold: true, $"H{level}");
        y += 2;
    }

    /// <summary>A paragraph.</summary>
    /// <param name="text">The paragraph.</param>
    /// <param name="size">Of its letters.</param>
    /// <param name="bold">In heavy letters.</param>
    /// <param name="kind">What it is to one who hears it read out.</param>
    public void Text(string text, float size = 9.5f, bool bold = false, string kind = "P")
    {
        using var font = Font(bold, size);
        tags.Open(kind);
        var lines = Wrap(text, font, Inner);

        // A few lines are not divided: one of them would stand alone.
        if (lines.Count <= FewLines)
            Need(size * 1.35f * lines.Count);
        foreach (var line in lines)
        {
            Need(size * 1.35f);
            y += size * 1.35f;
            Put(line, Margin, y - (size * 0.3f), font);
        }

        tags.Close();
    }

    /// <summary>Room between two things.</summary>
    public void Space(float points) => y += points;

    private void Need(float points)
    {
        if (PageCount == 0 || y + points > Height - Margin - FootRoom)
            Page();
    }

    private void End()
    {
        if (PageCount == 0 || canvas is null)
            return;
        using var font = Font(false, 7);
        Line(Margin, Height - Margin - FootRoom + 10, Width - Margin, Height - Margin - FootRoom + 10, 0.6f);
        var at = Height - Margin - FootRoom + 20;
        foreach (var line in Wrap(foot, font, Inner - 60).Take(3))
        {
            Repeat(line, Margin, at, font);
            at += 9;
        }

        var number = $"{PageCount} of {pages}";
        Repeat(number, Width - Margin - font.MeasureText(number), Height - Margin - FootRoom + 20, font);
        document!.EndPage();
        canvas = null;
    }

    private void Put(string text, float x, float at, SKFont font)
    {
        if (Write(text, x, at, font))
            tags.Texts();
    }

    private void Repeat(string text, float x, float at, SKFont font)
    {
        if (Write(text, x, at, font))
            tags.Repeated();
    }

    private bool Write(string text, float x, float at, SKFont font)
    {
        if (canvas is null || text.Length == 0)
            return false;
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        canvas.DrawText(text, x, at, SKTextAlign.Left, font, ink);
        return true;
    }

    private void Line(float x0, float y0, float x1, float y1, float wide)
    {
        if (canvas is null)
            return;
        using var ink = new SKPaint
        {
            Color = SKColors.Black,
            StrokeWidth = wide,
            IsStroke = true,
            IsAntialias = true,
        };
        canvas.DrawLine(x0, y0, x1, y1, ink);
    }
}
