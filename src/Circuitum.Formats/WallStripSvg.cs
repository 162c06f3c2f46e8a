using System.Globalization;
using System.Text;
using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>
/// Draws one wall unrolled as it stands in studs, seen from the room, one unit an inch: openings, counters and boxes at their heights.
/// </summary>
public static class WallStripSvg
{
    private const double Plate = 1.5;
    private const double Under = 34;
    private const double Side = 30;

    // Readable at arm's length on the screen, two walls beside each other on paper.
    private const double ScreenPixelsPerInch = 2,
        PaperPixelsPerInch = 1.35;

    /// <summary>Draws a wall.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="room">The room.</param>
    /// <param name="wall">The number of its wall.</param>
    /// <param name="selected">What is picked.</param>
    /// <param name="link">Gives the address of a box, or none for paper.</param>
    /// <param name="cables">The cables in it, or none to leave them out.</param>
    public static string Draw(
        JobAnalysis a,
        RoomShape room,
        int wall,
        string selected = "",
        Func<Box, string>? link = null,
        WallCables? cables = null
    )
    {
        var text = new StringBuilder();
        using (
            var w = XmlWriter.Create(
                text,
                new XmlWriterSettings { OmitXmlDeclaration = true, ConformanceLevel = ConformanceLevel.Fragment }
            )
        )
        {
            var (over, under) = cables is null ? (6, Under) : (WallStripCables.Over, Under + WallStripCables.Below);
            var (length, height) = (room.Walls[wall].Length.InInches, room.Room.CeilingHeight.InInches);
            w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
            w.WriteAttributeString(
                "viewBox",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{-Side:0.#} {-over:0.#} {length + (2 * Side):0.#} {height + under + 2 + over:0.#}"
                )
            );
            w.WriteAttributeString("width", N((length + (2 * Side)) * (link is null ? PaperPixelsPerInch : ScreenPixelsPerInch)));
            w.WriteAttributeString("class", "strip-drawing");
            w.WriteAttributeString("role", "group");
            w.WriteAttributeString("aria-label", $"{room.Room.Name}, {LabelWriter.Facing(room, wall)} wall in studs");
            Frame(w, a, room, wall, length, height);
            foreach (var o in room.Openings.Where(o => o.Wall == wall))
                Opening(w, room, o, length, height);
            foreach (var c in a.Job.Counters.Where(c => c.Room == room.Room.Id && c.Spot.Wall == wall && !c.Peninsula))
                Thing(w, room, wall, c.Spot, 36, length, height, "counter");
            foreach (
                var x in a.Job.Appliances.Where(x => x.Room == room.Room.Id && x.Spot.Wall == wall && x.Spot.Depth >= Length.Inches(12))
            )
                Thing(w, room, wall, x.Spot, 36, length, height, ApplianceFacts.Of(x).Name);
            if (cables is not null)
                WallStripCables.Draw(w, cables, p => (X(room, wall, p.Along, length), height - p.Height.InInches), height, selected);
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Room == room.Room.Id && b.Wall == wall && !b.Outside))
                Box(w, a, room, box, length, height, selected, link);
            Corners(w, length, height);
            w.WriteEndElement();
        }

        return text.ToString();
    }

    // Seen from the room, so that what is at the left hand is drawn at the left.
    private static double X(RoomShape room, int wall, Length along, double length) =>
        room.RightIsAlong(wall) ? along.InInches : length - along.InInches;

    private static void Rect(XmlWriter w, string css, double x, double y, double width, double height) =>
        Shape(w, "rect", css, ("x", N(x)), ("y", N(y)), ("width", N(width)), ("height", N(height)));

    private static void Frame(XmlWriter w, JobAnalysis a, RoomShape room, int wall, double length, double height)
    {
        var spacing = WallBody.Of(a.House, room, wall).StudSpacing;
        Rect(w, "plate", 0, height - Plate, length, Plate);
        Rect(w, "plate", 0, 0, length, 2 * Plate);
        for (var at = Length.Zero; at <= room.Walls[wall].Length; at += spacing)
        {
            // A stud that would stand in an opening is cut: the ones beside the opening carry it.
            var through = room.Openings.Any(o => o.Wall == wall && at > o.From - Length.Inches(1) && at < o.To + Length.Inches(1));
            if (!through)
                Rect(w, "stud", Math.Clamp(X(room, wall, at, length) - 0.75, 0, length - 1.5), 2 * Plate, 1.5, height - (3 * Plate));
        }
    }

    private static void Opening(XmlWriter w, RoomShape room, RoomOpening o, double length, double height)
    {
        var (p, q) = (X(room, o.Wall, o.From, length), X(room, o.Wall, o.To, length));
        var (left, width) = (Math.Min(p, q), Math.Abs(q - p));
        var sill = o.Opening.Kind == OpeningKind.Window ? (o.Opening.Sill ?? Length.Feet(3)).InInches : 0;
        var head = Math.Min(82, height - 8);
        foreach (var x in new[] { left - 3, left + width })
            Rect(w, "stud", x, 2 * Plate, 3, height - (3 * Plate));
        Rect(w, "header", left - 1.5, height - head - 8, width + 3, 8);
        Rect(w, "hole", left, height - head, width, head - sill - (sill > 0 ? Plate : 0));
        if (sill > 0)
            Rect(w, "plate", left, height - sill, width, Plate);
        Text(
            w,
            "small",
            left + (width / 2),
            height - ((head + sill) / 2),
            6,
            o.Opening.Kind == OpeningKind.Window ? "window"
                : o.Opening.Kind == OpeningKind.Cased ? "opening"
                : "door"
        );
    }

    private static void Thing(XmlWriter w, RoomShape room, int wall, Spot spot, double tall, double length, double height, string name)
    {
        var (p, q) = (X(room, wall, spot.From, length), X(room, wall, spot.From + spot.Width, length));
        Rect(w, "thing", Math.Min(p, q), height - tall, Math.Abs(q - p), tall);
        if (Math.Abs(q - p) > name.Length * 3)
            Text(w, "small", (p + q) / 2, height - 6, 5.5, name);
    }

    private static void Box(
        XmlWriter w,
        JobAnalysis a,
        RoomShape room,
        Box box,
        double length,
        double height,
        string selected,
        Func<Box, string>? link
    )
    {
        var x = X(room, box.Wall!.Value, box.Along, length);
        var y = height - box.Height.InInches;
        var spec = a.Specs[box.Id];
        var width = Math.Max(1, spec.Gangs) * 2.25;
        w.WriteStartElement(link is null ? "g" : "a");
        if (link is not null)
            w.WriteAttributeString("href", link(box));
        w.WriteAttributeString("class", $"strip-box{(selected == $"box:{box.Id}" ? " picked" : "")}{(box.Held is null ? "" : " held")}");
        w.WriteElementString("title", $"{spec.Device}, {BoxSchedule.Place(a.House, box)}");
        if (spec.Gangs == 0)
            Shape(w, "circle", "body", ("cx", N(x)), ("cy", N(y)), ("r", "2.4"));
        else
            Rect(w, "body", x - (width / 2), y - 2, width, 4);
        Text(w, "mark-text", x, y - 4.5, 6, spec.Mark);
        Line(w, "drop", new(Length.Inches(x), Length.Inches(y + 2)), new(Length.Inches(x), Length.Inches(height + 3)));
        w.WriteStartElement("g");
        w.WriteAttributeString("transform", $"translate({N(x)} {N(height + 5)}) rotate(-60)");
        Text(w, "along-text", 0, 2, 5.5, LengthText.Show(BoxSchedule.FromLeft(room, box, box.Wall.Value)), "end");
        w.WriteEndElement();
        w.WriteEndElement();
    }

    private static void Corners(XmlWriter w, double length, double height)
    {
        Text(w, "small", -4, height + 6, 5.5, "0", "end");
        Text(w, "small", length + 4, height + 6, 5.5, LengthText.Show(Length.Inches(length)), "start");
        Text(w, "small", -4, 5, 5.5, LengthText.Show(Length.Inches(height)), "end");
    }
}
