using Circuitum.Formats.Documents;

namespace Circuitum.Formats.Pdf;

/// <summary>Lays a paper out on pages.</summary>
internal sealed class PaperLayout(Paper paper, CancellationToken cancel)
{
    private const float PartSize = 16;
    private const float SmallPartSize = 9;
    private const float HeadingSize = 12;
    private const float TableSize = 8.5f;

    // On which page each part begins, as it was the last time that it was laid out.
    private readonly int[] pages = new int[paper.Parts.Length];

    /// <summary>A paper as PDF, with a bookmark for each of its parts where it has several.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="size">Of its pages.</param>
    /// <param name="foot">Stands at the foot of every page.</param>
    /// <param name="cancel">Gives up; asked before each part.</param>
    internal static byte[] Pdf(Paper paper, PaperSize size, string foot, CancellationToken cancel = default)
    {
        var layout = new PaperLayout(paper, cancel);
        return PdfSheet.Make(paper.Title, size, foot, layout.Lay, layout.Bookmarks);
    }

    // Headings go one level deeper under the title on a cover.
    private int Level => paper.Contents ? 2 : 1;

    private List<(string Title, int Page)> Bookmarks() =>
        paper.Parts.Length < 2 ? [] : [.. paper.Parts.Select((p, i) => (p.Title, pages[i]))];

    private void Lay(PdfSheet s)
    {
        if (paper.Contents)
            Cover(s);
        for (var i = 0; i < paper.Parts.Length; i++)
        {
            cancel.ThrowIfCancellationRequested();
            var part = paper.Parts[i];
            if (!part.Flows || i == 0 || paper.Parts[i - 1].Turned || !s.HasRoom(Beginning(s, part)))
                s.Page(part.Turned);
            else
                s.Space(14);
            pages[i] = s.PageCount;
            s.Target(Name(i));
            s.Heading(part.Title, part.Small ? SmallPartSize : PartSize, Level);
            for (var b = 0; b < part.Blocks.Length; b++)
            {
                if (part.Blocks[b] is PaperHeading && b + 1 < part.Blocks.Length && part.Blocks[b + 1] is PaperTable under)
                    s.KeepTogether(HeadingSize * 2.5f, under, TableSize);
                Lay(s, part.Blocks[b], part.Title);
            }
        }
    }

    private void Lay(PdfSheet s, PaperBlock block, string part)
    {
        switch (block)
        {
            case PaperHeading heading:
                s.Heading(heading.Text, HeadingSize, Level + 1);
                break;
            case PaperText { Caution: true } caution:
                s.Text($"- {caution.Text}");
                break;
            case PaperText text:
                s.Text(text.Text);
                break;
            case PaperTable table:
                s.Table(table, TableSize);
                break;
            case PaperPhoto photo:
                s.Photo(photo.Jpeg, photo.Caption);
                break;
            case PaperDrawing { PerInch: { } scale } drawn:
                s.Put(drawn.Drawing, part, (float)scale, (float)drawn.PerPixel);
                break;
            case PaperDrawing drawn:
                s.Fit(drawn.Drawing, part);
                break;
        }
    }

    // A heading with the first lines under it, and all of a part that is short.
    private static float Beginning(PdfSheet s, PaperPart part)
    {
        const float Least = 110;
        var whole = part.Blocks.Sum(b => b is PaperTable table ? s.Tall(table, TableSize) : 16) + (PartSize * 2.5f);
        return Math.Min(whole, Math.Max(Least, s.Left * 0.35f));
    }

    private void Cover(PdfSheet s)
    {
        s.Page();
        s.Space(70);
        var lines = paper.Cover;
        s.Text(lines[0], 30, bold: true, "H1");
        if (lines[1].Length > 0)
            s.Text(lines[1], 16);
        s.Space(16);
        foreach (var line in lines.Skip(2))
        {
            s.Text(line, 11);
            s.Space(4);
        }

        s.Heading("Contents", HeadingSize, Level);
        for (var i = 0; i < paper.Parts.Length; i++)
            s.Entry(paper.Parts[i].Title, pages[i], Name(i));
    }

    private static string Name(int part) => $"part{part}";
}
