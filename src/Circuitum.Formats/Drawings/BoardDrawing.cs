using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// A split board: the main switch at the head, under it the sections side by side, each with its residual-current device and its ways; of
/// each way its three lines one under the other with breaker, circuit, cable and what it serves.
/// </summary>
public sealed class BoardDrawing
{
    private const double Wide = 400;
    private const double Row = 28;
    private const double Way = 8;
    private const double Head = 34;
    private const double Top = 92;

    // From the left edge of a section.
    private const double NameAt = 30;
    private const double BreakerFrom = 60;
    private const double BreakerWide = 66;
    private const double CircuitAt = 148;
    private const double CableAt = 168;
    private const double LabelAt = 236;

    private const double Size = 12;
    private const double Small = 11;

    private readonly JobAnalysis a;
    private readonly BoardSheet sheet;
    private readonly string selected;
    private readonly Pencils pencils;
    private readonly Pen pen = new();

    private BoardDrawing(JobAnalysis a, BoardSheet sheet, string selected) =>
        (this.a, this.sheet, this.selected, pencils) = (a, sheet, selected, new(a));

    /// <summary>Draws a board.</summary>
    /// <param name="a">The analysis of a house with split boards.</param>
    /// <param name="at">The board.</param>
    /// <param name="selected">What is picked, as <c>circuit:N</c> or <c>panel:ID</c>.</param>
    public static Drawing Of(JobAnalysis a, PanelAnalysis at, string selected = "") =>
        new BoardDrawing(a, BoardSheet.Of(a, at)!, selected).Draw();

    private Drawing Draw()
    {
        var panel = sheet.At.Panel;
        var fed = sheet.At.Feeder is { } f ? $"fed by {f.Breaker} A from {a.PanelById(f.From)!.Panel.Name}" : "fed from the intake";
        pen.Text(Wide, 18, $"{Letters.Cut(panel.Name, 15, bold: true, (float)Wide)}, {sheet.Ways} ways, {fed}", 15, true, TextSide.Middle);
        pen.Add(
            new GroupShape(
                Role.Space,
                [
                    new PathShape(Role.Breaker, [.. Step.Rectangle(new(Wide - 90, 28, Wide + 90, 54))]),
                    Word(Wide, 41, $"main switch {panel.MainBreaker} A", Size, TextSide.Middle, bold: true),
                ]
            )
            {
                Data = [("data-pick", $"panel:{panel.Id}")],
            }
        );
        pen.Line(Wide, 54, Wide, Top - 24, 1.2);
        double[] down = [Top, Top];
        for (var s = 0; s < Math.Max(1, sheet.Sections.Length); s++)
        {
            var column = down[0] <= down[1] ? 0 : 1;
            down[column] = Section(s, column * Wide, down[column]) + 22;
        }

        pen.Line(Wide / 2, Top - 24, sheet.Sections.Length > 1 ? Wide * 1.5 : Wide, Top - 24, 1.2);
        return pen.Done("panel-drawing", $"{panel.Name}, {sheet.Ways} ways", 2 * Wide, down.Max());
    }

    private double Section(int index, double left, double top)
    {
        var section = index < sheet.Sections.Length ? sheet.Sections[index] : null;
        if (top <= Top)
            pen.Line(left + (Wide / 2), Top - 24, left + (Wide / 2), top, 1.2);
        pen.Add(new PathShape(Role.Ink, [.. Step.Rectangle(new(left + 6, top, left + Wide - 6, top + Head - 6))]));
        var text = section is null ? "no section" : $"Section {BoardSheet.Letter(index)}: {section.Milliamps} mA residual current";
        pen.Add(Word(left + (Wide / 2), top + 14, text, 13, TextSide.Middle, bold: true));
        var y = top + Head;
        foreach (var way in sheet.Places.Where(p => p.Section == index || (section is null && p.Section is null)).GroupBy(p => p.Way))
        {
            foreach (var place in way)
            {
                Place(place, left, y);
                y += Row;
            }

            y += Way;
        }

        return y;
    }

    private void Place(BoardPlace place, double left, double y)
    {
        var middle = y + (Row / 2);
        if (place.GoesOn)
        {
            pen.Add(Word(left + NameAt, middle, a.Edition.Supply.Names[place.Line], Small, TextSide.Middle, "soft"));
            return;
        }

        var tall = place.Row.Feeder is not null || place.Circuit?.Board?.ThreeLines == true ? Row * a.Edition.Supply.Names.Length : Row;
        middle = y + (tall / 2);
        List<Shape> shapes =
        [
            Word(left + NameAt, y + (Row / 2), place.Name, Size, TextSide.Middle, bold: true),
            new PathShape(
                place.Row.Free ? Role.Spare : Role.Breaker,
                [.. Step.Rectangle(new(left + BreakerFrom, y + 1.5, left + BreakerFrom + BreakerWide, y + tall - 1.5))]
            ),
        ];
        if (place.Row.Feeder is { } feeder)
        {
            shapes.Add(
                Why(
                    $"feeder.{feeder.To}",
                    Word(left + BreakerFrom + (BreakerWide / 2), middle, $"{feeder.Breaker} C", 13, TextSide.Middle, bold: true)
                )
            );
            shapes.AddRange(
                Lines(left + CableAt, middle, $"Sub-main to {a.PanelById(feeder.To)!.Panel.Name}, {feeder.Made}", Wide - CableAt, 3)
            );
        }
        else if (place.Circuit is { } c)
            shapes.AddRange(Circuit(c, left, middle));
        else
            shapes.Add(Word(left + CableAt, middle, "spare", Size, TextSide.Start, "soft"));
        pen.Add(
            new GroupShape(Role.Space, [.. shapes])
            {
                State = place.Circuit is { } own && selected == $"circuit:{own.Number}" ? "picked" : "",
                Data = Handles(place),
            }
        );
    }

    private IEnumerable<Shape> Circuit(CircuitAnalysis c, double left, double middle)
    {
        var pencil = pencils.Of(c);
        yield return Why(
            $"circuit.{c.Number}.wire",
            Word(left + BreakerFrom + (BreakerWide / 2), middle, $"{c.Breaker} {c.Board!.Curve}", 13, TextSide.Middle, bold: true)
        );
        yield return new PathShape(Role.Tag, [.. Step.Rectangle(Area.Around(left + CircuitAt, middle, 26, 18))])
        {
            State = "box",
            Pencil = pencil,
        };
        yield return new TextShape(
            Role.Tag,
            left + CircuitAt,
            middle + TextWidths.Line(Size),
            c.Number.ToString(CultureInfo.InvariantCulture),
            Size
        )
        {
            Bold = true,
            Pencil = pencil,
        };
        var form = BoardLines.Form(c);
        var size = c.Wire is null ? "none" : $"{c.Wire.Size}";
        if (form.Length == 0)
            yield return Why($"circuit.{c.Number}.run", Word(left + CableAt, middle, size, Small, TextSide.Start, "soft"));
        else
            yield return Why(
                $"circuit.{c.Number}.run",
                Word(left + CableAt, middle - 6, size, Small, TextSide.Start, "soft"),
                Word(left + CableAt, middle + 7, form, Small, TextSide.Start, "soft")
            );
        foreach (var shape in Lines(left + LabelAt, middle, c.Label, Wide - LabelAt - 8, 2))
            yield return shape;
    }

    private static ImmutableArray<(string, string)> Handles(BoardPlace place) =>
        place.Circuit is { } c ? [("data-space", place.Row.Place), ("data-pick", $"circuit:{c.Number}")]
        : place.Row.Feeder is { } f ? [("data-space", place.Row.Place), ("data-pick", $"panel:{f.To}")]
        : [("data-space", place.Row.Place)];

    private static IEnumerable<Shape> Lines(double x, double middle, string text, double wide, int most)
    {
        var lines = Letters.Lines(text, (float)Small, (float)wide, most);
        return lines.Select(
            (line, i) => (Shape)Word(x, middle + ((i - ((lines.Count - 1) / 2.0)) * (Small + 2)), line, Small, TextSide.Start)
        );
    }

    private static GroupShape Why(string key, params ImmutableArray<Shape> shapes) => new(Role.Why, shapes) { Data = [("data-why", key)] };

    private static TextShape Word(double x, double middle, string text, double size, TextSide side, string state = "", bool bold = false) =>
        new(Role.Words, x, middle + TextWidths.Line(size), text, size)
        {
            Side = side,
            State = state,
            Bold = bold,
        };
}
