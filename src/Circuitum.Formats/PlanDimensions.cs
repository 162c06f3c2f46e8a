using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>
/// Dimension lines. On the screen those of what is picked, each one to be clicked and typed over; on paper those of all
/// walls and openings.
/// </summary>
internal static class PlanDimensions
{
    internal static void Draw(XmlWriter w, JobAnalysis a, PlanView view, List<RoomShape> rooms)
    {
        if (view.Stage == PlanStage.Dimensioned)
        {
            foreach (var room in rooms)
                Room(w, room, false);
            return;
        }

        switch (view.Selected.Split(':'))
        {
            case ["room", var id] when rooms.FirstOrDefault(r => r.Room.Id == id) is { } room:
                Room(w, room, true);
                break;
            case ["wall", var id, _] when rooms.FirstOrDefault(r => r.Room.Id == id) is { } room:
                Room(w, room, true);
                break;
            case ["opening", var id]
                when a.Job.Openings.FirstOrDefault(o => o.Id == id) is { } o && rooms.FirstOrDefault(r => r.Room.Id == o.Room) is { } room:
                Along(w, room, o.Wall, o.From, o.Width, $"opening:{id}");
                break;
            case ["counter", var id]
                when a.Job.Counters.FirstOrDefault(c => c.Id == id) is { Spot.Wall: { } wall } c
                    && rooms.FirstOrDefault(r => r.Room.Id == c.Room) is { } room:
                Along(w, room, wall, c.Spot.From, c.Spot.Width, view.Selected);
                break;
            case ["fixture", var id]
                when a.Job.Fixtures.FirstOrDefault(c => c.Id == id) is { Spot.Wall: { } wall } c
                    && rooms.FirstOrDefault(r => r.Room.Id == c.Room) is { } room:
                Along(w, room, wall, c.Spot.From, c.Spot.Width, view.Selected);
                break;
            case ["appliance", var id]
                when a.Job.ApplianceById(id) is { Spot.Wall: { } wall } c && rooms.FirstOrDefault(r => r.Room.Id == c.Room) is { } room:
                Along(w, room, wall, c.Spot.From, c.Spot.Width, view.Selected);
                break;
        }
    }

    private static void Room(XmlWriter w, RoomShape room, bool live)
    {
        // On paper each length is given once for each direction: the wall across says nothing new.
        var given = new HashSet<(bool Level, Length)>();
        foreach (var wall in room.Walls)
        {
            // On paper a wall with openings is measured jamb by jamb, inside of its whole length.
            if (live || given.Add((Math.Abs(wall.Dx) > Math.Abs(wall.Dy), wall.Length)))
                Dimension(w, room, wall.Index, Length.Zero, wall.Length, live ? 12 : 14, live ? $"wall:{room.Room.Id}:{wall.Index}" : null);
            if (live)
                continue;
            var at = Length.Zero;
            var openings = room.Openings.Where(o => o.Wall == wall.Index && o.Opening.Room == room.Room.Id).OrderBy(o => o.From).ToList();
            foreach (var o in openings)
            {
                if (o.From > at)
                    Dimension(w, room, wall.Index, at, o.From, 6, null);
                Dimension(w, room, wall.Index, o.From, o.To, 6, null);
                at = o.To;
            }

            if (openings.Count > 0 && wall.Length > at)
                Dimension(w, room, wall.Index, at, wall.Length, 6, null);
        }
    }

    private static void Along(XmlWriter w, RoomShape room, int wall, Length from, Length width, string key)
    {
        var length = room.Walls[wall].Length;
        if (from > Length.Zero)
            Dimension(w, room, wall, Length.Zero, from, 14, $"{key}:before");
        Dimension(w, room, wall, from, from + width, 14, $"{key}:width");
        if (length > from + width)
            Dimension(w, room, wall, from + width, length, 14, $"{key}:after");
    }

    private static void Dimension(XmlWriter w, RoomShape room, int wall, Length from, Length to, double away, string? key)
    {
        var (p, q) = (room.On(wall, from, away), room.On(wall, to, away));
        var own = room.Walls[wall];
        Line(w, "dim", p, q);
        foreach (var end in new[] { from, to })
            Line(w, "dim", room.On(wall, end, away - 3), room.On(wall, end, away + 3));
        var (x, y) = ((p.X.InInches + q.X.InInches) / 2, (p.Y.InInches + q.Y.InInches) / 2);
        var turn = Math.Atan2(own.Dy, own.Dx) * 180 / Math.PI;
        if (turn is > 90.5 or <= -89.5)
            turn += 180;
        w.WriteStartElement("g");
        w.WriteAttributeString("transform", $"translate({N(x)} {N(y)}) rotate({N(turn % 360)})");
        w.WriteStartElement("g");
        w.WriteAttributeString("class", "words");
        var text = LengthText.Show(to - from);
        var size = key is null ? 5.5 : 8.5;
        if (key is not null)
        {
            w.WriteAttributeString("data-dim", key);
            w.WriteAttributeString("role", "button");
            w.WriteAttributeString("aria-label", $"{text}, type another length");
            Shape(
                w,
                "rect",
                "dim-back",
                ("x", N(-text.Length * size * 0.31)),
                ("y", N(-size * 0.75)),
                ("width", N(text.Length * size * 0.62)),
                ("height", N(size * 1.5))
            );
        }

        if (key is not null || (to - from).InInches > text.Length * 3.3)
            Text(w, "dim-text", 0, size * 0.35, size, text);
        w.WriteEndElement();
        w.WriteEndElement();
    }
}
