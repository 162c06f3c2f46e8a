using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats;

/// <summary>The directory that goes into the panel's door, in its true size (408.4). Measures in points, 72 to the inch.</summary>
public static class DirectoryCard
{
    private const float Margin = 8,
        Number = 20,
        Least = 5.5f,
        Largest = 10;

    /// <summary>The cards of a panel: one, or several where the letters would become too small to read.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="at">The panel.</param>
    /// <param name="foot">Stands at the foot of each card.</param>
    public static IReadOnlyList<Drawing> Of(JobAnalysis a, PanelAnalysis at, string foot)
    {
        var (wide, tall) = ((float)at.Panel.CardWide.InInches * 72, (float)at.Panel.CardTall.InInches * 72);
        var rows = (at.Panel.Spaces + 1) / 2;
        for (var cards = 1; ; cards++)
        {
            var each = (rows + cards - 1) / cards;
            var parts = Enumerable
                .Range(0, cards)
                .Select(n => (From: n * each, To: Math.Min(rows, (n + 1) * each)))
                .Where(p => p.From < p.To)
                .ToList();
            var size = parts.Min(p => Fit(a, at, p, wide, tall));
            if (size >= Least || each <= 2)
                return [.. parts.Select(p => Card(a, at, p, Math.Max(Least, size), wide, tall, foot, parts.Count > 1))];
        }
    }

    /// <summary>What the directory says of a space: its circuit, its feeder, or that it is spare.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="row">The space, or the half of it.</param>
    public static string Says(JobAnalysis a, PanelRow row) =>
        row.Feeder is { } fed ? $"Feeder to {a.PanelById(fed.To)!.Panel.Name}"
        : row.Circuit is { } c ? c.Label
        : "Spare";

    private static string Amperes(PanelRow row) =>
        row.SecondPole ? ""
        : row.Feeder is { } fed ? $"{fed.Breaker}"
        : row.Circuit is { } c ? $"{c.Breaker}"
        : "";

    // The largest letters, by halves of a point, with which all rows have room; 0 when none are small enough.
    private static float Fit(JobAnalysis a, PanelAnalysis at, (int From, int To) part, float wide, float tall)
    {
        for (var size = Largest; size >= Least; size -= 0.5f)
        {
            var used = Head(size) + Foot(size) + Enumerable.Range(part.From, part.To - part.From).Sum(r => Tall(a, at, r, size, wide));
            if (used <= tall)
                return size;
        }

        return 0;
    }

    private static float Head(float size) => (2 * Margin) + (size * 3.4f);

    private static float Foot(float size) => 14 + (size * 0.4f);

    private static float Room(float wide) => ((wide - (2 * Margin)) / 2) - (2 * Number) - 2;

    private static List<List<string>> Cells(JobAnalysis a, PanelAnalysis at, int space, float size, float wide) =>
        [
            .. at
                .Schedule.Where(r => r.Space == space)
                .Select(r => Letters.Wrap(r.SecondPole ? $"with {r.Space - 2}" : Says(a, r), size, false, Room(wide))),
        ];

    private static float Tall(JobAnalysis a, PanelAnalysis at, int row, float size, float wide) =>
        (Math.Max(1, Enumerable.Range((2 * row) + 1, 2).Max(s => Cells(a, at, s, size, wide).Sum(c => c.Count))) * size * 1.15f)
        + (size * 0.35f);

    private static Drawing Card(
        JobAnalysis a,
        PanelAnalysis at,
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
        pen.Text(
            Margin,
            Margin + size + 2,
            several ? $"{name}, spaces {(2 * part.From) + 1} to {Math.Min(2 * part.To, at.Panel.Spaces)}" : name,
            size + 2,
            true
        );
        pen.Text(Margin, Margin + (size * 2.5f), Letters.Wrap(Source(a, at), size * 0.9f, false, wide - (2 * Margin))[0], size * 0.9f);
        var (y, middle) = (Head(size), wide / 2);

        // Rows spread over what is left of the card, a line's height each at most.
        var rows = part.To - part.From;
        var spread = Math.Min(
            size,
            Math.Max(0, tall - Head(size) - Foot(size) - Enumerable.Range(part.From, rows).Sum(r => Tall(a, at, r, size, wide))) / rows
        );
        for (var r = part.From; r < part.To; r++)
        {
            var high = Tall(a, at, r, size, wide) + spread;
            pen.Line(Margin, y, wide - Margin, y, 0.4f);
            foreach (var space in new[] { (2 * r) + 1, (2 * r) + 2 })
            {
                var left = space % 2 == 1;
                var (x, line) = (left ? Margin : middle, y + (size * 1.1f) + (spread / 2));
                foreach (var (row, lines) in at.Schedule.Where(s => s.Space == space).Zip(Cells(a, at, space, size, wide)))
                {
                    pen.Text(x + Number - 3, line, row.Place, row.Half == TandemHalf.Whole ? size : size * 0.85f, true, TextSide.End);
                    pen.Text(left ? middle - 3 : wide - Margin, line, Amperes(row), size, false, TextSide.End);
                    foreach (var text in lines)
                    {
                        pen.Text(x + Number, line, text, size);
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

    // Where a sub-panel is fed from belongs on it (408.4(B)).
    private static string Source(JobAnalysis a, PanelAnalysis at) =>
        at.Feeder is { } f
            ? $"{a.Edition.Supply.Name}, {f.Breaker} A. Fed from {a.PanelById(f.From)!.Panel.Name}, "
                + $"{a.Job.RoomById(a.PanelById(f.From)!.Panel.Room)?.Name}, spaces "
                + $"{string.Join(" and ", a.PanelById(f.From)!.Schedule.Where(r => r.Feeder == f).Select(r => r.Space))}"
            : $"{a.Edition.Supply.Name}, {at.Panel.MainBreaker} A main. Fed from the service";
}
