namespace Circuitum.Formats.Pdf;

/// <summary>Bookmarks of a document.</summary>
internal static class PdfBookmarks
{
    /// <summary>Adds them.</summary>
    /// <param name="pdf">The document.</param>
    /// <param name="marks">Titles with the pages that they are on, from 1.</param>
    internal static void Add(PdfObjects pdf, IReadOnlyList<(string Title, int Page)> marks)
    {
        if (marks.Count == 0)
            return;
        var outlines = pdf.New();
        var numbers = marks.Select(_ => pdf.New()).ToList();
        pdf.Catalog($"/Outlines {outlines} 0 R\n/PageMode /UseOutlines");
        pdf.Put(outlines, $"<</Type /Outlines /First {numbers[0]} 0 R /Last {numbers[^1]} 0 R /Count {marks.Count}>>");
        for (var i = 0; i < marks.Count; i++)
        {
            var beside = (i > 0 ? $" /Prev {numbers[i - 1]} 0 R" : "") + (i < marks.Count - 1 ? $" /Next {numbers[i + 1]} 0 R" : "");
            var page = pdf.Pages[Math.Clamp(marks[i].Page, 1, pdf.Pages.Count) - 1];
            var title = PdfObjects.Text(marks[i].Title);
            pdf.Put(numbers[i], $"<</Title {title} /Parent {outlines} 0 R{beside} /Dest [{page} 0 R /XYZ null null null]>>");
        }
    }
}
