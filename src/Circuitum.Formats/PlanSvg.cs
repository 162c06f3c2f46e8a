using System.Globalization;
using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats;

/// <summary>Draws a storey to scale as SVG, one unit an inch. All text from the job is written as text.</summary>
public static class PlanSvg
{
    private const double Margin = 36;

    private const string Styles =
        "text{font-family:sans-serif;fill:#1c1a17}.floor{fill:#fffdf8}"
        + ".mass{fill:#1c1a17;stroke:#1c1a17;stroke-linejoin:miter}"
        + ".rail{fill:none;stroke:#1c1a17;stroke-width:1.5;stroke-dasharray:8 "
        + "4}.opening{stroke:#fffdf8}.leaf,.thing,.glass{fill:none;stroke:#6b6559;stroke-width:1}"
        + ".box{fill:#fffdf8;stroke:#1c1a17;stroke-width:1.4}.run{fill:none;stroke:#6b6559;stroke-width:1.2}"
        + ".hit,.wall{fill:none;stroke:none}.tag{font-weight:700}.dim{stroke:#6b6559;stroke-width:.6;fill:none}";

    /// <summary>Draws a storey.</summary>
    public static string Draw(JobAnalysis a, PlanView view) => Parts(a, view).Whole;

    /// <summary>Draws a storey in parts that can be exchanged one by one.</summary>
    public static PlanDrawing Parts(JobAnalysis a, PlanView view)
    {
        var sheet = new PlanSheet();
        var w = sheet.Writer;
        var rooms = a
            .House.Rooms.Where(r => r.Room.Storey == view.Storey && (view.Only.Length == 0 || Near(r, a.House[view.Only])))
            .ToList();
        var under = view.Pictures.Length > 0 ? a.Job.Underlays.FirstOrDefault(u => u.Storey == view.Storey) : null;
        var (x0, y0, x1, y1) = Extent(view.Only.Length == 0 ? rooms : [a.House[view.Only]], under);
        w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
        w.WriteAttributeString(
            "viewBox",
            string.Create(
                CultureInfo.InvariantCulture,
                $"{x0 - Margin:0.#} {y0 - Margin:0.#} {x1 - x0 + (2 * Margin):0.#} {y1 - y0 + (2 * Margin):0.#}"
            )
        );
        w.WriteAttributeString("class", $"plan stage-{view.Stage.ToString().ToLowerInvariant()}");
        w.WriteAttributeString("role", "group");
        w.WriteAttributeString("aria-label", $"Plan of {a.Job.StoreyById(view.Storey)?.Name}");
        if (view is { StandAlone: false, Stage: PlanStage.Rooms })
        {
            var lines = SnapLines.Of(a.Job, view.Storey);
            w.WriteAttributeString("data-snap-x", string.Join(' ', lines.X.Select(x => N(x.InInches))));
            w.WriteAttributeString("data-snap-y", string.Join(' ', lines.Y.Select(y => N(y.InInches))));
        }

        sheet.Opened();
        if (view.StandAlone)
            sheet.Part("styles", () => w.WriteElementString("style", Styles));
        if (under is not null)
            sheet.Part("under", () => Picture(w, under, view));
        PlanHouse.Draw(sheet, a, view, rooms);
        if (view.Stage is PlanStage.Rooms or PlanStage.Dimensioned)
            sheet.Part("dimensions", () => PlanDimensions.Draw(w, a, view, rooms));
        if (view.Stage == PlanStage.Circuits)
            sheet.Part("runs", () => RunsOf(w, a, view));
        if (view.Stage == PlanStage.Runs)
            sheet.Part("runs", () => RunLines.Draw(w, a, view));
        PlanHouse.Panel(sheet, a, rooms);
        if (view.Stage == PlanStage.Boxes)
            sheet.Part("reach", () => ReachMarks.Draw(w, a, view, rooms, a.Job.Decisions.Boxes));
        if (view.Stage == PlanStage.Boxes)
            sheet.Part("switching", () => SwitchLines.Draw(w, a, view));
        if (view.Stage is PlanStage.Boxes or PlanStage.Circuits or PlanStage.Runs)
            BoxMarks.Draw(sheet, a, view, view.Only.Length == 0 ? rooms : [a.House[view.Only]]);
        if (view.Stage == PlanStage.Runs)
            sheet.Part("run-handle", () => RunLines.Handle(w, a, view));
        return sheet.Done();
    }

    internal static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    internal static void Shape(XmlWriter w, string name, string css, params (string Name, string Value)[] attributes)
    {
        w.WriteStartElement(name);
        w.WriteAttributeString("class", css);
        foreach (var (n, v) in attributes)
            w.WriteAttributeString(n, v);
        w.WriteEndElement();
    }

    internal static void Text(XmlWriter w, string css, double x, double y, double size, string text, string anchor = "middle")
    {
        w.WriteStartElement("text");
        w.WriteAttributeString("class", css);
        w.WriteAttributeString("x", N(x));
        w.WriteAttributeString("y", N(y));
        w.WriteAttributeString("font-size", N(size));
        w.WriteAttributeString("text-anchor", anchor);
        w.WriteString(text);
        w.WriteEndElement();
    }

    internal static void Line(XmlWriter w, string css, Point a, Point b, params (string, string)[] more) =>
        Shape(
            w,
            "line",
            css,
            [("x1", N(a.X.InInches)), ("y1", N(a.Y.InInches)), ("x2", N(b.X.InInches)), ("y2", N(b.Y.InInches)), .. more]
        );

    private static bool Near(RoomShape room, RoomShape to)
    {
        var reach = Length.Inches(Margin);
        return room.MinX <= to.MaxX + reach && room.MaxX >= to.MinX - reach && room.MinY <= to.MaxY + reach && room.MaxY >= to.MinY - reach;
    }

    private static (double X0, double Y0, double X1, double Y1) Extent(List<RoomShape> rooms, Underlay? under)
    {
        var (x0, y0, x1, y1) =
            rooms.Count == 0
                ? (0.0, 0.0, 360.0, 240.0)
                : (
                    rooms.Min(r => r.MinX).InInches,
                    rooms.Min(r => r.MinY).InInches,
                    rooms.Max(r => r.MaxX).InInches,
                    rooms.Max(r => r.MaxY).InInches
                );
        if (under is null)
            return (x0, y0, x1, y1);
        var (px, py) = (under.At.X.InInches, under.At.Y.InInches);
        if (rooms.Count == 0)
            return (px, py, px + under.Width.InInches, py + under.Height.InInches);
        return (Math.Min(x0, px), Math.Min(y0, py), Math.Max(x1, px + under.Width.InInches), Math.Max(y1, py + under.Height.InInches));
    }

    private static void Picture(XmlWriter w, Underlay under, PlanView view) =>
        Shape(
            w,
            "image",
            "under",
            ("href", view.Pictures + under.Picture),
            ("x", N(under.At.X.InInches)),
            ("y", N(under.At.Y.InInches)),
            ("width", N(under.Width.InInches)),
            ("height", N(under.Height.InInches)),
            ("preserveAspectRatio", "none"),
            ("opacity", N(under.Strength / 100.0)),
            ("data-drag", "under")
        );

    // Circuits are told apart by number tags and by line pattern first.
    private static readonly string[] Patterns = ["", "7 3", "2 3", "9 3 2 3", "12 4", "4 4", "9 3 2 3 2 3", "1 4"];

    private static void RunsOf(XmlWriter w, JobAnalysis a, PlanView view)
    {
        foreach (var c in a.Circuits)
        {
            var picked = view.Selected == $"circuit:{c.Number}" || c.Boxes.Any(b => view.Selected == $"box:{b.Id}");
            if (!picked && view.Selected.StartsWith("circuit:", StringComparison.Ordinal))
                continue;

            // Beside another plan, a circuit that would be another one shows its whole way.
            var changed = view.Changed is { } moved && c.Boxes.Any(b => moved.Contains(b.Id));
            foreach (var segment in c.Run.Cables)
            {
                // Home runs all begin at the panel and would hide everything: only that of the picked circuit is drawn.
                var home = segment.From is null;
                if (home && !picked && !changed)
                    continue;
                if (!OnStorey(segment.To) && (home || !OnStorey(segment.From!)))
                    continue;
                var points = a.RouteOf(segment).Pieces.SelectMany(p => new[] { p.From, p.To }).ToList();
                if (points.Count < 2)
                    continue;
                var d = $"M{string.Join('L', points.Select(p => $"{N(p.X.InInches)} {N(p.Y.InInches)}"))}";
                Shape(
                    w,
                    "path",
                    $"run{(picked ? " picked" : "")}{(changed ? " changed" : "")}{(home ? " home-run" : "")}",
                    ("d", d),
                    ("stroke-dasharray", home ? "" : Patterns[c.Number % Patterns.Length])
                );
            }

            bool OnStorey(string box) => a.House[a.Boxes[box].Room].Room.Storey == view.Storey;
        }
    }
}
