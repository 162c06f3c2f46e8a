using System.Globalization;
using System.Text;
using System.Xml;
using Circuitum.Core.Analysis;

namespace Circuitum.Formats;

/// <summary>Draws the panel's spaces with breakers, handles, legs and labels.</summary>
public static class ScheduleSvg
{
    private const double Row = 30;
    private const double Centre = 420;

    private const string Styles =
        "text{font-family:sans-serif;fill:#1c1a17}.breaker{fill:#fffdf8;stroke:#1c1a17;stroke-width:1.5}"
        + ".spare{fill:none;stroke:#6b6559;stroke-dasharray:4 "
        + "3}.handle{fill:#1c1a17}.notch{fill:none;stroke:#6b6559}.leg{fill:none;stroke:#6b6559;stroke-width:1}.tag{font-weight:700}";

    /// <summary>Draws the panel.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="standAlone">Carries its own styles, for a file.</param>
    /// <param name="selected">A picked circuit, as <c>circuit:N</c>.</param>
    /// <param name="panel">Which panel; none draws the one at the service.</param>
    public static string Draw(JobAnalysis a, bool standAlone = true, string selected = "", string? panel = null)
    {
        var at = a.PanelById(panel);
        var schedule = at?.Schedule ?? [];
        var text = new StringBuilder();
        using var w = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true });
        var rows = ((at?.Panel.Spaces ?? 0) + 1) / 2;
        w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
        w.WriteAttributeString("viewBox", $"0 0 {2 * Centre} {PlanSvg.N((rows * Row) + 46)}");
        w.WriteAttributeString("class", "panel-drawing");
        w.WriteAttributeString("role", "group");
        w.WriteAttributeString("aria-label", at is null ? "No panel" : $"{at.Panel.Name}, {at.Panel.Spaces} spaces");
        if (standAlone)
            w.WriteElementString("style", Styles);
        PlanSvg.Text(
            w,
            "tag",
            Centre,
            18,
            15,
            at is null
                ? "No panel"
                : $"{at.Panel.Name}, "
                    + (
                        at.Feeder is { } feeder
                            ? $"fed by {feeder.Breaker} A from {a.PanelById(feeder.From)!.Panel.Name}"
                            : $"{at.Panel.MainBreaker} A main"
                    )
        );
        foreach (var row in schedule)
            Space(w, a, at!, row, selected);
        for (var r = 0; r < rows; r++)
            PlanSvg.Text(w, "leg-mark", Centre, 36 + (r * Row) + 19, 11, r % 2 == 0 ? "A" : "B");
        w.WriteEndElement();
        w.Flush();
        return text.ToString();
    }

    private static void Space(XmlWriter w, JobAnalysis a, PanelAnalysis at, PanelRow row, string selected)
    {
        var left = row.Space % 2 == 1;
        var shared = row.Half != Core.Jobs.TandemHalf.Whole;
        var y = 34 + ((row.Space - 1) / 2 * Row) + (row.Half == Core.Jobs.TandemHalf.Lower ? Row / 2 : 0);
        var x = left ? Centre - 120 : Centre + 14;
        PlanSvg.Text(w, "space-number", left ? Centre - 112 : Centre + 112, y + (shared ? 12 : 19), shared ? 10 : 12, row.Place);
        if (row.SecondPole)
            return;
        var c = row.Circuit;
        w.WriteStartElement("g");
        w.WriteAttributeString("class", $"space{(c is not null && selected == $"circuit:{c.Number}" ? " picked" : "")}");
        w.WriteAttributeString("data-space", row.Place);
        if (c is not null)
            w.WriteAttributeString("data-pick", $"circuit:{c.Number}");
        if (row.Feeder is { } fed)
            w.WriteAttributeString("data-pick", $"panel:{fed.To}");
        var height =
            (
                c?.Poles == 2 || row.Feeder is not null ? 2
                : shared ? 0.5
                : 1
            ) * Row;
        var bx = left ? x + 22 : x;
        PlanSvg.Shape(
            w,
            "rect",
            row.Free ? "spare" : "breaker",
            ("x", PlanSvg.N(bx)),
            ("y", PlanSvg.N(y + (shared ? 0.75 : 1.5))),
            ("width", "84"),
            ("height", PlanSvg.N(height - (shared ? 1.5 : 3))),
            ("rx", "2")
        );

        // Where the panel's listing lets two breakers share the space, its edge is notched.
        if (!shared && row.Free && at.Panel.TakesTandem(row.Space))
            PlanSvg.Shape(
                w,
                "path",
                "notch",
                ("d", left ? $"M{PlanSvg.N(bx)} {PlanSvg.N(y + 11)}l7 4l-7 4" : $"M{PlanSvg.N(bx + 84)} {PlanSvg.N(y + 11)}l-7 4l7 4")
            );
        if (row.Feeder is { } feeder)
        {
            PlanSvg.Shape(
                w,
                "rect",
                "handle",
                ("x", PlanSvg.N(left ? bx + 60 : bx + 8)),
                ("y", PlanSvg.N(y + (height / 2) - 5)),
                ("width", "16"),
                ("height", "10"),
                ("rx", "1.5")
            );
            w.WriteStartElement("g");
            w.WriteAttributeString("data-why", $"feeder.{feeder.To}");
            PlanSvg.Text(
                w,
                "rating tag",
                left ? bx + 30 : bx + 54,
                y + (height / 2) + 5,
                14,
                feeder.Breaker.ToString(CultureInfo.InvariantCulture)
            );
            w.WriteEndElement();
            PlanSvg.Text(
                w,
                "label",
                left ? x - 8 : Centre + 128,
                y + (height / 2),
                12,
                Cut($"Feeder to {a.PanelById(feeder.To)!.Panel.Name}"),
                left ? "end" : "start"
            );
            PlanSvg.Text(w, "detail", left ? x - 8 : Centre + 128, y + (height / 2) + 12, 10, feeder.Made, left ? "end" : "start");
        }
        else if (c is null)
        {
            PlanSvg.Text(
                w,
                "spare-text",
                left ? x - 8 : Centre + 128,
                y + (shared ? 12 : 20),
                shared ? 10 : 12,
                "Spare",
                left ? "end" : "start"
            );
        }
        else if (shared)
        {
            // Half the height holds one line.
            PlanSvg.Shape(
                w,
                "rect",
                "handle",
                ("x", PlanSvg.N(left ? bx + 60 : bx + 8)),
                ("y", PlanSvg.N(y + 4)),
                ("width", "16"),
                ("height", "7"),
                ("rx", "1.5")
            );
            Why(w, c, "wire", () =>
                PlanSvg.Text(w, "rating tag", left ? bx + 30 : bx + 54, y + 11.5, 11, c.Breaker.ToString(CultureInfo.InvariantCulture))
            );
            PlanSvg.Text(
                w,
                "label",
                left ? x - 8 : Centre + 128,
                y + 11.5,
                11,
                $"{Cut(c.Label)}  {c.Number}  {c.Cable}",
                left ? "end" : "start"
            );
        }
        else
        {
            PlanSvg.Shape(
                w,
                "rect",
                "handle",
                ("x", PlanSvg.N(left ? bx + 60 : bx + 8)),
                ("y", PlanSvg.N(y + (height / 2) - 5)),
                ("width", "16"),
                ("height", "10"),
                ("rx", "1.5")
            );
            Why(w, c, "wire", () =>
                PlanSvg.Text(
                    w,
                    "rating tag",
                    left ? bx + 30 : bx + 54,
                    y + (height / 2) + 5,
                    14,
                    c.Breaker.ToString(CultureInfo.InvariantCulture)
                )
            );
            var mark = c.Protection.BreakerMark;
            PlanSvg.Text(w, "label", left ? x - 8 : Centre + 128, y + (height / 2), 12, Cut(c.Label), left ? "end" : "start");
            Why(w, c, "run", () =>
                PlanSvg.Text(
                    w,
                    "detail",
                    left ? x - 8 : Centre + 128,
                    y + (height / 2) + 12,
                    10,
                    $"{c.Number}  {c.Cable}{(mark.Length > 0 ? $"  {mark}" : "")}",
                    left ? "end" : "start"
                )
            );
        }

        w.WriteEndElement();
    }

    // A number that opens its derivation on the screen; in a file it is just text.
    private static void Why(XmlWriter w, CircuitAnalysis c, string what, Action draw)
    {
        w.WriteStartElement("g");
        w.WriteAttributeString("data-why", $"circuit.{c.Number}.{what}");
        draw();
        w.WriteEndElement();
    }

    private static string Cut(string label) => label.Length > 46 ? label[..45] + "\u2026" : label;
}
