using Circuitum.Core.Analysis;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats;

/// <summary>The directory that goes into the panel's door, in its true size (408.4). Measures in points, 72 to the inch.</summary>
public static class DirectoryCard
{
    private const float Margin = 8,
        Least = 5.5f,
        Largest = 10;

    /// <summary>The cards of a panel: one, or several where the letters would become too small to read.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="at">The panel.</param>
    /// <param name="foot">Stands at the foot of each card.</param>
    public static IReadOnlyList<Drawing> Of(JobAnalysis a, PanelAnalysis at, string foot)
    {
        var (wide, tall) = ((float)at.Panel.CardWide.InInches * 72, (float)at.Panel.CardTall.InInches * 72);
        var lines = CardLines.Of(a, at);
        for (var cards = 1; ; cards++)
        {
            var each = (lines.Rows + cards - 1) / cards;
            var parts = Enumerable
                .Range(0, cards)
                .Select(n => (From: n * each, To: Math.Min(lines.Rows, (n + 1) * each)))
                .Where(p => p.From < p.To)
                .ToList();
            var size = parts.Min(p => Fit(lines, p, wide, tall));
            if (size >= Least || each <= 2)
                return [.. parts.Select(p => Card(a, at, lines, p, Math.Max(Least, size), wide, tall, foot, parts.Count > 1))];
        }
    }

    // The largest letters, by halves of a point, with which all rows have room; 0 when none are small enough.
    private static float Fit(CardLines lines, (int From, int To) part, float wide, float tall)
    {
        for (var size = Largest; size >= Least; size -= 0.5f)
        {
            var used =
                Head(size) + Foot(size) + Enumerable.Range(part.From, part.To - part.From).Sum(r => Tall(lines, part, r, size, wide));
            if (used <= tall)
                return size;
        }

        return 0;
    }

    private static float Head(float size) => (2 * Margin) + (size * 3.4f);

    private static float Foot(float size) => 14 + (size * 0.4f);

    private static float Room(CardLines lines, float wide) => ((wide - (2 * Margin)) / 2) - lines.Number - 22;

    private static List<List<string>> Cells(CardLines lines, (int From, int To) part, int row, bool right, float size, float wide) =>
        [.. lines.At(part, row, right).Select(l => Letters.Wrap(l.Text, size, false, Room(lines, wide)))];

    private static float Tall(CardLines lines, (int From, int To) part, int row, float size, float wide)
    {
        int Of(bool right) => Cells(lines, part, row, right, size, wide).Sum(c => c.Count);
        return (Math.Max(1, Math.Max(Of(false), Of(true))) * size * 1.15f) + (size * 0.35f);
    }

    private static Drawing Card(
        JobAnalysis a,
        PanelAnalysis at,
        CardLines lines,
        (int From, int To) part,
        float size,
        float wide,
        float tall,
        string foot,
        bool several
    )
    {
        var pen = new Pen();
        pen.Box(0.5f, 0.5f, wide - 0.5f, tall - 0.5f, 0.7f);
        var name = Letters.Wrap(at.Panel.Name, size + 2, true, wide - (2 * Margin))[0];
        pen.Text(Margin, Margin + size + 2, several ? $"{name}, {lines.Span(part)}" : name, size + 2, true);
        pen.Text(Margin, Margin + (size * 2.5f), Letters.Wrap(lines.Source, size * 0.9f, false, wide - (2 * Margin))[0], size * 0.9f);
        var (y, middle) = (Head(size), wide / 2);

        // Rows spread over what is left of the card, a line's height each at most.
        var rows = part.To - part.From;
        var spread = Math.Min(
            size,
            Math.Max(0, tall - Head(size) - Foot(size) - Enumerable.Range(part.From, rows).Sum(r => Tall(lines, part, r, size, wide)))
                / rows
        );
        for (var r = part.From; r < part.To; r++)
        {
            var high = Tall(lines, part, r, size, wide) + spread;
            pen.Line(Margin, y, wide - Margin, y, 0.4f);
            foreach (var right in new[] { false, true })
            {
                var (x, line) = (right ? middle : Margin, y + (size * 1.1f) + (spread / 2));
                foreach (var (told, texts) in lines.At(part, r, right).Zip(Cells(lines, part, r, right, size, wide)))
                {
                    pen.Text(x + lines.Number - 3, line, told.Place, told.Half ? size * 0.85f : size, true, TextSide.End);
                    pen.Text(right ? wide - Margin : middle - 3, line, told.Amperes, size, false, TextSide.End);
                    foreach (var text in texts)
                    {
                        pen.Text(x + lines.Number, line, text, size);
                        line += size * 1.15f;
                    }
                }
            }

            y += high;
        }

        pen.Line(Margin, y, wide - Margin, y, 0.4f);
        pen.Line(middle, Head(size), middle, y, 0.4f);
        pen.Text(Margin, tall - 6, Letters.Wrap(foot, 5.5f, false, wide - (2 * Margin))[0], 5.5f);
        return pen.Done("card-svg", $"Directory card of {at.Panel.Name}", wide, tall, trueSize: true);
    }
}
