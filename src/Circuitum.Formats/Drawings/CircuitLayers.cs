using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// Circuits as people draw them: lines from box to box in the circuit's pencil and pattern, the home run as an arrow towards the panel,
/// and its number once in each room.
/// </summary>
internal static class CircuitLayers
{
    private const double TagSize = 11.5;
    private const double TagPad = 3.5;
    private const double ArrowLong = 20;
    private const int TagRank = 10;
    private const int NearPlaces = 24;

    internal static void Wiring(Composition on, List<PlacedMark> marks, Pencils pencils)
    {
        on.Layer("runs");
        var byBox = marks.ToDictionary(m => m.Box.Id);
        var only = Highlight.Of(on);
        foreach (var c in on.A.Circuits)
        {
            // Beside another plan, a circuit that would be another one shows its whole way.
            if (on.View.Changed is { } moved && c.Boxes.Any(b => moved.Contains(b.Id)))
            {
                on.Add("runs", c.Run.Cables.SelectMany(s => Way(on, s, "changed")));
                continue;
            }

            foreach (var s in c.Run.Cables)
            {
                if (s.From is null && c.Number == only)
                    on.Add("runs", Way(on, s, "picked"));
                if (s.From is { } from && byBox.TryGetValue(from, out var one) && byBox.TryGetValue(s.To, out var other))
                    on.Add("runs", Link(on, one, other, c, pencils, only));
            }
        }
    }

    internal static void Tags(Composition on, List<PlacedMark> marks, Pencils pencils)
    {
        on.Layer("home-runs");
        on.Layer("tags");
        var only = Highlight.Of(on);
        var byBox = marks.ToDictionary(m => m.Box.Id);
        foreach (var c in on.A.Circuits)
        {
            var state = only is { } o && o != c.Number ? "faint" : "";
            var home = c.Run.First is { } first ? byBox.GetValueOrDefault(first) : null;
            // Both ends of a ring come from the board.
            PlacedMark?[] ends = [home, c.Board?.Closing is { } closing ? byBox.GetValueOrDefault(closing.To) : null];
            foreach (var end in ends.OfType<PlacedMark>().Where(_ => c.Number != only))
            {
                if (on.A.PanelById(c.Panel) is { } panel)
                    on.Add("home-runs", Arrow(on, end, panel, pencils.Of(c), state));
            }

            foreach (var room in marks.Where(m => on.A.CircuitOf(m.Box.Id) == c).GroupBy(m => m.Room))
            {
                if (on.Detail.NumberAtEachBox)
                {
                    foreach (var mark in room)
                        Tag(on, c, [mark], mark == home, pencils, state);
                }
                else
                    Tag(on, c, [.. room.OrderByDescending(m => m == home)], room.Contains(home), pencils, state);
            }
        }
    }

    private static IEnumerable<Shape> Way(Composition on, CableSegment s, string state)
    {
        if (!OnStorey(s.To) && (s.From is not { } from || !OnStorey(from)))
            yield break;
        var points = RunLayers.Points(on.A.RouteOf(s));
        if (points.Count > 1)
            yield return new PathShape(Role.Run, RunLayers.Path(points)) { State = $"{state}{(s.From is null ? " home-run" : "")}" };

        bool OnStorey(string box) => on.A.House[on.A.Boxes[box].Room].Room.Storey == on.View.Storey;
    }

    // Of a few bows the one that comes over the fewest symbols.
    private static PathShape Link(Composition on, PlacedMark one, PlacedMark other, CircuitAnalysis c, Pencils pencils, int? only)
    {
        var ((x0, y0), (x1, y1)) = (one.Middle, other.Middle);
        var (dx, dy) = (x1 - x0, y1 - y0);
        var best = new[] { 0.06, -0.06, 0.16, -0.16, 0.28, -0.28 }
            .Select(bend => (X: ((x0 + x1) / 2) - (dy * bend), Y: ((y0 + y1) / 2) + (dx * bend)))
            .MinBy(b => Samples(b).Count(Crosses));
        foreach (var (x, y) in Samples(best))
            on.Placer.Worsen(Area.Around(x, y, 7, 7), 2);
        return new(
            Role.Wiring,
            [Step.From(x0 / on.Scale, y0 / on.Scale), new(StepKind.Bow, x1 / on.Scale, y1 / on.Scale, best.X / on.Scale, best.Y / on.Scale)]
        )
        {
            Pencil = pencils.Of(c),
            State =
                only is null ? ""
                : only == c.Number ? "picked"
                : "faint",
        };

        bool Crosses((double X, double Y) p)
        {
            var there = Area.Around(p.X, p.Y, 4, 4);
            return !one.Area.Overlaps(there) && !other.Area.Overlaps(there) && !on.Placer.Free(there);
        }

        IEnumerable<(double X, double Y)> Samples((double X, double Y) bend)
        {
            var count = Math.Max(3, (int)(Math.Sqrt((dx * dx) + (dy * dy)) / 8));
            for (var i = 1; i < count; i++)
            {
                var t = (double)i / count;
                var (u, v) = (1 - t, t);
                yield return ((u * u * x0) + (2 * u * v * bend.X) + (v * v * x1), (u * u * y0) + (2 * u * v * bend.Y) + (v * v * y1));
            }
        }
    }

    private static AnchorShape Arrow(Composition on, PlacedMark home, PanelAnalysis panel, int pencil, string state)
    {
        var (x, y) = home.Middle;
        var (px, py) = on.Pixels(on.A.House[panel.Panel.Room].On(panel.Panel.Wall, panel.Panel.Along));
        var far = Math.Max(1, Math.Sqrt(((px - x) * (px - x)) + ((py - y) * (py - y))));
        var (ux, uy) = ((px - x) / far, (py - y) / far);
        var from = (Math.Max(home.Symbol.Wide, home.Symbol.Tall) / 2) + 1;
        var to = from + ArrowLong;
        on.Placer.Worsen(Area.Around(x + (ux * to * 0.7), y + (uy * to * 0.7), 12, 12), 6);
        (double X, double Y) At(double along, double aside) => ((ux * along) - (uy * aside), (uy * along) + (ux * aside));
        var (a, b) = (At(from, 0), At(to - 4, 0));
        return new(
            Role.HomeRun,
            home.Anchor.X.InInches,
            home.Anchor.Y.InInches,
            [
                new AnchorShape(
                    Role.HomeRun,
                    home.Shift.X,
                    home.Shift.Y,
                    [
                        new PathShape(Role.HomeRun, [Step.From(a.X, a.Y), Step.To(b.X, b.Y)]) { Pencil = pencil },
                        new PathShape(Role.HomeRun, [.. Step.Ring([At(to, 0), At(to - 8, 4), At(to - 8, -4)])])
                        {
                            State = "head",
                            Pencil = pencil,
                        },
                    ]
                ),
            ]
        )
        {
            State = state,
        };
    }

    private static void Tag(Composition on, CircuitAnalysis c, List<PlacedMark> marks, bool home, Pencils pencils, string state)
    {
        var text = c.Number.ToString(CultureInfo.InvariantCulture);
        var (wide, tall) = (TextWidths.Of(text, TagSize, bold: true) + (2 * TagPad), TagSize + 3.5);
        var places = new List<(Candidate At, PlacedMark Mark)>();
        foreach (var (mark, i) in marks.Select((m, i) => (m, i)))
        {
            // Far places only for the first of them: they are all the same to who reads.
            foreach (var (x, y, cost) in Around(mark, wide, tall).Take(i < 2 ? int.MaxValue : NearPlaces))
            {
                var area = Area.Around(x, y, wide, tall);
                var outside = mark.Room.Contains(new(Length.Inches(x / on.Scale), Length.Inches(y / on.Scale))) != !mark.Box.Outside;
                places.Add((new(area, cost + (outside ? 9 : 0) + Math.Min(6, i)), mark));
            }
        }

        on.Label(home ? TagRank : TagRank + 1, "tags", places.Select(p => p.At), at => Draw(places[at].At.Area, places[at].Mark));

        IEnumerable<Shape> Draw(Area area, PlacedMark mark)
        {
            var (x, y) = (
                ((area.X0 + area.X1) / 2) - (mark.Middle.X - mark.Shift.X),
                ((area.Y0 + area.Y1) / 2) - (mark.Middle.Y - mark.Shift.Y)
            );
            var pencil = pencils.Of(c);
            yield return new AnchorShape(
                Role.Tag,
                mark.Anchor.X.InInches,
                mark.Anchor.Y.InInches,
                [
                    .. Leader(mark, area, x, y, pencil),
                    new PathShape(Role.Tag, [.. Step.Rectangle(Area.Around(x, y, wide, tall))])
                    {
                        State = home ? "box home" : "box",
                        Pencil = pencil,
                    },
                    new TextShape(Role.Tag, x, y + TextWidths.Line(TagSize), text, TagSize)
                    {
                        Bold = true,
                        State = home ? "home" : "",
                        Pencil = pencil,
                    },
                ]
            )
            {
                State = state,
                Data = [("data-pick", $"circuit:{c.Number}")],
            };
        }
    }

    // A number that stands away from its box is tied to it.
    private static IEnumerable<Shape> Leader(PlacedMark mark, Area area, double x, double y, int pencil)
    {
        const double Far = 16;
        if (area.To(mark.Area) > Far)
            yield return new PathShape(Role.Leader, [Step.From(mark.Shift.X, mark.Shift.Y), Step.To(x, y)]) { Pencil = pencil };
    }

    private static IEnumerable<(double X, double Y, double Cost)> Around(PlacedMark mark, double wide, double tall)
    {
        var (x, y) = mark.Middle;
        foreach (var (ring, gap) in new[] { 1.5, 7, 14, 24, 38, 56, 78, 104 }.Select((g, i) => (i, g)))
        {
            var (dx, dy) = (((mark.Symbol.Wide + wide) / 2) + gap, ((mark.Symbol.Tall + tall) / 2) + gap);
            (double X, double Y)[] sides =
            [
                (dx, 0),
                (0, -dy),
                (-dx, 0),
                (0, dy),
                (dx * 0.8, -dy * 0.8),
                (-dx * 0.8, -dy * 0.8),
                (dx * 0.8, dy * 0.8),
                (-dx * 0.8, dy * 0.8),
            ];
            foreach (var (side, i) in sides.Select((s, i) => (s, i)))
                yield return (x + side.X, y + side.Y, (ring * 4) + (i * 0.3));
        }
    }
}
