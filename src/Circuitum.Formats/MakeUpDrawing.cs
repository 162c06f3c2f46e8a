using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats;

/// <summary>
/// The panel with its door off, to scale: legs, breakers with their turn, handles and marks, each wire as broad as it is, and the bars with
/// a terminal for every wire.
/// </summary>
public static class MakeUpDrawing
{
    // An inch of the panel. A space is an inch high, a breaker three inches long; the cabinet is of the usual width.
    private const float Inch = 24,
        Side = 268,
        Cabinet = 14.5f * Inch,
        Top = 7.5f * Inch,
        BreakerLong = 3 * Inch,
        Bus = 0.45f * Inch;

    private const float TerminalPitch = 0.5f * Inch,
        BarInset = 0.7f * Inch;

    private const int LongestLabel = 36;

    /// <summary>The drawing of a panel.</summary>
    /// <param name="m">How it is made up.</param>
    public static Drawing Of(MakeUp m)
    {
        var pen = new Pen();
        var (panel, rows) = (m.At.Panel, (m.At.Panel.Spaces + 1) / 2);
        var (left, centre) = (Side, Side + (Cabinet / 2));
        var foot = Top + (rows * Inch) + (0.8f * Inch);
        Supply(pen, m, centre);
        Legs(pen, m.At.Supply, centre, rows);
        foreach (var row in m.At.Schedule.Where(r => r.Free))
            Blank(pen, row, centre, panel);
        foreach (var landing in m.Breakers)
            Breaker(pen, landing, centre, left);
        var bottom = Bar(pen, left + BarInset, foot, m.NeutralTerminals, $"Neutrals: {m.NeutralTerminals} terminals, one wire in each");
        bottom = Bar(
            pen,
            left + BarInset,
            bottom + (0.9f * Inch),
            m.GroundWires,
            $"Grounds: {m.GroundWires} wires, as many in a terminal as its label says"
        );
        if (m.Bonded)
            pen.Line(left + Cabinet - BarInset - 6, foot + 6, left + Cabinet - BarInset - 6, bottom - 6, 4);
        pen.Text(
            left + BarInset,
            bottom + (0.7f * Inch),
            m.Bonded ? "Bonding jumper in: neutral and ground are joined here only" : "No bonding jumper: neutral and ground stay apart",
            11,
            true
        );
        var tall = bottom + (1.2f * Inch);
        pen.Box(left, 1, left + Cabinet, tall, 3);
        return pen.Done("make-up-svg", $"{panel.Name} with its door off", Cabinet + (2 * Side), tall + 2);
    }

    private static void Supply(Pen pen, MakeUp m, float centre)
    {
        var (panel, size) = (m.At.Panel, m.At.Feeder?.Wire?.Size ?? ServiceSize);
        pen.Text(centre, 22, panel.Name.Length > 30 ? panel.Name[..29] + "\u2026" : panel.Name, 14, true, TextSide.Middle);
        pen.Text(centre, 40, m.At.Feeder is { } f ? $"fed by {f.Breaker} A, {f.Made}" : "fed by the service", 10, false, TextSide.Middle);
        foreach (var x in new[] { centre - 14, centre + 14 })
            pen.Line(x, 48, x, 2.6f * Inch, Weight(size));
        if (m.At.Feeder is not null && panel.MainLugs)
        {
            foreach (var x in new[] { centre - 14, centre + 14 })
                pen.Box(x - 9, 2.6f * Inch, x + 9, 3.6f * Inch, 1.5f);
            pen.Text(centre + 32, 3.2f * Inch, "lugs", 11);
        }
        else
        {
            pen.Box(centre - (1.5f * Inch), 2.6f * Inch, centre + (1.5f * Inch), 6.2f * Inch, 1.5f);
            pen.Fill(centre - 7, 4.9f * Inch, centre + 7, 5.6f * Inch);
            pen.Text(centre, 4.2f * Inch, $"{panel.MainBreaker}", 16, true, TextSide.Middle);
        }
    }

    // The two bars, and each row's stab from the one that it is on.
    private static void Legs(Pen pen, Core.Codes.Supply supply, float centre, int rows)
    {
        foreach (var (x, leg) in new[] { (centre - (Bus / 2), "A"), (centre + (Bus / 2), "B") })
        {
            pen.Line(x, Top - (0.8f * Inch), x, Top + (rows * Inch), 2);
            pen.Text(x + (leg == "A" ? -8 : 8), Top - (0.4f * Inch), leg, 11, true, TextSide.Middle);
        }

        for (var r = 0; r < rows; r++)
        {
            var (y, from) = (Top + ((r + 0.5f) * Inch), supply.LineOf((2 * r) + 1) == 0 ? centre - (Bus / 2) : centre + (Bus / 2));
            pen.Line(centre - Bus, y, centre + Bus, y, 0.6f);
            pen.Fill(from - 3, y - 3, from + 3, y + 3);
        }
    }

    private static (float Y, float Tall, float Inner, float Outer) Place(int space, TandemHalf half, int poles, float centre)
    {
        var tall = half == TandemHalf.Whole ? poles * Inch : Inch / 2;
        var y = Top + ((space - 1) / 2 * Inch) + (half == TandemHalf.Lower ? Inch / 2 : 0);
        return space % 2 == 1 ? (y, tall, centre - Bus, centre - Bus - BreakerLong) : (y, tall, centre + Bus, centre + Bus + BreakerLong);
    }

    private static void Blank(Pen pen, PanelRow row, float centre, Panel panel)
    {
        var (y, tall, inner, outer) = Place(row.Space, row.Half, 1, centre);
        var (x0, x1) = (Math.Min(inner, outer), Math.Max(inner, outer));
        pen.Box(x0, y + 1, x1, y + tall - 1, 0.5f);
        pen.Line(x0, y + tall - 1, x1, y + 1, 0.5f);
        var left = row.Space % 2 == 1;
        pen.Text(
            left ? Side - 8 : Side + Cabinet + 8,
            y + (tall / 2) + 4,
            $"{row.Place}  {(row.Half == TandemHalf.Whole && panel.TakesTandem(row.Space) ? "spare, takes a tandem" : "spare")}",
            10,
            false,
            left ? TextSide.End : TextSide.Start
        );
    }

    private static void Breaker(Pen pen, BreakerLanding b, float centre, float leftEdge)
    {
        var (y, tall, inner, outer) = Place(b.Row.Space, b.Row.Half, b.Poles, centre);
        var left = b.Row.Space % 2 == 1;
        var dir = left ? -1 : 1;
        var middle = y + (tall / 2);
        var half = b.Row.Half != TandemHalf.Whole;
        pen.Box(Math.Min(inner, outer), y + 1, Math.Max(inner, outer), y + tall - 1, 1.5f);
        pen.Fill(inner + (dir * 10) - 4, middle - (half ? 3 : 5), inner + (dir * 10) + 8 + (left ? -4 : -4), middle + (half ? 3 : 5));
        if (b.Poles == 2)
            pen.Fill(inner + (dir * 10) - 1, middle - (Inch / 2), inner + (dir * 10) + 1, middle + (Inch / 2));
        pen.Text(inner + (dir * 30), middle + 4, $"{b.Amperes}", half ? 9 : 12, true, TextSide.Middle);
        if (b.Mark.Length > 0)
            pen.Text(inner + (dir * 55), middle + 4, b.Mark, half ? 7 : 8.5f, true, TextSide.Middle);

        // Straight out to the side, as the cables come in.
        var edge = left ? leftEdge : leftEdge + Cabinet;
        for (var p = 0; p < b.Poles; p++)
            pen.Line(
                outer,
                b.Poles == 2 ? y + ((p + 0.5f) * Inch) : middle,
                edge,
                b.Poles == 2 ? y + ((p + 0.5f) * Inch) : middle,
                Weight(b.Size)
            );
        pen.Text(
            outer + (dir * 1.6f * Inch),
            middle
                + (
                    b.Poles == 2 ? 4
                    : half ? -2
                    : -4
                ),
            $"{b.Order}",
            half ? 8 : 10,
            true,
            TextSide.Middle
        );
        if (b.Poles == 2)
            pen.Circle(outer + (dir * 1.6f * Inch), middle, 9);
        var (at, side) = (left ? Side - 8 : Side + Cabinet + 8, left ? TextSide.End : TextSide.Start);
        var label = b.Name.Length > LongestLabel ? b.Name[..(LongestLabel - 1)] + "\u2026" : b.Name;
        if (half)
            pen.Text(at, middle + 3, $"{b.Row.Place}  {label}, {b.Wire}", 8, false, side);
        else
        {
            pen.Text(at, middle - 1, $"{b.Row.Place}  {label}", 10.5f, true, side);
            pen.Text(
                at,
                middle + 9,
                string.Join(
                    ", ",
                    new[] { b.Wire, b.Remark ? "white marked as hot" : "", b.NeutralOnBreaker ? "neutral on breaker" : "" }.Where(t =>
                        t.Length > 0
                    )
                ),
                8.5f,
                false,
                side
            );
        }
    }

    // Two rows of terminals for each bar's length.
    private static float Bar(Pen pen, float x, float y, int terminals, string text)
    {
        var inRow = (int)((Cabinet - (2 * BarInset)) / TerminalPitch) - 1;
        var rows = Math.Max(1, (terminals + inRow - 1) / inRow);
        pen.Text(x, y - 5, text, 10.5f, true);
        pen.Box(x, y, x + Cabinet - (2 * BarInset), y + (rows * TerminalPitch), 1.5f);
        for (var t = 0; t < terminals; t++)
            pen.Circle(x + ((t % inRow) + 0.5f) * TerminalPitch, y + ((t / inRow) + 0.5f) * TerminalPitch, 3.5f);
        return y + (rows * TerminalPitch);
    }

    // A wire's diameter in inches is the root of its circular mils over 1000.
    // Lines of a service are drawn as thick as the usual ones of 200 A.
    private static readonly WireSize ServiceSize = WireSize.Parse("2/0");

    private static float Weight(WireSize size) => MathF.Max(1, MathF.Sqrt(MakeUp.Cmil(size)) / 1000 * Inch);
}
