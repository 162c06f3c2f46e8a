using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Tests;

/// <summary>What goes on the door, the breakers and the cables: in true size, whole, and readable.</summary>
public class DoorPapersTests
{
    private static readonly JobAnalysis A = Analyzer.Analyze(
        Planner.PlanSpaces(
            new PutOnWall("sub-panel", "sitting", 0, Length.Feet(2), default)
                .Apply(Planner.PlanAll(JobFileTests.Demo("tamarack-row.json")))
                .Job!,
            afresh: true
        )
    );

    private static IEnumerable<Stroke> Texts(Drawing d) => Stroke.Of(d).Where(s => s.Kind == StrokeKind.Text);

    private static JobAnalysis WithCard(double wide, double tall) =>
        Analyzer.Analyze(new EditPanel("main", new() { CardWide = Length.Inches(wide), CardTall = Length.Inches(tall) }).Apply(A.Job).Job!);

    [Theory]
    [InlineData(5, 9)]
    [InlineData(3.5, 7)]
    [InlineData(7, 4)]
    [InlineData(3, 4)]
    public void A_card_has_its_true_size_and_says_every_space_in_letters_that_can_be_read(double wide, double tall)
    {
        var a = WithCard(wide, tall);
        var cards = DirectoryCard.Of(a, a.Panels[0], "foot");
        foreach (var card in cards)
        {
            (card.Extent.Wide, card.Extent.Tall).ShouldBe((wide * 72, tall * 72));
            Texts(card).ShouldAllBe(t => t.X1 >= 4.6 && t.X0 >= 0 && t.X0 <= card.Extent.Wide);
            Texts(card).ShouldAllBe(t => t.Y0 <= card.Extent.Tall - 5);
            System
                .Text.RegularExpressions.Regex.Match(SvgWriter.Text(card), "width=\"(\\d+)pt\"")
                .Groups[1]
                .Value.ShouldBe($"{wide * 72:0}");
        }

        var said = string.Join(' ', cards.SelectMany(Texts).Select(t => t.Text));
        for (var s = 1; s <= a.Panels[0].Panel.Spaces; s++)
            cards.SelectMany(Texts).Count(t => t.Bold && t.Text == $"{s}").ShouldBe(1);
        foreach (var c in a.Circuits.Where(c => c.Panel == "main"))
            said.ShouldContain(c.Label.Split(' ')[0]);
        cards.SelectMany(Texts).Count(t => t.Text == "Spare").ShouldBe(a.Panels[0].Panel.Spaces - a.Panels[0].SpacesUsed);
        if (wide >= 5 && tall >= 9)
            cards.Count.ShouldBe(1);
    }

    [Fact]
    public void A_sub_panel_s_card_says_where_it_is_fed_from()
    {
        var card = DirectoryCard.Of(A, A.Panels[1], "foot").Single();
        var spaces = A.Panels[0].Schedule.Where(r => r.Feeder is not null).Select(r => r.Space).ToList();
        Texts(card).ShouldContain(t => t.Text.Contains($"Fed from Main panel") && t.Text.Contains($"spaces {spaces[0]} and {spaces[1]}"));
        new EditPanel("main", new() { CardTall = Length.Inches(12) }).Apply(A.Job).Problem.ShouldContain("outside");
    }

    [Fact]
    public void Labels_are_written_all_at_once_and_taken_back()
    {
        var c = A.Circuits[0];
        var job = new SetLabels(
            System
                .Collections.Immutable.ImmutableSortedDictionary<int, string>.Empty.Add(c.Number, " Range beside the west window ")
                .Add(A.Circuits[1].Number, "")
        )
            .Apply(A.Job)
            .Job!;
        Analyzer.Analyze(job).CircuitByNumber(c.Number)!.Label.ShouldBe("Range beside the west window");
        Analyzer
            .Analyze(
                new SetLabels(System.Collections.Immutable.ImmutableSortedDictionary<int, string>.Empty.Add(c.Number, " ")).Apply(job).Job!
            )
            .CircuitByNumber(c.Number)!
            .Label.ShouldBe(c.Label);
        new SetLabels(System.Collections.Immutable.ImmutableSortedDictionary<int, string>.Empty.Add(77, "x"))
            .Apply(job)
            .Problem.ShouldContain("no circuit 77");
        new SetLabels(System.Collections.Immutable.ImmutableSortedDictionary<int, string>.Empty.Add(c.Number, new string('x', 121)))
            .Apply(job)
            .Problem.ShouldContain($"Label of circuit {c.Number}: it has 121 characters");
    }

    [Fact]
    public void Each_cable_has_two_stickers_and_each_breaker_one_and_all_lie_on_their_places()
    {
        var (cables, breakers) = (StickerSheet.Cables(A), StickerSheet.Breakers(A));
        cables.Length.ShouldBe(2 * (A.Circuits.Count(c => !c.Carried) + 1));
        breakers.Length.ShouldBe(A.Circuits.Length + 1);
        foreach (var stock in StickerSheet.Stocks)
        {
            foreach (var first in new[] { 1, 7, stock.Count, 9999 })
            {
                var pages = StickerSheet.Of(cables, stock, first, lines: false);
                pages.Count.ShouldBe((Math.Min(first, stock.Count) - 1 + cables.Length + stock.Count - 1) / stock.Count);
                var places = new HashSet<(int, int, int)>();
                foreach (var (page, p) in pages.Select((page, p) => (page, p)))
                {
                    foreach (var text in Texts(page))
                    {
                        var (column, row) = ((int)((text.X0 - stock.Left) / stock.StepX), (int)((text.Y0 - stock.Top) / stock.StepY));
                        places.Add((p, column, row));
                        (text.Y0 - stock.Top - (row * stock.StepY)).ShouldBeInRange(2, stock.Tall);
                        (text.X0 + Letters.Font(text.Bold, (float)text.X1).MeasureText(text.Text)).ShouldBeLessThanOrEqualTo(
                            stock.Left + (column * stock.StepX) + stock.Wide + 0.1f
                        );
                    }
                }

                places.Count.ShouldBe(cables.Length);
            }

            // The last one of a row and of a column is still on the page.
            var (wide, tall) = stock.Size == PaperSize.A4 ? (595.28f, 841.89f) : (612f, 792f);
            (stock.Left + ((stock.Columns - 1) * stock.StepX) + stock.Wide).ShouldBeLessThanOrEqualTo(wide + 0.1f);
            (stock.Top + ((stock.Rows - 1) * stock.StepY) + stock.Tall).ShouldBeLessThanOrEqualTo(tall + 0.1f);
        }

        StickerSheet.Of([], StickerSheet.Stocks[0], 1, lines: true).Single().Layers[0].Shapes.ShouldNotBeEmpty();
        System
            .Text.Encoding.Latin1.GetString(PdfSheet.Make("x", StickerSheet.Of(breakers, StickerSheet.Stocks[1], 1, lines: true)))
            .ShouldContain("/FontFile2");
    }
}
