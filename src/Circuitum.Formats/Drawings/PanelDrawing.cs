using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// The spaces of a panel with their breakers: outermost what each serves, then its wire, the number of its circuit, the breaker, and
/// beside the bars the number of the space.
/// </summary>
public sealed class PanelDrawing
{
    private const double Row = 34;
    private const double Top = 58;
    private const double Centre = 400;

    // From the centre outwards: bars, number of the space, breaker, circuit, wire, what it serves.
    private const double SpaceAt = 34;
    private const double BreakerFrom = 52;
    private const double BreakerWide = 76;
    private const double CircuitAt = 149;
    private const double WireFrom = 168;
    private const double LabelFrom = 226;
    private const double BusAt = 10;

    private const double LabelSize = 12;
    private const double Small = 11;

    private readonly JobAnalysis a;
    private readonly PanelAnalysis at;
    private readonly string selected;
    private readonly Pencils pencils;
    private readonly Pen pen = new();

    private PanelDrawing(JobAnalysis a, PanelAnalysis at, string selected) =>
        (this.a, this.at, this.selected, pencils) = (a, at, selected, new(a));

    /// <summary>Draws a panel.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="panel">Which one; none draws the one at the service.</param>
    /// <param name="selected">What is picked, as <c>circuit:N</c> or <c>panel:ID</c>.</param>
    public static Drawing Of(JobAnalysis a, string? panel = null, string selected = "")
    {
        if (a.PanelById(panel) is { } at)
            return new PanelDrawing(a, at, selected).Draw();
        var empty = new Pen();
        empty.Text(Centre, Top, "No panel yet", 14, bold: true, TextSide.Middle);
        return empty.Done("panel-drawing", "No panel", 2 * Centre, 2 * Top);
    }

    private Drawing Draw()
    {
        var rows = (at.Panel.Spaces + 1) / 2;
        Heading();
        Bars(rows);
        foreach (var row in at.Schedule)
            Space(row);
        var label = $"{at.Panel.Name}, {at.Panel.Spaces} spaces";
        return pen.Done("panel-drawing", label, 2 * Centre, Top + (rows * Row) + 10);
    }

    private void Heading()
    {
        var fed = at.Feeder is { } feeder
            ? $"fed by {feeder.Breaker} A from {a.PanelById(feeder.From)!.Panel.Name}"
            : $"{at.Panel.MainBreaker} A main";
        pen.Text(Centre, 18, $"{Letters.Cut(at.Panel.Name, 15, bold: true, (float)Centre)}, {fed}", 15, bold: true, TextSide.Middle);
        foreach (var side in new[] { -1, 1 })
        {
            Head(side * LabelFrom, "serves", side < 0 ? TextSide.End : TextSide.Start);
            Head(side * WireFrom, "wire", side < 0 ? TextSide.End : TextSide.Start);
            Head(side * CircuitAt, "circuit");
            Head(side * (BreakerFrom + (BreakerWide / 2)), "breaker");
            Head(side * SpaceAt, "space");
        }

        Head(0, a.Edition.Supply.Line);
    }

    private void Head(double from, string text, TextSide side = TextSide.Middle) =>
        pen.Add(new TextShape(Role.Words, Centre + from, Top - 10, text, Small) { Side = side, State = "soft" });

    // The bars, with the letter of the line that each row is on.
    private void Bars(int rows)
    {
        var names = a.Edition.Supply.Names;
        for (var r = 0; r < rows; r++)
        {
            var (y, line) = (Top + ((r + 0.5) * Row), a.Edition.Supply.LineOf((2 * r) + 1));
            pen.Line(Centre - BreakerFrom, y, Centre - SpaceAt - 8, y, 0.8);
            pen.Line(Centre + SpaceAt + 8, y, Centre + BreakerFrom, y, 0.8);
            pen.Add(
                new PathShape(Role.Ink, [.. Step.Circle(Centre, y, 9)]),
                new TextShape(Role.Words, Centre, y + TextWidths.Line(Small), names[line], Small) { Side = TextSide.Middle, Bold = true }
            );
            if (r > 0)
                pen.Line(Centre, y - Row + 9, Centre, y - 9, 0.8);
        }
    }

    private void Space(PanelRow row)
    {
        var left = row.Space % 2 == 1;
        var half = row.Half != TandemHalf.Whole;
        var y = Top + ((row.Space - 1) / 2 * Row) + (row.Half == TandemHalf.Lower ? Row / 2 : 0);
        var size = half ? Small : LabelSize;
        var middle = y + ((half ? Row / 2 : Row) / 2);
        pen.Add(new TextShape(Role.Words, Out(left, SpaceAt), middle + TextWidths.Line(size), row.Place, size) { Side = TextSide.Middle });
        if (row.SecondPole)
            return;
        var tall =
            row.Circuit?.Poles == 2 || row.Feeder is not null ? 2 * Row
            : half ? Row / 2
            : Row;
        middle = y + (tall / 2);
        var shapes = Breaker(row, left, y, tall, half);
        if (row.Feeder is { } fed)
        {
            shapes.Add(Why($"feeder.{fed.To}", [Rating(left, middle, $"{fed.Breaker}", false)]));
            shapes.AddRange(Words(left, middle, tall, $"Feeder to {a.PanelById(fed.To)!.Panel.Name}, {fed.Made}", LabelFrom - 60));
        }
        else if (row.Circuit is { } c)
            shapes.AddRange(Circuit(c, left, middle, tall, half));
        else
            shapes.Add(Text(left, LabelFrom, middle, "spare", half ? Small : LabelSize, "soft"));
        pen.Add(
            new GroupShape(Role.Space, [.. shapes])
            {
                State = row.Circuit is { } own && selected == $"circuit:{own.Number}" ? "picked" : "",
                Data = Handles(row),
            }
        );
    }

    private static System.Collections.Immutable.ImmutableArray<(string, string)> Handles(PanelRow row) =>
        row.Circuit is { } c ? [("data-space", row.Place), ("data-pick", $"circuit:{c.Number}")]
        : row.Feeder is { } f ? [("data-space", row.Place), ("data-pick", $"panel:{f.To}")]
        : [("data-space", row.Place)];

    private List<Shape> Breaker(PanelRow row, bool left, double y, double tall, bool half)
    {
        var gap = half ? 0.75 : 1.5;
        var (x0, x1) = (Out(left, BreakerFrom), Out(left, BreakerFrom + BreakerWide));
        var body = new Area(Math.Min(x0, x1), y + gap, Math.Max(x0, x1), y + tall - gap);
        List<Shape> shapes = [new PathShape(row.Free ? Role.Spare : Role.Breaker, [.. Step.Rectangle(body)])];

        // Where the panel's listing lets two breakers share the space, its edge is notched.
        if (row.Free && !half && at.Panel.TakesTandem(row.Space))
        {
            var (edge, into, at) = (Out(left, BreakerFrom + BreakerWide), Out(left, BreakerFrom + BreakerWide - 7), y + (tall / 2));
            shapes.Add(new PathShape(Role.Ink, [Step.From(edge, at - 5), Step.To(into, at), Step.To(edge, at + 5)]));
        }

        if (row.Free)
            return shapes;
        var (h0, h1) = (Out(left, BreakerFrom + 8), Out(left, BreakerFrom + 24));
        var deep = half ? 3.5 : 5;
        shapes.Add(
            new PathShape(
                Role.Handle,
                [.. Step.Rectangle(new(Math.Min(h0, h1), y + (tall / 2) - deep, Math.Max(h0, h1), y + (tall / 2) + deep))]
            )
        );
        return shapes;
    }

    private IEnumerable<Shape> Circuit(CircuitAnalysis c, bool left, double middle, double tall, bool half)
    {
        var number = c.Number.ToString(CultureInfo.InvariantCulture);
        var pencil = pencils.Of(c);
        var high = half ? 14.5 : 19;
        yield return Why($"circuit.{c.Number}.wire", [Rating(left, middle, $"{c.Breaker}", half)]);
        yield return new PathShape(Role.Tag, [.. Step.Rectangle(Area.Around(Out(left, CircuitAt), middle, 26, high))])
        {
            State = "box",
            Pencil = pencil,
        };
        yield return new TextShape(Role.Tag, Out(left, CircuitAt), middle + TextWidths.Line(LabelSize), number, LabelSize)
        {
            Bold = true,
            Pencil = pencil,
        };
        var mark = c.Protection.BreakerMark;
        var lines =
            mark.Length == 0 ? [$"{c.Cable}"]
            : half ? [$"{c.Cable} {mark}"]
            : new[] { $"{c.Cable}", mark };
        yield return Why(
            $"circuit.{c.Number}.run",
            [.. lines.Select((line, i) => Text(left, WireFrom, middle + ((i - ((lines.Length - 1) / 2.0)) * 13), line, Small, "soft"))]
        );
        foreach (var shape in Words(left, middle, tall, c.Label, LabelFrom + (half && mark.Length > 0 ? 14 : 0)))
            yield return shape;
    }

    // Two lines where the space is tall enough, before anything is cut.
    private static IEnumerable<Shape> Words(bool left, double middle, double tall, string text, double from)
    {
        var size = tall < Row ? Small : LabelSize;
        var most =
            tall < Row ? 1
            : tall > Row ? 4
            : 2;
        var lines = Letters.Lines(text, (float)size, (float)(Centre - from - 2), most);
        return lines.Select((line, i) => Text(left, from, middle + ((i - ((lines.Count - 1) / 2.0)) * (size + 2)), line, size));
    }

    private static TextShape Rating(bool left, double middle, string amperes, bool half)
    {
        var size = half ? LabelSize : 14;
        return new(Role.Words, Out(left, BreakerFrom + 48), middle + TextWidths.Line(size), amperes, size)
        {
            Side = TextSide.Middle,
            Bold = true,
        };
    }

    private static GroupShape Why(string key, System.Collections.Immutable.ImmutableArray<Shape> shapes) =>
        new(Role.Why, shapes) { Data = [("data-why", key)] };

    private static TextShape Text(bool left, double from, double middle, string text, double size, string state = "") =>
        new(Role.Words, Out(left, from), middle + TextWidths.Line(size), text, size)
        {
            Side = left ? TextSide.End : TextSide.Start,
            State = state,
        };

    private static double Out(bool left, double from) => left ? Centre - from : Centre + from;
}
