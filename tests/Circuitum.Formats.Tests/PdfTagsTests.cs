using Circuitum.Formats.Documents;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using UglyToad.PdfPig.Tokens;

namespace Circuitum.Formats.Tests;

/// <summary>What a reading program hears of a paper: its headings, tables and drawings, in their order.</summary>
public class PdfTagsTests
{
    public static TheoryData<string> Houses => ["gull-cottage", "5"];

    private sealed record Tag(string Kind, int Depth, string Text, string Name);

    // The tree as a list, each element with the text under it.
    private static List<Tag> Read(PdfDocument pdf)
    {
        var catalog = pdf.Structure.Catalog.CatalogDictionary;
        catalog.TryGet(NameToken.Create("StructTreeRoot"), out var root).ShouldBeTrue("not tagged");
        var pages = pdf.GetPages().ToDictionary(p => p.Number, Marked);
        var numbers = Pages(pdf, catalog.Data["Pages"]).Select((number, i) => (number, i)).ToDictionary(p => p.number, p => p.i + 1);
        var found = new List<Tag>();
        Walk(Get(pdf, root!), 0);
        return found;

        string Walk(DictionaryToken element, int depth)
        {
            if (element.TryGet(NameToken.Create("MCID"), out var place))
            {
                var page = numbers[((IndirectReferenceToken)element.Data["Pg"]).Data.ObjectNumber];
                return pages[page][((NumericToken)place).Int];
            }

            var at = found.Count;
            found.Add(new("", 0, "", ""));
            var kids = element.Data["K"] is ArrayToken many ? many.Data : [element.Data["K"]];
            var text = string.Join(' ', kids.Select(k => Walk(Get(pdf, k), depth + 1)));
            var kind = element.TryGet(NameToken.Create("S"), out var s) ? ((NameToken)s).Data : "Root";
            found[at] = new(kind, depth, text, element.TryGet(NameToken.Create("Alt"), out var alt) ? Words(alt) : "");
            return text;
        }
    }

    private static IEnumerable<long> Pages(PdfDocument pdf, IToken node) =>
        Get(pdf, node).TryGet(NameToken.Create("Kids"), out var kids)
            ? ((ArrayToken)kids).Data.SelectMany(kid => Pages(pdf, kid))
            : [((IndirectReferenceToken)node).Data.ObjectNumber];

    private static string Words(IToken token) => token is HexToken hex ? hex.Data : ((StringToken)token).Data;

    private static DictionaryToken Get(PdfDocument pdf, IToken token) =>
        token is IndirectReferenceToken reference ? (DictionaryToken)pdf.Structure.GetObject(reference.Data).Data : (DictionaryToken)token;

    private static Dictionary<int, string> Marked(Page page) =>
        page.GetMarkedContents()
            .Where(m => !m.IsArtifact)
            .ToDictionary(m => m.MarkedContentIdentifier, m => string.Concat(m.Letters.Select(l => l.Value)));

    private static string Bare(string text) => text.Replace(" ", "", StringComparison.Ordinal);

    [Theory]
    [MemberData(nameof(Houses))]
    public void The_packet_reads_out_its_headings_tables_and_drawings_in_order(string name)
    {
        var a = PaperPagesTests.House(name);
        var paper = Papers.Of(a, "packet", 3);
        using var pdf = PdfDocument.Open(Papers.Make(a, "packet", 3, PaperSize.Letter));
        var tags = Read(pdf);

        var headings = paper.Parts.SelectMany(p =>
            p.Blocks.OfType<PaperHeading>().Select(h => ("H3", Bare(h.Text))).Prepend(("H2", Bare(p.Title)))
        );
        tags.Where(t => t.Kind is "H2" or "H3").Select(t => (t.Kind, Bare(t.Text))).Skip(1).ShouldBe(headings);
        tags.Count(t => t.Kind == "H1").ShouldBe(1);
        var blocks = paper.Parts.SelectMany(p => p.Blocks).ToList();
        tags.Count(t => t.Kind == "Table").ShouldBe(blocks.OfType<PaperTable>().Count());
        tags.Count(t => t.Kind == "TD").ShouldBe(blocks.OfType<PaperTable>().Sum(t => t.Rows.Sum(r => r.Cells.Length)));
        var figures = tags.Where(t => t.Kind == "Figure").ToList();
        figures.Select(f => Bare(f.Text)).ShouldBe(blocks.OfType<PaperDrawing>().Select(d => Bare(string.Concat(d.Words))));
        figures.ShouldAllBe(f => f.Name.Length > 0);
    }

    [Theory]
    [MemberData(nameof(Houses))]
    public void Every_paper_is_tagged_and_only_its_foot_is_left_out(string name)
    {
        var a = PaperPagesTests.House(name);
        foreach (var paper in Papers.Names)
        {
            using var pdf = PdfDocument.Open(Papers.Make(a, paper, 3, PaperSize.A4));
            Read(pdf).ShouldContain(t => t.Kind == "H1");
            foreach (var page in pdf.GetPages())
            {
                var marked = page.GetMarkedContents();
                marked.Sum(m => m.Letters.Count).ShouldBe(page.Letters.Count, $"{paper}, page {page.Number}");
                marked.Where(m => m.IsArtifact).SelectMany(m => m.Letters).ShouldAllBe(l => l.StartBaseLine.Y < 60);
            }
        }
    }
}
