using System.Text;
using System.Text.RegularExpressions;

namespace Circuitum.Formats.Pdf;

/// <summary>
/// What each text of a document is, so that it can be read out, searched by heading and reflowed: headings, paragraphs, tables with their
/// heads, drawings with a name. It is taken down while the document is laid out, text by text in the order of the drawing, and laid
/// around those texts afterwards.
/// </summary>
internal sealed partial class PdfTags
{
    private readonly Element document = new("Document", null);
    private readonly List<List<Element?>> pages = [];
    private Element open;

    internal PdfTags() => open = document;

    /// <summary>A page begins.</summary>
    internal void Page() => pages.Add([]);

    /// <summary>What follows is part of something, until it is closed.</summary>
    /// <param name="kind">Its standard structure type, such as <c>H1</c>, <c>P</c>, <c>TR</c>.</param>
    /// <param name="name">What is said in its place when it cannot be seen; empty for its texts alone.</param>
    internal void Open(string kind, string name = "")
    {
        var inner = new Element(kind, open) { Name = name };
        open.Kids.Add((inner, 0, 0));
        open = inner;
    }

    /// <summary>What was opened last is complete.</summary>
    internal void Close() => open = open.Parent ?? document;

    /// <summary>Texts were put on the page, as parts of what is open.</summary>
    /// <param name="count">How many.</param>
    internal void Texts(int count = 1) => Take(open, count);

    /// <summary>Texts were put on the page that repeat on every one, and are not read out.</summary>
    internal void Repeated() => Take(null, 1);

    /// <summary>Writes it into a document; one whose texts do not stand as taken down is left as it is.</summary>
    /// <param name="pdf">The document.</param>
    /// <returns>Whether it was written.</returns>
    internal bool Write(PdfObjects pdf)
    {
        var drawn = pdf.Pages.Select(pdf.Content).ToList();
        if (drawn.Count != pages.Count || drawn.Where((d, i) => TextBlock().Count(d) != pages[i].Count).Any())
            return false;
        var (root, byPage) = (pdf.New(), new StringBuilder());
        Number(pdf, document);
        for (var i = 0; i < drawn.Count; i++)
        {
            var (page, place) = (i, 0);
            var marked = new List<Element>();
            pdf.Content(pdf.Pages[i], TextBlock().Replace(drawn[i], m => Mark(m.Value, pages[page][place++], marked)));
            pdf.Page(pdf.Pages[i], $"/StructParents {i}\n/Tabs /S");
            byPage.Append($"{i} [{string.Join(' ', marked.Select(e => $"{e.Number} 0 R"))}] ");
        }

        Write(pdf, document, root);
        pdf.Put(
            root,
            $"<</Type /StructTreeRoot /K {document.Number} 0 R /ParentTree <</Nums [{byPage}]>> /ParentTreeNextKey {drawn.Count}>>"
        );
        pdf.Catalog($"/StructTreeRoot {root} 0 R\n/MarkInfo <</Marked true>>\n/Lang (en-US)");
        return true;
    }

    private void Take(Element? element, int count)
    {
        for (var i = 0; i < count; i++)
        {
            element?.Kids.Add((null, pages.Count - 1, pages[^1].Count(e => e is not null)));
            pages[^1].Add(element);
        }
    }

    private static string Mark(string drawn, Element? element, List<Element> marked)
    {
        if (element is null)
            return $"/Artifact BMC\n{drawn}EMC\n";
        marked.Add(element);
        return $"/{element.Kind} <</MCID {marked.Count - 1}>> BDC\n{drawn}EMC\n";
    }

    private static void Number(PdfObjects pdf, Element element)
    {
        element.Number = pdf.New();
        foreach (var (inner, _, _) in element.Kids)
        {
            if (inner is not null)
                Number(pdf, inner);
        }
    }

    private static void Write(PdfObjects pdf, Element element, int parent)
    {
        var kids = element.Kids.Select(k =>
            k.Inner is { } inner ? $"{inner.Number} 0 R" : $"<</Type /MCR /Pg {pdf.Pages[k.Page]} 0 R /MCID {k.Place}>>"
        );
        var name = element.Name.Length > 0 ? $" /Alt {PdfObjects.Text(element.Name)}" : "";
        var scope = element.Kind == "TH" ? " /A <</O /Table /Scope /Column>>" : "";
        pdf.Put(element.Number, $"<</Type /StructElem /S /{element.Kind} /P {parent} 0 R /K [{string.Join(' ', kids)}]{name}{scope}>>");
        foreach (var (inner, _, _) in element.Kids)
        {
            if (inner is not null)
                Write(pdf, inner, element.Number);
        }
    }

    // The library draws each text between these two words, and each of them on a line of its own.
    [GeneratedRegex(@"^BT\n.*?^ET\n", RegexOptions.Multiline | RegexOptions.Singleline)]
    private static partial Regex TextBlock();

    // Inside of it stand others, or texts by their page and their place among the marked ones of it.
    private sealed class Element(string kind, Element? parent)
    {
        internal string Kind => kind;

        internal Element? Parent => parent;

        internal string Name { get; init; } = "";

        internal int Number { get; set; }

        internal List<(Element? Inner, int Page, int Place)> Kids { get; } = [];
    }
}
