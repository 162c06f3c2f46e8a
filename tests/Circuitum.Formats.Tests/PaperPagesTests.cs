using Circuitum.Core.Analysis;
using Circuitum.Core.Planning;
using Circuitum.Formats.Documents;
using Circuitum.Generated;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using UglyToad.PdfPig.Outline;

namespace Circuitum.Formats.Tests;

/// <summary>Papers read back page by page: where their parts begin, and what stands alone.</summary>
public class PaperPagesTests
{
    public static TheoryData<string> Houses => ["tamarack-row", "gull-cottage", "3", "11", "42"];

    internal static JobAnalysis House(string name) =>
        Analyzer.Analyze(
            Planner.PlanAll(int.TryParse(name, out var seed) ? GeneratedHouse.MakeWithShed(seed) : JobFileTests.Demo($"{name}.json"))
        );

    // Lines of a page from the top, what belongs to its foot left out.
    private static List<(double Y, string Text)> Lines(Page page) =>
        [
            .. page.GetWords()
                .Where(w => w.BoundingBox.Bottom > 50)
                .GroupBy(w => Math.Round(w.BoundingBox.Bottom))
                .OrderByDescending(g => g.Key)
                .Select(g => (g.Key, string.Join(' ', g.OrderBy(w => w.BoundingBox.Left).Select(w => w.Text)))),
        ];

    [Theory]
    [MemberData(nameof(Houses))]
    public void In_the_packet_no_heading_ends_a_page_and_no_page_holds_one_row(string name)
    {
        var a = House(name);
        foreach (var size in new[] { PaperSize.Letter, PaperSize.A4 })
        {
            var headings = Papers
                .Of(a, "packet", 3, size)
                .Parts.SelectMany(p => p.Blocks.OfType<PaperHeading>().Select(h => h.Text).Append(p.Title));
            var known = headings.ToHashSet();
            using var pdf = PdfDocument.Open(Papers.Make(a, "packet", 3, size));
            foreach (var page in pdf.GetPages())
            {
                var lines = Lines(page);
                known.ShouldNotContain(lines[^1].Text, $"{name}, {size}, page {page.Number} ends with a heading");
                lines.Count.ShouldBeGreaterThan(2, $"{name}, {size}, page {page.Number} holds one row");
            }
        }
    }

    [Theory]
    [InlineData("letter", 612, 792)]
    [InlineData("a4", 595.28, 841.89)]
    [InlineData("a3", 841.89, 1190.55)]
    [InlineData("moon", 612, 792)]
    public void A_page_has_the_size_that_is_asked_for_and_a_plan_the_scale_that_fits(string name, double wide, double tall)
    {
        var villa = Analyzer.Analyze(Planner.PlanAll(BoardSample.Villa()));
        using var pdf = PdfDocument.Open(Papers.Make(villa, "plans", 3, PaperSizes.Of(name)));
        foreach (var page in pdf.GetPages())
            new[] { page.Width, page.Height }.Order().Zip([wide, tall]).ShouldAllBe(p => Math.Abs(p.First - p.Second) < 0.6);
        var text = string.Join(' ', pdf.GetPages().SelectMany(p => p.GetWords()).Select(w => w.Text));
        text.ShouldContain("Scale 1:");
        if (name == "a3")
            text.ShouldContain("Scale 1:50.");
    }

    [Theory]
    [MemberData(nameof(Houses))]
    public void Contents_and_bookmarks_tell_the_page_on_which_a_part_begins(string name)
    {
        var a = House(name);
        var paper = Papers.Of(a, "packet", 3);
        using var pdf = PdfDocument.Open(Papers.Make(a, "packet", 3, PaperSize.Letter));
        pdf.TryGetBookmarks(out var bookmarks).ShouldBeTrue();
        var marks = bookmarks.GetNodes().OfType<DocumentBookmarkNode>().ToList();
        marks.Select(m => m.Title).ShouldBe(paper.Parts.Select(p => p.Title));
        var contents = Lines(pdf.GetPage(1)).Select(l => l.Text).ToList();
        foreach (var mark in marks)
        {
            var title = mark.Title.Length > 20 ? mark.Title[..20] : mark.Title;
            Lines(pdf.GetPage(mark.PageNumber)).Exists(l => l.Text.StartsWith(title, StringComparison.Ordinal)).ShouldBeTrue(mark.Title);
            contents
                .Exists(t => t.StartsWith(title, StringComparison.Ordinal) && t.EndsWith($" {mark.PageNumber}", StringComparison.Ordinal))
                .ShouldBeTrue(mark.Title);
        }
    }
}
