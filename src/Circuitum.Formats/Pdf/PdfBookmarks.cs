using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;

namespace Circuitum.Formats.Pdf;

/// <summary>
/// Bookmarks of a document, which the library that writes it has no words for: they are added behind its end, as the format foresees for
/// what is changed later. Knows only the plain form in which that library writes.
/// </summary>
internal static partial class PdfBookmarks
{
    /// <summary>The document with bookmarks.</summary>
    /// <param name="pdf">The document.</param>
    /// <param name="marks">Titles with the pages that they are on, from 1.</param>
    internal static byte[] Add(byte[] pdf, IReadOnlyList<(string Title, int Page)> marks)
    {
        if (marks.Count == 0)
            return pdf;
        var text = Encoding.Latin1.GetString(pdf);
        var (next, root) = (Number(Size().Matches(text)[^1]), Number(Root().Matches(text)[^1]));
        var before = Number(StartXref().Matches(text)[^1]);
        var catalog = Object(text, root);
        var pages = Pages(text, Number(PagesOf().Match(catalog))).ToList();
        var (outlines, first, last) = (next, next + 1, next + marks.Count);
        var added = new StringBuilder();
        var places = new List<(int Number, long At)>();

        Write(
            root,
            catalog.Replace(
                "<</Type /Catalog",
                $"<</Type /Catalog\n/Outlines {outlines} 0 R\n/PageMode /UseOutlines",
                StringComparison.Ordinal
            )
        );
        Write(outlines, $"<</Type /Outlines /First {first} 0 R /Last {last} 0 R /Count {marks.Count}>>");
        for (var i = 0; i < marks.Count; i++)
        {
            var beside = (i > 0 ? $" /Prev {first + i - 1} 0 R" : "") + (i < marks.Count - 1 ? $" /Next {first + i + 1} 0 R" : "");
            var page = pages[Math.Clamp(marks[i].Page, 1, pages.Count) - 1];
            Write(first + i, $"<</Title {Hex(marks[i].Title)} /Parent {outlines} 0 R{beside} /Dest [{page} 0 R /XYZ null null null]>>");
        }

        var xref = pdf.Length + added.Length;
        added.Append("xref\n");
        foreach (var (number, at) in places)
            added.Append(CultureInfo.InvariantCulture, $"{number} 1\n{at:0000000000} 00000 n \n");
        var info = Info().Matches(text) is { Count: > 0 } found ? $" {found[^1].Value}" : "";
        added.Append(CultureInfo.InvariantCulture, $"trailer\n<</Size {last + 1} /Root {root} 0 R{info} /Prev {before}>>\n");
        added.Append(CultureInfo.InvariantCulture, $"startxref\n{xref}\n%%EOF\n");
        return [.. pdf, .. Encoding.Latin1.GetBytes(added.ToString())];

        void Write(int number, string body)
        {
            places.Add((number, pdf.Length + added.Length));
            added.Append(CultureInfo.InvariantCulture, $"{number} 0 obj\n{body}\nendobj\n");
        }
    }

    private static int Number(Match match) => int.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture);

    private static string Object(string text, int number)
    {
        var head = $"\n{number} 0 obj\n";
        var from = text.LastIndexOf(head, StringComparison.Ordinal) + head.Length;
        return text[from..text.IndexOf("\nendobj", from, StringComparison.Ordinal)];
    }

    // The pages stand in a tree, in their order.
    private static IEnumerable<int> Pages(string text, int number)
    {
        var node = Object(text, number);
        return Kids().Match(node) is { Success: true } kids
            ? Reference().Matches(kids.Groups[1].Value).SelectMany(kid => Pages(text, Number(kid)))
            : [number];
    }

    // UTF-16 with its mark, so that any letter can stand in a title.
    private static string Hex(string title) => $"<FEFF{Convert.ToHexString(Encoding.BigEndianUnicode.GetBytes(title))}>";

    [GeneratedRegex(@"/Size (\d+)")]
    private static partial Regex Size();

    [GeneratedRegex(@"/Root (\d+) 0 R")]
    private static partial Regex Root();

    [GeneratedRegex(@"/Info \d+ 0 R")]
    private static partial Regex Info();

    [GeneratedRegex(@"startxref\s+(\d+)")]
    private static partial Regex StartXref();

    [GeneratedRegex(@"/Pages (\d+) 0 R")]
    private static partial Regex PagesOf();

    [GeneratedRegex(@"/Kids \[([^\]]*)\]")]
    private static partial Regex Kids();

    [GeneratedRegex(@"(\d+) 0 R")]
    private static partial Regex Reference();
}
