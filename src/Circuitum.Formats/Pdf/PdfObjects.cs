using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.RegularExpressions;

namespace Circuitum.Formats.Pdf;

/// <summary>
/// The objects of a document, to be read, changed and added to: for what the library that writes it has no words. Knows only the plain form
/// in which that library writes: one table of places, nothing packed together. Bytes stand as letters of Latin-1, one for each.
/// </summary>
internal sealed partial class PdfObjects
{
    private const int EntryLength = 20;
    private const string PageType = "<</Type /Page\n";

    private readonly string head;
    private readonly string trailer;
    private readonly Dictionary<int, string> bodies = [];
    private readonly int root;
    private int next;

    /// <summary>Reads a document.</summary>
    /// <param name="pdf">As the library wrote it.</param>
    internal PdfObjects(byte[] pdf)
    {
        var text = Encoding.Latin1.GetString(pdf);
        var table = Number(StartXref().Matches(text)[^1]);
        trailer = text[text.IndexOf("trailer", table, StringComparison.Ordinal)..];
        (next, root) = (Number(Size().Match(trailer)), Number(Root().Match(trailer)));
        var entries = text.IndexOf('\n', table + "xref\n".Length) + 1;
        var places = Enumerable
            .Range(1, next - 1)
            .Select(n => (Number: n, At: int.Parse(text.AsSpan(entries + (n * EntryLength), 10), CultureInfo.InvariantCulture)))
            .ToList();
        head = text[..places.Min(p => p.At)];
        foreach (var (number, at) in places)
        {
            var from = at + $"{number} 0 obj\n".Length;
            // A stream may hold the bytes that end an object; its length tells where it ends.
            var behind =
                Length().Match(text, from) is { Success: true } told && told.Index < text.IndexOf("endobj", from, StringComparison.Ordinal)
                    ? told.Index + told.Length + Number(told)
                    : from;
            bodies[number] = text[from..text.IndexOf("\nendobj", behind, StringComparison.Ordinal)];
        }

        Pages = [.. PagesUnder(Number(PagesOf().Match(bodies[root])))];
    }

    /// <summary>The numbers of its pages, in their order.</summary>
    internal IReadOnlyList<int> Pages { get; }

    /// <summary>A number that no object has yet.</summary>
    internal int New() => next++;

    /// <summary>Puts an object under its number.</summary>
    internal void Put(int number, string body) => bodies[number] = body;

    /// <summary>Adds entries to the catalog, from which everything is found.</summary>
    internal void Catalog(string entries) =>
        bodies[root] = bodies[root].Replace("<</Type /Catalog", $"<</Type /Catalog\n{entries}", StringComparison.Ordinal);

    /// <summary>Adds entries to a page.</summary>
    internal void Page(int number, string entries) =>
        bodies[number] = bodies[number].Replace(PageType, $"{PageType}{entries}\n", StringComparison.Ordinal);

    /// <summary>What draws a page.</summary>
    internal string Content(int page)
    {
        var body = bodies[ContentOf(page)];
        var packed = Encoding.Latin1.GetBytes(body[(body.IndexOf("stream\n", StringComparison.Ordinal) + "stream\n".Length)..]);
        using var unpacked = new ZLibStream(new MemoryStream(packed), CompressionMode.Decompress);
        using var reader = new StreamReader(unpacked, Encoding.Latin1);
        return reader.ReadToEnd();
    }

    /// <summary>Draws a page otherwise.</summary>
    internal void Content(int page, string drawn)
    {
        using var packed = new MemoryStream();
        using (var packer = new ZLibStream(packed, CompressionLevel.Optimal, leaveOpen: true))
            packer.Write(Encoding.Latin1.GetBytes(drawn));
        var stream = Encoding.Latin1.GetString(packed.ToArray());
        bodies[ContentOf(page)] = $"<</Filter /FlateDecode\n/Length {stream.Length}>> stream\n{stream}\nendstream";
    }

    /// <summary>The document anew.</summary>
    internal byte[] Bytes()
    {
        var all = new StringBuilder(head);
        var table = new StringBuilder($"xref\n0 {next}\n0000000000 65535 f \n");
        for (var number = 1; number < next; number++)
        {
            table.Append(CultureInfo.InvariantCulture, $"{all.Length:0000000000} 00000 n \n");
            all.Append(CultureInfo.InvariantCulture, $"{number} 0 obj\n").Append(bodies[number]).Append("\nendobj\n");
        }

        var at = all.Length;
        all.Append(table).Append(Size().Replace(StartXref().Replace(trailer, $"startxref\n{at}"), $"/Size {next}"));
        return Encoding.Latin1.GetBytes(all.ToString());
    }

    /// <summary>A text as it stands in an object: UTF-16 with its mark, so that any letter can stand in it.</summary>
    internal static string Text(string text) => $"<FEFF{Convert.ToHexString(Encoding.BigEndianUnicode.GetBytes(text))}>";

    private int ContentOf(int page) => Number(ContentsOf().Match(bodies[page]));

    // The pages stand in a tree, in their order.
    private IEnumerable<int> PagesUnder(int node) =>
        Kids().Match(bodies[node]) is { Success: true } kids
            ? Reference().Matches(kids.Groups[1].Value).SelectMany(kid => PagesUnder(Number(kid)))
            : [node];

    private static int Number(Match match) => int.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"/Size (\d+)")]
    private static partial Regex Size();

    [GeneratedRegex(@"/Root (\d+) 0 R")]
    private static partial Regex Root();

    [GeneratedRegex(@"startxref\s+(\d+)")]
    private static partial Regex StartXref();

    [GeneratedRegex(@"/Pages (\d+) 0 R")]
    private static partial Regex PagesOf();

    [GeneratedRegex(@"/Contents (\d+) 0 R")]
    private static partial Regex ContentsOf();

    [GeneratedRegex(@"/Length (\d+)>> stream\n")]
    private static partial Regex Length();

    [GeneratedRegex(@"/Kids \[([^\]]*)\]")]
    private static partial Regex Kids();

    [GeneratedRegex(@"(\d+) 0 R")]
    private static partial Regex Reference();
}
