using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// Dimension lines. On the screen those of what is picked, each one to be clicked and typed over; on paper those of all walls and
/// openings.
/// </summary>
internal static class DimensionLayers
{
    private const double LiveSize = 11.5;
    private const double PaperSize = 9.5;
    private const int LiveRank = 0;
    private const int PaperRank = 40;

    // Pixels from a wall to the line that measures it, and to the inner line of a wall with openings.
    private const double Away = 15;
    private const double Inner = 7;
    private const double Tick = 3;

    internal static void Compose(Composition on)
    {
        on.Layer("dimensions");
        if (on.View.Stage == PlanStage.Dimensioned)
        {
            foreach (var room in on.Rooms)
                Room(on, room, live: false);
            return;
        }

        var job = on.A.Job;
        switch (Subject.TryParse(on.View.Selected))
        {
            case { Kind: SubjectKind.Room or SubjectKind.Wall, Id: var id }:
                if (on.Rooms.FirstOrDefault(r => r.Room.Id == id) is { } shape)
                    Room(on, shape, live: true);
                break;
            case { Kind: SubjectKind.Opening, Id: var id } when job.Openings.FirstOrDefault(o => o.Id == id) is { } o:
                Along(on, o.Room, o.Wall, o.From, o.Width);
                break;
            case { Kind: SubjectKind.Counter, Id: var id } when job.Counters.FirstOrDefault(c => c.Id == id) is { } c:
                Along(on, c.Room, c.Spot.Wall, c.Spot.From, c.Spot.Width);
                break;
            case { Kind: SubjectKind.Fixture, Id: var id } when job.Fixtures.FirstOrDefault(f => f.Id == id) is { } f:
                Along(on, f.Room, f.Spot.Wall, f.Spot.From, f.Spot.Width);
                break;
            case { Kind: SubjectKind.Appliance, Id: var id } when job.ApplianceById(id) is { } x:
                Along(on, x.Room, x.Spot.Wall, x.Spot.From, x.Spot.Width);
                break;
        }
    }

    private static void Room(Composition on, RoomShape room, bool live)
    {
        // On paper each length is given once for each direction: the wall across says nothing new.
        var given = new HashSet<(bool Level, Length)>();
        foreach (var wall in room.Walls)
        {
            if (live || given.Add((Math.Abs(wall.Dx) > Math.Abs(wall.Dy), wall.Length)))
                Dimension(on, room, wall.Index, Length.Zero, wall.Length, Away, live ? $"wall:{room.Room.Id}:{wall.Index}" : null);
            if (!live)
                Openings(on, room, wall);
        }
    }

    // On paper a wall with openings is measured jamb by jamb, inside of its whole length.
    private static void Openings(Composition on, RoomShape room, Wall wall)
    {
        var at = Length.Zero;
        var openings = room.Openings.Where(o => o.Wall == wall.Index && o.Opening.Room == room.Room.Id).OrderBy(o => o.From).ToList();
        foreach (var o in openings)
        {
            if (o.From > at)
                Dimension(on, room, wall.Index, at, o.From, Inner, null);
            Dimension(on, room, wall.Index, o.From, o.To, Inner, null);
            at = o.To;
        }

        if (openings.Count > 0 && wall.Length > at)
            Dimension(on, room, wall.Index, at, wall.Length, Inner, null);
    }

    private static void Along(Composition on, string room, int? wall, Length from, Length width)
    {
        if (wall is not { } at || on.Rooms.FirstOrDefault(r => r.Room.Id == room) is not { } shape)
            return;
        var (length, key) = (shape.Walls[at].Length, on.View.Selected);
        if (from > Length.Zero)
            Dimension(on, shape, at, Length.Zero, from, Away, $"{key}:before");
        Dimension(on, shape, at, from, from + width, Away, $"{key}:width");
        if (length > from + width)
            Dimension(on, shape, at, from + width, length, Away, $"{key}:after");
    }

    private static void Dimension(Composition on, RoomShape room, int wall, Length from, Length to, double away, string? key)
    {
        var off = away / on.Scale;
        var (p, q) = (room.On(wall, from, off), room.On(wall, to, off));
        on.Add("dimensions", new PathShape(Role.Dimension, [Step.From(p), Step.To(q)]));
        foreach (var end in new[] { from, to })
        {
            var (a, b) = (room.On(wall, end, off - (Tick / on.Scale)), room.On(wall, end, off + (Tick / on.Scale)));
            on.Add("dimensions", new PathShape(Role.Dimension, [Step.From(a), Step.To(b)]));
        }

        Text(on, room, wall, from, to, away, key);
    }

    private static void Text(Composition on, RoomShape room, int wall, Length from, Length to, double away, string? key)
    {
        var own = room.Walls[wall];
        var text = LengthText.Show(to - from, on.A.Units);
        var size = key is null ? PaperSize : LiveSize;
        var wide = TextWidths.Of(text, size, bold: key is not null) + (key is null ? 2 : 8);
        var tall = size + (key is null ? 1 : 5);
        var turn = Math.Atan2(own.Dy, own.Dx) * 180 / Math.PI;
        if (turn is > 90.5 or <= -89.5)
            turn += 180;
        var length = (to - from).InInches * on.Scale;

        // On its line, in the middle first; then beside the line, farther into the room; level where the wall is too short for it.
        var places = new List<(Candidate At, double Turn, (double X, double Y) Line)>();
        foreach (var (side, i) in new[] { 0.0, 11, 22, 36, 52 }.Select((s, i) => (s, i)))
        {
            foreach (var share in new[] { 0.5, 0.35, 0.65, 0.2, 0.8 })
            {
                var at = room.On(wall, from + Length.Inches((to - from).InInches * share), (away + side) / on.Scale);
                var (x, y) = on.Pixels(at);
                var line = on.Pixels(room.On(wall, from + Length.Inches((to - from).InInches * share), away / on.Scale));
                var cost = (i * 6) + (Math.Abs(share - 0.5) * 8);
                if (wide < length * 1.9)
                    places.Add((new(Turned(x, y, wide, tall, turn), cost), turn, line));
                places.Add((new(Area.Around(x, y, wide, tall), cost + 4), 0, line));
            }
        }

        on.Label(key is null ? PaperRank : LiveRank, "dimensions", places.Select(a => a.At), at =>
            [
                .. Leader(on, places[at].At.Area, places[at].Line),
                Draw(on, places[at].At.Area, places[at].Turn % 360, text, size, wide, tall, key),
            ]
        );
    }

    // A length that stands away from its line is tied to it.
    private static IEnumerable<Shape> Leader(Composition on, Area area, (double X, double Y) line)
    {
        var (x, y) = ((area.X0 + area.X1) / 2, (area.Y0 + area.Y1) / 2);
        if (area.To(new(line.X, line.Y, line.X, line.Y)) > 1)
            yield return new PathShape(Role.Leader, [Step.From(line.X / on.Scale, line.Y / on.Scale), Step.To(x / on.Scale, y / on.Scale)]);
    }

    // What a turned text covers, by the upright rectangle around it.
    private static Area Turned(double x, double y, double wide, double tall, double turn)
    {
        var (sin, cos) = Math.SinCos(turn * Math.PI / 180);
        return Area.Around(x, y, (Math.Abs(cos) * wide) + (Math.Abs(sin) * tall), (Math.Abs(sin) * wide) + (Math.Abs(cos) * tall));
    }

    private static AnchorShape Draw(Composition on, Area area, double turn, string text, double size, double wide, double tall, string? key)
    {
        var (x, y) = ((area.X0 + area.X1) / 2 / on.Scale, (area.Y0 + area.Y1) / 2 / on.Scale);
        var back = new PathShape(Role.DimensionText, [.. Step.Rectangle(Area.Around(0, 0, wide, tall))]) { State = "back" };
        var words = new TextShape(Role.DimensionText, 0, TextWidths.Line(size), text, size) { Bold = key is not null };
        return new(Role.DimensionText, x, y, [back, words])
        {
            Turn = turn,
            Data = key is null ? [] : [("data-dim", key), ("role", "button"), ("aria-label", $"{text}, type another length")],
        };
    }
}
