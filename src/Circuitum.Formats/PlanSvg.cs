using System.Globalization;
using System.Text;
using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats;

/// <summary>What a plan shows most strongly.</summary>
public enum PlanStage
{
    /// <summary>Rooms, openings, counters and appliances.</summary>
    Rooms,

    /// <summary>Boxes.</summary>
    Boxes,

    /// <summary>Boxes with circuit numbers, and the circuits' cable as lines.</summary>
    Circuits,
}

/// <summary>How a plan is drawn.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Stage">What is drawn strongest.</param>
/// <param name="Selected">What is picked: <c>box:ID</c>, <c>room:ID</c>, <c>wall:ROOM:N</c>, <c>circuit:N</c>, or nothing.</param>
/// <param name="StandAlone">Carries its own styles, for a file.</param>
public sealed record PlanView(string Storey, PlanStage Stage, string Selected = "", bool StandAlone = false);

/// <summary>Draws a storey to scale as SVG, one unit an inch. All text from the job is written as text.</summary>
public static class PlanSvg
{
    private const double Margin = 30;

    private const string Styles = "text{font-family:sans-serif;fill:#1c1a17}.floor{fill:#fffdf8}.wall{stroke:#1c1a17;stroke-width:4.5;stroke-linecap:square}.opening{stroke:#fffdf8;stroke-width:6}.leaf,.thing,.glass{fill:none;stroke:#6b6559;stroke-width:1}.box{fill:#fffdf8;stroke:#1c1a17;stroke-width:1.4}.run{fill:none;stroke:#6b6559;stroke-width:1.2}.hit{fill:none;stroke:none}.tag{font-weight:700}";

    /// <summary>Draws a storey.</summary>
    public static string Draw(JobAnalysis a, PlanView view)
    {
        var text = new StringBuilder();
        using (var w = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true, ConformanceLevel = ConformanceLevel.Fragment, CheckCharacters = true }))
        {
            var rooms = a.House.Rooms.Where(r => r.Room.Storey == view.Storey).ToList();
            double x0 = 0, y0 = 0, x1 = 240, y1 = 180;
            if (rooms.Count > 0) (x0, y0, x1, y1) = (rooms.Min(r => r.MinX).InInches, rooms.Min(r => r.MinY).InInches, rooms.Max(r => r.MaxX).InInches, rooms.Max(r => r.MaxY).InInches);
            w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
            w.WriteAttributeString("viewBox", string.Create(CultureInfo.InvariantCulture, $"{x0 - Margin:0.#} {y0 - Margin:0.#} {x1 - x0 + (2 * Margin):0.#} {y1 - y0 + (2 * Margin):0.#}"));
            w.WriteAttributeString("class", $"plan stage-{view.Stage.ToString().ToLowerInvariant()}");
            w.WriteAttributeString("role", "group");
            w.WriteAttributeString("aria-label", $"Plan of {a.Job.StoreyById(view.Storey)?.Name}");
            if (view.StandAlone) w.WriteElementString("style", Styles);
            foreach (var room in rooms) Floor(w, room, view, a);
            foreach (var room in rooms) Things(w, room, a);
            foreach (var room in rooms) Walls(w, room, view, a);
            foreach (var room in rooms) Openings(w, room);
            foreach (var room in rooms) Name(w, room, view.Stage == PlanStage.Rooms);
            if (a.Panel is { } panel && a.House[panel.Room].Room.Storey == view.Storey) PanelMark(w, a.House[panel.Room], panel);
            if (view.Stage == PlanStage.Circuits) RunsOf(w, a, view);
            if (view.Stage != PlanStage.Rooms) BoxMarks.Draw(w, a, view);
            w.WriteEndElement();
        }

        return text.ToString();
    }

    internal static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    internal static void Shape(XmlWriter w, string name, string css, params (string Name, string Value)[] attributes)
    {
        w.WriteStartElement(name);
        w.WriteAttributeString("class", css);
        foreach (var (n, v) in attributes) w.WriteAttributeString(n, v);
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
        Shape(w, "line", css, [("x1", N(a.X.InInches)), ("y1", N(a.Y.InInches)), ("x2", N(b.X.InInches)), ("y2", N(b.Y.InInches)), .. more]);

    private static void Floor(XmlWriter w, RoomShape room, PlanView view, JobAnalysis a)
    {
        var points = string.Join(" ", room.Room.Outline.Select(p => $"{N(p.X.InInches)},{N(p.Y.InInches)}"));
        var outdoors = a.Edition.Traits(room.Room.Kind).Outdoors ? " outdoors" : "";
        Shape(w, "polygon", $"floor{outdoors}{(view.Selected == $"room:{room.Room.Id}" ? " picked" : "")}", ("points", points), ("data-pick", $"room:{room.Room.Id}"));
    }

    private static void Walls(XmlWriter w, RoomShape room, PlanView view, JobAnalysis a)
    {
        var css = a.Edition.Traits(room.Room.Kind).Outdoors ? "wall rail" : "wall";
        foreach (var wall in room.Walls)
        {
            var key = $"wall:{room.Room.Id}:{wall.Index}";
            Line(w, view.Selected == key ? $"{css} picked" : css, room.On(wall.Index, Length.Zero, -2.2), room.On(wall.Index, wall.Length, -2.2), ("data-pick", key));
        }
    }

    private static void Openings(XmlWriter w, RoomShape room)
    {
        foreach (var o in room.Openings)
        {
            var (a, b) = (room.On(o.Wall, o.From, -2.2), room.On(o.Wall, o.To, -2.2));
            Line(w, "opening", a, b);
            var own = o.Opening.Room == room.Room.Id;
            switch (o.Opening.Kind)
            {
                case OpeningKind.Window:
                    Line(w, "glass", room.On(o.Wall, o.From, -0.6), room.On(o.Wall, o.To, -0.6));
                    Line(w, "glass", room.On(o.Wall, o.From, -3.8), room.On(o.Wall, o.To, -3.8));
                    break;
                case OpeningKind.Hinged when o.SwingsIn:
                    var (hinge, latch) = o.Hinge == End.Start ? (o.From, o.To) : (o.To, o.From);
                    var leaf = room.On(o.Wall, hinge, o.Opening.Width.InInches);
                    var from = room.On(o.Wall, hinge);
                    var to = room.On(o.Wall, latch);
                    var r = N(o.Opening.Width.InInches);
                    var cross = ((leaf.X - from.X).InInches * (to.Y - from.Y).InInches) - ((leaf.Y - from.Y).InInches * (to.X - from.X).InInches);
                    Shape(w, "path", "leaf", ("d", $"M{N(from.X.InInches)} {N(from.Y.InInches)}L{N(leaf.X.InInches)} {N(leaf.Y.InInches)}A{r} {r} 0 0 {(cross > 0 ? 1 : 0)} {N(to.X.InInches)} {N(to.Y.InInches)}"));
                    break;
                case OpeningKind.Sliding or OpeningKind.Pocket or OpeningKind.GarageDoor when own:
                    Line(w, "glass", a, b, ("stroke-dasharray", "6 3"));
                    break;
            }
        }
    }

    private static void Things(XmlWriter w, RoomShape room, JobAnalysis a)
    {
        var id = room.Room.Id;
        foreach (var c in a.Job.Counters.Where(c => c.Room == id)) Rect(w, "thing counter", room, c.Spot, null);
        foreach (var f in a.Job.Fixtures.Where(f => f.Room == id)) Rect(w, "thing fixture", room, f.Spot, f.Kind is FixtureKind.Sink or FixtureKind.Basin ? "" : f.Kind.ToString().ToLowerInvariant());
        foreach (var x in a.Job.Appliances.Where(x => x.Room == id)) Rect(w, "thing appliance", room, x.Spot, Core.Codes.ApplianceFacts.Of(x).Name);
    }

    private static void Rect(XmlWriter w, string css, RoomShape room, Spot spot, string? text)
    {
        var (west, north, east, south) = Places.Box(room, spot);
        if (east - west < 1 || south - north < 1) return;
        Shape(w, "rect", css, ("x", N(west)), ("y", N(north)), ("width", N(east - west)), ("height", N(south - north)));
        if (!string.IsNullOrEmpty(text)) Text(w, "small", (west + east) / 2, ((north + south) / 2) + 2, Math.Clamp((east - west) / Math.Max(4, text.Length) * 1.7, 3.5, 6), text);
    }

    private static void Name(XmlWriter w, RoomShape room, bool sizes)
    {
        var small = room.AreaSqFt < 40;
        var x = room.Centre.X.InInches;
        var y = room.Centre.Y.InInches;
        Text(w, "room-name", x, y + (sizes ? -2 : 16), small ? 7 : 10, room.Room.Name);
        if (sizes) Text(w, "room-size", x, y + (small ? 6 : 9), small ? 6 : 8, $"{LengthText.Show(room.MaxX - room.MinX)} x {LengthText.Show(room.MaxY - room.MinY)}");
    }

    private static void PanelMark(XmlWriter w, RoomShape room, Panel panel)
    {
        var p = room.On(panel.Wall, panel.Along, 2.5);
        var turned = Math.Abs(room.Walls[panel.Wall].Dy) > 0.5;
        var (pw, ph) = turned ? (5.0, 15.0) : (15.0, 5.0);
        Shape(w, "rect", "panel-mark", ("x", N(p.X.InInches - (pw / 2))), ("y", N(p.Y.InInches - (ph / 2))), ("width", N(pw)), ("height", N(ph)), ("data-pick", $"panel:{panel.Id}"));
        var q = room.On(panel.Wall, panel.Along, 14);
        Text(w, "small tag", q.X.InInches, q.Y.InInches + 2, 7, "Panel");
    }

    // Circuits are told apart by number tags and by line pattern first.
    private static readonly string[] Patterns = ["", "7 3", "2 3", "9 3 2 3", "12 4", "4 4", "9 3 2 3 2 3", "1 4"];

    private static void RunsOf(XmlWriter w, JobAnalysis a, PlanView view)
    {
        foreach (var c in a.Circuits)
        {
            var picked = view.Selected == $"circuit:{c.Number}" || c.Boxes.Any(b => view.Selected == $"box:{b.Id}");
            if (!picked && view.Selected.StartsWith("circuit:", StringComparison.Ordinal)) continue;
            foreach (var hop in c.Run.Hops.Where(h => h.From is not null))
            {
                var (from, to) = (a.Boxes[hop.From!], a.Boxes[hop.To]);
                if (a.House[from.Room].Room.Storey != view.Storey || a.House[to.Room].Room.Storey != view.Storey) continue;
                var (p, q) = (Places.Of(a.House, from), Places.Of(a.House, to));
                var d = $"M{N(p.X.InInches)} {N(p.Y.InInches)}L{N(q.X.InInches)} {N(p.Y.InInches)}L{N(q.X.InInches)} {N(q.Y.InInches)}";
                Shape(w, "path", picked ? "run picked" : "run", ("d", d), ("stroke-dasharray", Patterns[c.Number % Patterns.Length]));
            }
        }
    }
}
