using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats;

/// <summary>Stickers for the ends of cables and for breakers, on sheets that are sold everywhere or on plain paper to cut.</summary>
public static class StickerSheet
{
    private const float Mm = 72 / 25.4f,
        Inset = 4,
        Least = 5,
        LeastForCode = 50;

    /// <summary>The sheets that are known.</summary>
    public static ImmutableArray<StickerStock> Stocks { get; } =
    [
        new("letter-30", "Letter, 30 of 2-5/8 by 1 in", PaperSize.Letter, 3, 10, 13.5f, 36, 189, 72, 198, 72),
        new("letter-80", "Letter, 80 of 1-3/4 by 1/2 in", PaperSize.Letter, 4, 20, 21.6f, 36, 126, 36, 147.6f, 36),
        new("a4-24", "A4, 24 of 70 by 37 mm", PaperSize.A4, 3, 8, 0, 0.5f * Mm, 70 * Mm, 37 * Mm, 70 * Mm, 37 * Mm),
        new(
            "a4-65",
            "A4, 65 of 38.1 by 21.2 mm",
            PaperSize.A4,
            5,
            13,
            4.7f * Mm,
            10.7f * Mm,
            38.1f * Mm,
            21.2f * Mm,
            40.6f * Mm,
            21.2f * Mm
        ),
    ];

    /// <summary>Two stickers for each home run and each feeder, one for either end.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="code">Gives what a phone opens that scans the sticker of a circuit; none for stickers without codes.</param>
    public static ImmutableArray<Sticker> Cables(JobAnalysis a, Func<int, string>? code = null) =>
        [
            .. a
                .Panels.Where(p => p.Feeder is not null)
                .SelectMany(p =>
                    Twice(
                        new(
                            "F",
                            $"{a.Edition.Word("Feeder")} {a.PanelById(p.Feeder!.From)!.Panel.Name} to {p.Panel.Name}, "
                                + $"{p.Feeder.Breaker} A, {p.Feeder.Made}"
                        )
                    )
                ),
            .. PullList
                .Of(a)
                .SelectMany(g => g.Lines)
                .OrderBy(l => l.Circuit.Number)
                .SelectMany(l => Twice(new($"{l.Circuit.Number}", l.Label) { Code = code?.Invoke(l.Circuit.Number) ?? "" })),
        ];

    /// <summary>One sticker for each breaker, in the order of the spaces.</summary>
    /// <param name="a">The analysis.</param>
    public static ImmutableArray<Sticker> Breakers(JobAnalysis a) =>
        [
            .. a.Panels.SelectMany(p =>
                BoardSheet.Of(a, p) is { } sheet
                    ? sheet.Places.Where(b => !b.Row.Free && !b.GoesOn).Select(b => new Sticker(b.Name, CardLines.Says(a, b.Row)))
                    : p.Schedule.Where(r => !r.Free && !r.SecondPole).Select(r => new Sticker(r.Place, CardLines.Says(a, r)))
            ),
        ];

    /// <summary>The pages.</summary>
    /// <param name="stickers">The stickers.</param>
    /// <param name="stock">The kind of sheet.</param>
    /// <param name="first">The first sticker of the first sheet that is still there, from 1.</param>
    /// <param name="lines">Draw where to cut, for plain paper.</param>
    public static IReadOnlyList<Drawing> Of(IReadOnlyList<Sticker> stickers, StickerStock stock, int first, bool lines)
    {
        var skipped = Math.Clamp(first, 1, stock.Count) - 1;
        var (wide, tall) = stock.Size == PaperSize.A4 ? (595.28f, 841.89f) : (612f, 792f);
        var pages = new List<Drawing>();
        if (stickers.Count == 0)
        {
            // A document needs a page.
            var empty = new Pen();
            empty.Text(wide / 2, tall / 2, "No cables or breakers yet.", 14, false, TextSide.Middle);
            return [empty.Done("sheet-svg", "No stickers yet", wide, tall, trueSize: true)];
        }

        for (var page = 0; page * stock.Count < skipped + stickers.Count; page++)
        {
            var pen = new Pen();
            for (var n = 0; n < stock.Count; n++)
            {
                var i = (page * stock.Count) + n - skipped;
                var (x, y) = (stock.Left + (n % stock.Columns * stock.StepX), stock.Top + (n / stock.Columns * stock.StepY));
                if (lines)
                    pen.Box(x, y, x + stock.Wide, y + stock.Tall, 0.3f);
                if (i >= 0 && i < stickers.Count)
                    Draw(pen, stickers[i], x, y, stock);
            }

            pages.Add(pen.Done("sheet-svg", $"Sheet {page + 1} of stickers", wide, tall, trueSize: true));
        }

        return pages;
    }

    // The number as tall as half the sticker, the rest beside it in the largest letters that fit.
    private static void Draw(Pen pen, Sticker sticker, float x, float y, StickerStock stock)
    {
        // The name of a way is longer than a number; it takes no more room.
        var large = Math.Min(stock.Tall * 0.5f, 26) * (sticker.Number.Length > 3 ? 2.6f / sticker.Number.Length : 1);
        var number = (Math.Max(2, sticker.Number.Length) * large * 0.62f) + Inset;
        var code = sticker.Code.Length > 0 && stock.Tall >= LeastForCode ? stock.Tall - Inset : 0;
        var room = stock.Wide - number - code - (2 * Inset);
        if (code > 0)
            pen.Code(sticker.Code, x + stock.Wide - code - (Inset / 2), y + (Inset / 2), code);
        pen.Text(x + Inset, y + (stock.Tall / 2) + (large * 0.35f), sticker.Number, large, true);
        for (var size = 10f; ; size -= 0.5f)
        {
            var text = Letters.Wrap(sticker.Text, size, false, room);
            var most = Math.Max(1, (int)((stock.Tall - Inset) / (size * 1.15f)));
            if (text.Count > most && size > Least)
                continue;
            if (text.Count > most)
                text = [.. text.Take(most - 1), text[most - 1].TrimEnd() is { Length: > 2 } cut ? $"{cut[..^1]}\u2026" : text[most - 1]];
            var line = y + (stock.Tall / 2) - (text.Count * size * 1.15f / 2) + (size * 0.9f);
            foreach (var t in text)
            {
                pen.Text(x + number + Inset, line, t, size);
                line += size * 1.15f;
            }

            return;
        }
    }

    private static Sticker[] Twice(Sticker sticker) => [sticker, sticker];
}
