using Circuitum.Formats.Documents;
using SkiaSharp;
using static Circuitum.Formats.Pdf.Letters;

namespace Circuitum.Formats.Pdf;

// Tables on a sheet, and what leads from one place of it to another.
public sealed partial class PdfSheet
{
    // What runs over onto another page is at least as many rows as this; what runs over by little is written a little smaller.
    private const int FewestOver = 3;
    private const float SmallerBy = 1.2f;
    private const float OverByLittle = 1.18f;
    private const float LineTall = 1.25f;
    private const float LittleLeft = 0.3f;

    // A heading that was just put stays with its table: the table does not go on to the next page without it.
    private bool kept;

    /// <summary>A table; its head stands again on each page that it goes on to, and no page holds a single row of it.</summary>
    /// <param name="table">The table.</param>
    /// <param name="size">Of the letters.</param>
    public void Table(PaperTable table, float size)
    {
        var whole = Tall(table, size);
        if (Smaller(table, size, whole))
            size -= SmallerBy;
        else if (!kept && OnNext(whole))
            Page();
        kept = false;
        Need(size * 6);
        using var font = Font(false, size);
        using var head = Font(true, size);
        var widths = Widths(table);
        tags.Open("Table");
        Row(table, PaperRow.Of(table.Columns.Select(c => c.Title)), head, widths, size, "TH");
        var breaks = Breaks(table, font, widths, size);
        for (var i = 0; i < table.Rows.Length; i++)
        {
            if (breaks.Contains(i))
            {
                Page();
                Row(table, PaperRow.Of(table.Columns.Select(c => c.Title)), head, widths, size, "TH");
            }

            Row(table, table.Rows[i], table.Rows[i].Sum ? head : font, widths, size, "TD");
        }

        tags.Close();
        y += 4;
    }

    /// <summary>Begins a page where a heading would stand on this one and the table under it on the next.</summary>
    /// <param name="heading">How tall the heading is, in points.</param>
    /// <param name="table">The table.</param>
    /// <param name="size">Of its letters.</param>
    public void KeepTogether(float heading, PaperTable table, float size)
    {
        var whole = Tall(table, size) + heading;
        if (!Smaller(table, size, whole) && OnNext(whole))
            Page();
        Need(heading + (size * 6));
        kept = true;
    }

    private bool Smaller(PaperTable table, float size, float whole) =>
        whole > Left && whole <= Left * OverByLittle && Tall(table, size - SmallerBy) + (whole - Tall(table, size)) <= Left;

    private bool OnNext(float whole)
    {
        var page = Height - (2 * Margin) - FootRoom;
        return whole > Left && whole <= page && Left < page * LittleLeft;
    }

    /// <summary>How tall a table is when it stands on one page, in points.</summary>
    public float Tall(PaperTable table, float size)
    {
        using var font = Font(false, size);
        var widths = Widths(table);
        return table.Rows.Sum(r => Tall(r, font, widths, size)) + (size * LineTall) + (2 * Gap);
    }

    /// <summary>An entry of the contents: what, and on which page; it leads there.</summary>
    /// <param name="title">What.</param>
    /// <param name="page">Its page.</param>
    /// <param name="target">The name of the place.</param>
    public void Entry(string title, int page, string target)
    {
        const float Size = 11;
        using var font = Font(false, Size);
        Need(Size * 1.6f);
        y += Size * 1.6f;
        tags.Open("P");
        var (line, number) = (Cut(title, Size, false, Inner - 40), $"{page}");
        Put(line, Margin, y - 3, font);
        Put(number, Width - Margin - font.MeasureText(number), y - 3, font);
        tags.Close();
        var (from, to) = (Margin + font.MeasureText(line) + 6, Width - Margin - font.MeasureText(number) - 6);
        Line(from, y - 4, to, y - 4, 0.3f);
        canvas?.DrawLinkDestinationAnnotation(new SKRect(Margin, y - Size - 2, Width - Margin, y + 2), target);
    }

    /// <summary>Names this place, so that the contents lead to it.</summary>
    public void Target(string name) => canvas?.DrawNamedDestinationAnnotation(new SKPoint(Margin, y), name);

    // The rows before which a page begins.
    private HashSet<int> Breaks(PaperTable table, SKFont font, float[] widths, float size)
    {
        var (breaks, at, first) = (new List<int>(), y, 0);
        var head = (size * LineTall) + Gap;
        for (var i = 0; i < table.Rows.Length; i++)
        {
            var tall = Tall(table.Rows[i], font, widths, size);
            if (at + tall > Height - Margin - FootRoom && i > first)
            {
                breaks.Add(i);
                (at, first) = (Margin + head, i);
            }

            at += tall;
        }

        if (breaks.Count > 0 && table.Rows.Length - breaks[^1] < FewestOver)
            breaks[^1] = Math.Max(breaks.Count > 1 ? breaks[^2] + 1 : 1, table.Rows.Length - FewestOver);
        return [.. breaks];
    }

    private float[] Widths(PaperTable table)
    {
        var total = table.Columns.Sum(c => c.Share);
        return [.. table.Columns.Select(c => (float)(c.Share / total * Inner))];
    }

    private static float Tall(PaperRow row, SKFont font, float[] widths, float size) =>
        (Math.Max(row.Lines, row.Cells.Select((c, i) => Wrap(c.Text, font, widths[i] - (2 * Gap)).Count).Max()) * size * LineTall) + Gap;

    private void Row(PaperTable table, PaperRow row, SKFont font, float[] widths, float size, string kind)
    {
        var x = Margin;
        tags.Open("TR");
        for (var i = 0; i < table.Columns.Length; i++)
        {
            var at = y + (size * 1.1f);
            tags.Open(kind);
            foreach (var line in Wrap(row.Cells[i].Text, font, widths[i] - (2 * Gap)))
            {
                Put(line, table.Columns[i].Right ? x + widths[i] - Gap - font.MeasureText(line) : x + Gap, at, font);
                at += size * LineTall;
            }

            tags.Close();
            x += widths[i];
        }

        tags.Close();
        y += Tall(row, font, widths, size);
        Line(Margin, y, Width - Margin, y, font.Typeface.FontWeight > 500 ? 1.2f : 0.4f);
    }
}
