using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Field;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats;

/// <summary>
/// What a phone shows where no wall's strip can: a box in a ceiling with its two tapes, and the way of a cable from room to room.
/// </summary>
public static class PlaceSketch
{
    private const double Wide = 340,
        Tall = 300,
        Rim = 26,
        Letters = 12,
        NearWall = 10,
        Clear = 20;

    /// <summary>
    /// A room from above with a box that no strip shows: in its ceiling, as two tapes find it, or on the outer face of a wall, as one does.
    /// </summary>
    public static Drawing Box(JobAnalysis a, Box box)
    {
        var room = a.House[box.Room];
        var at = Places.Of(a.House, box);
        var on = new Frame([room], [at]);
        on.Outline(room);
        if (box.Wall is { } index)
        {
            var (wall, away) = (room.Walls[index], BoxSchedule.FromLeft(room, box, index));
            on.Tape(away == box.Along ? wall.A : wall.B, Foot(wall, at), LengthText.Show(away, a.Units));
        }
        else
        {
            foreach (var tape in BoxSchedule.FromWalls(room, at))
                on.Tape(Foot(room.Walls[tape.Wall], at), at, LengthText.Show(tape.Away.RoundTo(Length.Inches(0.5)), a.Units));
        }

        on.Spot(at);
        foreach (var wall in room.Walls)
            on.Letter(wall, room.Centre, LabelWriter.Facing(room, wall.Index));
        return on.Pen.Done("place-svg", $"{room.Room.Name} from above, with {box.Id}", Wide, on.Height);
    }

    /// <summary>
    /// The way of a cable from a square to a dot, one drawing for each storey on which it runs, from below.
    /// </summary>
    public static ImmutableArray<(string Storey, Drawing Drawing)> Way(JobAnalysis a, FieldCable cable)
    {
        var pieces = cable.Route.Pieces.ToLookup(p => StoreyOf(a.Job, p));
        return [.. a.Job.Storeys.Where(s => pieces[s.Id].Any()).Select(s => (s.Name, Way(a, s, [.. pieces[s.Id]], cable)))];
    }

    private static Drawing Way(JobAnalysis a, Storey storey, ImmutableArray<WayPiece> pieces, FieldCable cable)
    {
        List<Point> points = [.. pieces.SelectMany(p => new[] { p.From, p.To, Middle(p.From, p.To) })];
        List<RoomShape> rooms =
        [
            .. a.House.Rooms.Where(r => r.Room.Storey == storey.Id && points.Any(p => r.Contains(p) || r.Nearest(p).Inches < NearWall)),
        ];
        var on = new Frame(rooms, points);
        foreach (var room in rooms)
            on.Outline(room);
        foreach (var room in rooms)
            on.Name(room, pieces);
        foreach (var p in pieces)
            on.Cable(p.From, p.To);
        var all = cable.Route.Pieces;
        if (pieces.Contains(all[0]))
            on.Begin(all[0].From);
        if (pieces.Contains(all[^1]))
            on.Spot(all[^1].To);
        return on.Pen.Done("place-svg", $"The way from {cable.From} to {cable.To}, {storey.Name}", Wide, on.Height);
    }

    private static string StoreyOf(Job job, WayPiece piece) =>
        (
            job.Storeys.OrderByDescending(s => s.Floor).FirstOrDefault(s => s.Floor <= piece.FromZ || s.Floor <= piece.ToZ)
            ?? job.Storeys.OrderBy(s => s.Floor).First()
        ).Id;

    private static Point Middle(Point p, Point q) => new((p.X + q.X) / 2, (p.Y + q.Y) / 2);

    private static Point Foot(Wall wall, Point at)
    {
        var along = ((at.X - wall.A.X).InInches * wall.Dx) + ((at.Y - wall.A.Y).InInches * wall.Dy);
        return new(wall.A.X + Length.Inches(along * wall.Dx), wall.A.Y + Length.Inches(along * wall.Dy));
    }

    // What is drawn, fitted to the breadth of a phone.
    private sealed class Frame
    {
        private readonly double x0,
            y0,
            scale;

        internal Frame(IReadOnlyCollection<RoomShape> rooms, IEnumerable<Point> points)
        {
            List<Point> all = [.. points, .. rooms.SelectMany(r => r.Room.Outline)];
            x0 = all.Min(p => p.X.InInches);
            y0 = all.Min(p => p.Y.InInches);
            var (wide, tall) = (Math.Max(1, all.Max(p => p.X.InInches) - x0), Math.Max(1, all.Max(p => p.Y.InInches) - y0));
            scale = Math.Min((Wide - (2 * Rim)) / wide, (Tall - (2 * Rim)) / tall);
            x0 -= ((Wide / scale) - wide) / 2;
            y0 -= Rim / scale;
            Height = (tall * scale) + (2 * Rim);
        }

        internal Pen Pen { get; } = new();

        internal double Height { get; }

        internal void Outline(RoomShape room)
        {
            foreach (var wall in room.Walls)
                Pen.Line(X(wall.A), Y(wall.A), X(wall.B), Y(wall.B), 1);
        }

        internal void Cable(Point from, Point to) => Pen.Line(X(from), Y(from), X(to), Y(to), 3);

        internal void Tape(Point from, Point to, string text)
        {
            Pen.Add(new PathShape(Role.Ink, [Step.From(X(from), Y(from)), Step.To(X(to), Y(to))]) { Breadth = 1, Dashes = "4 3" });
            var upright = Math.Abs(X(from) - X(to)) < Math.Abs(Y(from) - Y(to));
            var (x, y) = ((X(from) + X(to)) / 2, (Y(from) + Y(to)) / 2);
            if (upright)
                Pen.Text(x + 5, y + 4, text, Letters, bold: true);
            else
                Pen.Text(x, y - 5, text, Letters, bold: true, TextSide.Middle);
        }

        internal void Spot(Point at) => Pen.Add(new PathShape(Role.Solid, [.. Step.Circle(X(at), Y(at), 6)]));

        // Outside of its wall, so that nothing in the room is under it.
        internal void Letter(Wall wall, Point centre, string facing)
        {
            var (mx, my) = ((X(wall.A) + X(wall.B)) / 2, (Y(wall.A) + Y(wall.B)) / 2);
            var (nx, ny) = (-wall.Dy, wall.Dx);
            var side = ((X(centre) - mx) * nx) + ((Y(centre) - my) * ny) > 0 ? -1 : 1;
            if (wall.Length.InInches * scale < Letters)
                return;
            Pen.Text(mx + (nx * side * 13), my + (ny * side * 13) + 4, facing[..1].ToUpperInvariant(), Letters, side: TextSide.Middle);
        }

        /// <summary>Its name where no cable goes over it; none where the room is narrower than its name.</summary>
        internal void Name(RoomShape room, IEnumerable<WayPiece> pieces)
        {
            var wide = TextWidths.Of(room.Room.Name, Letters, bold: false);
            if (wide > (room.MaxX - room.MinX).InInches * scale)
                return;
            var (x, y) = (X(room.Centre), Y(room.Centre));
            var free = new[] { 0.0, -Clear, Clear }
                .Where(dy => pieces.All(p => Apart(p, Area.Around(x, y + dy, wide, Clear))))
                .Cast<double?>()
                .FirstOrDefault();
            if (free is { } at)
                Pen.Add(new TextShape(Role.Words, x, y + at + 4, room.Room.Name, Letters) { State = "soft", Side = TextSide.Middle });
        }

        internal void Begin(Point at) => Pen.Fill(X(at) - 6, Y(at) - 6, X(at) + 6, Y(at) + 6);

        // Ways run along the axes: what a piece covers is a rectangle.
        private bool Apart(WayPiece p, Area text) =>
            Math.Max(X(p.From), X(p.To)) < text.X0
            || Math.Min(X(p.From), X(p.To)) > text.X1
            || Math.Max(Y(p.From), Y(p.To)) < text.Y0
            || Math.Min(Y(p.From), Y(p.To)) > text.Y1;

        private double X(Point p) => (p.X.InInches - x0) * scale;

        private double Y(Point p) => (p.Y.InInches - y0) * scale;
    }
}
