using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// Draws one wall as it stands in studs, seen from the room: openings, counters, boxes at their heights, the cables where they are
/// wanted; distances from the left corner along its foot, heights at its left end.
/// </summary>
public sealed class StripComposer
{
    // Beside the wall, for heights at its left and its whole length at the right; and under it for distances. In pixels.
    private const double Left = 62;
    private const double Right = 52;
    private const double Foot = 58;
    private const double Head = 16;

    private const double Plate = 1.5;
    private const double Counter = 36;
    private const double DoorHead = 82;
    private const double HeaderTall = 8;
    private const double JackStuds = 3;

    // From the left corner, and from the foot: where the dimension lines are, in pixels.
    private const double ChainAway = 12;
    private const double Tick = 3.5;

    private const double Letters = 11;
    private const double Lengths = 11;

    private readonly JobAnalysis a;
    private readonly RoomShape room;
    private readonly int wall;
    private readonly StripView view;
    private readonly LabelledSheet on;
    private readonly double length;
    private readonly double height;

    private StripComposer(JobAnalysis a, RoomShape room, int wall, StripView view)
    {
        (this.a, this.room, this.wall, this.view) = (a, room, wall, view);
        (length, height) = (room.Walls[wall].Length.InInches, room.Room.CeilingHeight.InInches);
        var scale = Math.Clamp((view.Wide - Left - Right) / length, view.LeastScale, view.MostScale);
        var (over, under) = view.Cables is { } cables ? StripCables.Room(cables, height, length * scale) : (0, 0);
        on = new(new(-Left / scale, -(Head + over) / scale, length + (Right / scale), height + ((Foot + under) / scale)), scale);
    }

    /// <summary>Draws a wall.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="room">The room from which it is seen.</param>
    /// <param name="wall">The number of its wall.</param>
    /// <param name="view">How.</param>
    public static Drawing Compose(JobAnalysis a, RoomShape room, int wall, StripView view) => new StripComposer(a, room, wall, view).Draw();

    private Drawing Draw()
    {
        on.Layer("frame");
        Frame();
        foreach (var o in room.Openings.Where(o => o.Wall == wall))
            Opening(o);
        Things();
        var boxes = a.Job.Decisions.Boxes.Where(b => b.Room == room.Room.Id && b.Wall == wall && !b.Outside).ToList();
        foreach (var box in boxes)
            on.Placer.Block(Body(box).Scaled(on.Scale).Grow(1));
        if (view.Cables is { } cables)
            StripCables.Compose(on, cables, view.Selected, p => (X(p.Along), height - p.Height.InInches), height);
        foreach (var box in boxes)
            Box(box);
        Distances(boxes);
        Heights(boxes);
        var label = $"{room.Room.Name}, {LabelWriter.Facing(room, wall)} wall{(a.Edition.Board is null ? " in studs" : "")}";
        var drawing = on.Done(label);
        return drawing with
        {
            Name = "strip-drawing",
            Layers = [.. drawing.Layers.Select(l => l with { Key = "" })],
            Data = [("width", SvgWriter.N(on.Sheet.Wide)), ("height", SvgWriter.N(on.Sheet.Tall))],
        };
    }

    // Seen from the room, so that what is at the left hand is drawn at the left.
    private double X(Length along) => room.RightIsAlong(wall) ? along.InInches : length - along.InInches;

    private (double From, double To) Span(Length from, Length to) => (Math.Min(X(from), X(to)), Math.Max(X(from), X(to)));

    private static PathShape Rectangle(Role role, double x, double y, double wide, double tall) =>
        new(role, [.. Step.Rectangle(new(x, y, x + wide, y + tall))]);

    private void Frame()
    {
        // A wall of masonry is one body; only its outline is drawn.
        if (a.Edition.Board is not null)
        {
            on.Add("frame", Rectangle(Role.Timber, 0, 0, length, height));
            return;
        }

        on.Add(
            "frame",
            Rectangle(Role.Timber, 0, height - Plate, length, Plate),
            Rectangle(Role.Timber, 0, 0, length, Plate),
            Rectangle(Role.Timber, 0, Plate, length, Plate)
        );
        var spacing = WallBody.Of(a.House, room, wall).StudSpacing;
        for (var at = Length.Zero; at <= room.Walls[wall].Length; at += spacing)
        {
            // A stud that would stand in an opening is cut: the ones beside the opening carry it.
            var through = room.Openings.Any(o => o.Wall == wall && at > o.From - Length.Inches(1) && at < o.To + Length.Inches(1));
            if (!through)
                on.Add("frame", Stud(Math.Clamp(X(at) - (Plate / 2), 0, length - Plate), Plate));
        }
    }

    private PathShape Stud(double x, double wide) => Rectangle(Role.Timber, x, 2 * Plate, wide, height - (3 * Plate));

    private void Opening(RoomOpening o)
    {
        var (from, to) = Span(o.From, o.To);
        var window = o.Opening.Kind == OpeningKind.Window;
        var sill = o.Opening.Foot.InInches;
        var head = Math.Min(o.Opening.Top.InInches, height - HeaderTall);
        on.Add(
            "frame",
            [
                .. a.Edition.Board is null ? new[] { Stud(from - JackStuds, JackStuds), Stud(to, JackStuds) } : [],
                Rectangle(Role.Timber, from - Plate, height - head - HeaderTall, to - from + (2 * Plate), HeaderTall),
                Rectangle(Role.Hole, from, height - head, to - from, head - sill - (sill > 0 ? Plate : 0)),
            ]
        );
        if (sill > 0)
            on.Add("frame", Rectangle(Role.Timber, from, height - sill, to - from, Plate));
        var what =
            window ? "window"
            : o.Opening.Kind == OpeningKind.Cased ? "opening"
            : "door";
        var middle = height - ((head + sill) / 2);
        Name(
            [$"{what} {LengthText.Show(o.To - o.From, a.Units)}", what],
            from,
            to,
            [middle, middle - 10, middle + 10, middle - 20, middle + 20]
        );
    }

    private void Things()
    {
        var counters = a
            .Job.Counters.Where(c => c.Room == room.Room.Id && c.Spot.Wall == wall && !c.Peninsula)
            .Select(c => (c.Spot, Name: "counter"));
        var appliances = a
            .Job.Appliances.Where(x => x.Room == room.Room.Id && x.Spot.Wall == wall && x.Spot.Depth >= Length.Inches(12))
            .Select(x => (x.Spot, ApplianceFacts.Of(a.Job, x).Name));
        foreach (var (spot, name) in counters.Concat(appliances))
        {
            var (from, to) = Span(spot.From, spot.From + spot.Width);
            on.Add("frame", Rectangle(Role.Thing, from, height - Counter, to - from, Counter));
            Name([name], from, to, [height - 5, height - 12, height - 19, height - 27]);
        }
    }

    // What something is called stands in it, where there is room for it.
    private void Name(string[] texts, double from, double to, double[] heights)
    {
        var fits = texts.Where(t => TextWidths.Of(t, Letters) < (to - from) * on.Scale).ToList();
        var places = fits.SelectMany((t, i) => heights.Select((y, n) => (Text: t, Y: y, Cost: (20.0 * i) + (3 * n)))).ToList();
        var x = (from + to) / 2;
        on.Label(
            30,
            "names",
            places.Select(p => new Candidate(TextWidths.Covered(p.Text, Letters, x * on.Scale, p.Y * on.Scale), p.Cost)),
            at => [Text(Role.ThingName, x, places[at].Y, places[at].Text)]
        );
    }

    private Area Body(Box box)
    {
        var gangs = a.Specs[box.Id].Gangs;
        var (wide, tall) = gangs == 0 ? (5.0, 5.0) : (gangs * 2.25, 4.0);
        return Area.Around(X(box.Along), height - box.Height.InInches, wide, tall);
    }

    private void Box(Box box)
    {
        var spec = a.Specs[box.Id];
        var (x, y, at) = (X(box.Along), height - box.Height.InInches, Body(box));
        var outline = spec.Gangs == 0 ? Step.Circle(x, y, 2.5) : Step.Rectangle(at);
        on.Add("drops", new PathShape(Role.Drop, [Step.From(x, at.Y1), Step.To(x, height + (ChainAway / on.Scale))]));
        var body = new PathShape(Role.Body, [.. outline]);
        GroupShape Group(params Shape[] shapes) =>
            new(Role.StripBox, [.. shapes])
            {
                State = $"{(view.Selected == $"box:{box.Id}" ? "picked " : "")}{(box.Held is null ? "" : "held")}".Trim(),
                Link = view.Link?.Invoke(box) ?? "",
                Title = $"{spec.Device}, {BoxSchedule.Place(a.House, box)}",
                Data = [("data-on-strip", box.Id)],
            };
        on.Add("boxes", Group(body));
        var (px, py, wide) = (x * on.Scale, y * on.Scale, TextWidths.Of(spec.Mark, Letters, bold: true));
        var (dx, dy) = (((at.Wide * on.Scale) + wide) / 2, ((at.Tall * on.Scale) + Letters) / 2);
        (double X, double Y, double Cost)[] around =
        [
            (0, -dy - 3, 0),
            (dx + 5, 0, 2),
            (-dx - 5, 0, 3),
            (0, dy + 3, 5),
            (dx + 3, -dy, 6),
            (-dx - 3, -dy, 7),
            (0, -dy - 16, 9),
            (dx + 5, dy + 6, 10),
            (-dx - 5, dy + 6, 11),
            (0, -dy - 29, 14),
        ];
        on.Label(
            10,
            "marks",
            around.Select(p => new Candidate(TextWidths.Covered(spec.Mark, Letters, px + p.X, py + p.Y, bold: true), p.Cost)),
            n => [Text(Role.MarkText, x, y, spec.Mark, around[n].X, around[n].Y, bold: true)]
        );
    }

    // From the left corner to the middle of each box, and the whole length at the end.
    private void Distances(List<Box> boxes)
    {
        var line = height + (ChainAway / on.Scale);
        on.Add("dims", new PathShape(Role.Dimension, [Step.From(0, line), Step.To(length, line)]));
        var stops = boxes
            .Select(b => (X: X(b.Along), Text: LengthText.Show(BoxSchedule.FromLeft(room, b, wall), a.Units)))
            .Append((X: 0, Text: "0"))
            .Append((X: length, Text: LengthText.Show(room.Walls[wall].Length, a.Units)))
            .DistinctBy(s => s.Text)
            .OrderBy(s => s.X);
        foreach (var (x, text) in stops)
        {
            on.Add("dims", new PathShape(Role.Dimension, [Step.From(x, line - (Tick / on.Scale)), Step.To(x, line + (Tick / on.Scale))]));
            var places = Enumerable
                .Range(0, 3)
                .SelectMany(row => new[] { 0, 14, -14, 28, -28, 46, -46 }.Select(dx => (Dx: (double)dx, Dy: 12.0 + (14 * row), Row: row)))
                .ToList();
            Dimension(x, line, text, places.Select(p => (p.Dx, p.Dy, (p.Row * 4) + (Math.Abs(p.Dx) / 4))));
        }
    }

    // The heights at which boxes stand, each once, and the ceiling's.
    private void Heights(List<Box> boxes)
    {
        const double Line = -14;
        var x = Line / on.Scale;
        on.Add("dims", new PathShape(Role.Dimension, [Step.From(x, 0), Step.To(x, height)]));
        foreach (
            var (tall, ceiling) in boxes
                .Select(b => (b.Height, false))
                .Append((room.Room.CeilingHeight, true))
                .DistinctBy(h => LengthText.Show(h.Item1, a.Units))
                .OrderBy(h => h.Item1)
        )
        {
            var y = height - tall.InInches;
            on.Add("dims", new PathShape(Role.Dimension, [Step.From(x - (Tick / on.Scale), y), Step.To(x + (Tick / on.Scale), y)]));
            var text = LengthText.Show(tall, a.Units);
            var aside = -((TextWidths.Of(text, Lengths) / 2) + 6);
            Dimension(x, y, text, new[] { 0, -8, 8, -15, 15, -26, 26, -38, 38 }.Select(dy => (aside, (double)dy, Math.Abs(dy) / 4.0)));
        }
    }

    private void Dimension(double x, double y, string text, IEnumerable<(double Dx, double Dy, double Cost)> around)
    {
        var places = around.ToList();
        on.Label(
            0,
            "dims",
            places.Select(p => new Candidate(
                TextWidths.Covered(text, Lengths, (x * on.Scale) + p.Dx, (y * on.Scale) + p.Dy).Grow(2),
                p.Cost
            )),
            at =>
            {
                var (dx, dy, cost) = places[at];
                var words = Text(Role.DimensionText, x, y, text, dx, dy);
                return cost < 4
                    ? [words]
                    : [new PathShape(Role.Leader, [Step.From(x, y), Step.To(x + (dx / on.Scale), y + ((dy - 6) / on.Scale))]), words];
            }
        );
    }

    private static AnchorShape Text(Role role, double x, double y, string text, double dx = 0, double dy = 0, bool bold = false) =>
        new(role, x, y, [new TextShape(role, dx, dy + TextWidths.Line(Letters), text, Letters) { Bold = bold }]);
}
