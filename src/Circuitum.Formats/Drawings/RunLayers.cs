using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// The cables of a storey by their real ways, each to be picked: power whole, legs dotted, travelers and loops in strokes and dots, home
/// runs broad.
/// </summary>
internal static class RunLayers
{
    private const double NumberSize = 11.5;
    private const int NumberRank = 20;

    internal static void Compose(Composition on)
    {
        on.Layer("runs");
        on.Layer("run-numbers");
        var (a, view) = (on.A, on.View);
        var one = a.Circuits.FirstOrDefault(c =>
            view.Selected == $"circuit:{c.Number}"
            || c.Run.Cables.Any(h => view.Selected == RunLines.PickOf(h))
            || c.Boxes.Any(b => view.Selected == $"box:{b.Id}")
        );
        foreach (var c in one is null ? a.Circuits : [one])
        {
            foreach (var segment in c.Run.Cables.Where(h => OnStorey(on, h.To) || (h.From is { } from && OnStorey(on, from))))
            {
                var points = Points(a.RouteOf(segment));
                if (points.Count < 2)
                    continue;
                on.Add("runs", Line(c, segment, points, one is not null, on));
                if (segment.From is null)
                    Number(on, points[^1], c.Number);
            }
        }
    }

    /// <summary>In the middle of the longest straight piece of the picked cable, over all boxes, where a hand takes hold of it.</summary>
    internal static void Handle(Composition on)
    {
        on.Layer("run-handle");
        var picked = on.A.Circuits.SelectMany(c => c.Run.Cables).FirstOrDefault(h => on.View.Selected == RunLines.PickOf(h));
        if (picked is not { } segment || Points(on.A.RouteOf(segment)) is not { Count: > 1 } points)
            return;
        var (p, q) = points.Zip(points.Skip(1)).MaxBy(x => x.First.RectilinearTo(x.Second));
        on.Add(
            "run-handle",
            new AnchorShape(
                Role.RunHandle,
                (p.X.InInches + q.X.InInches) / 2,
                (p.Y.InInches + q.Y.InInches) / 2,
                [new PathShape(Role.Symbol, [.. Step.Circle(0, 0, 7.5)]) { State = "handle" }]
            )
            {
                Data = [("data-run", segment.To), ("data-pick", on.View.Selected), ("data-from", segment.From ?? "")],
            }
        );
    }

    /// <summary>The corners of a way.</summary>
    internal static List<Point> Points(CableRoute route)
    {
        var points = new List<Point>();
        foreach (var p in route.Pieces.SelectMany(p => new[] { p.From, p.To }))
        {
            if (points.Count == 0 || points[^1] != p)
                points.Add(p);
        }

        return points;
    }

    /// <summary>A line through places of the plan.</summary>
    internal static ImmutableArray<Step> Path(List<Point> points) => [.. points.Select((p, i) => i == 0 ? Step.From(p) : Step.To(p))];

    private static bool OnStorey(Composition on, string box) => on.A.House[on.A.Boxes[box].Room].Room.Storey == on.View.Storey;

    private static GroupShape Line(CircuitAnalysis c, CableSegment segment, List<Point> points, bool ofOne, Composition on)
    {
        var pick = RunLines.PickOf(segment);
        var path = Path(points);
        var words = new[]
        {
            RunLines.Css(segment),
            ofOne ? "of-one" : "",
            on.View.Selected == pick ? "picked" : "",
            segment.Longer > Length.Zero ? "led" : "",
        };
        return new(
            Role.RunLine,
            [new PathShape(Role.RunWay, path) { State = "hit-run" }, new PathShape(Role.RunWay, path) { State = "way" }]
        )
        {
            State = string.Join(' ', words.Where(w => w.Length > 0)),
            Title =
                $"Circuit {c.Number}, {c.CableOf(segment)} from {segment.From ?? $"the {on.A.Edition.Word("panel")}"} to {segment.To}, "
                + LengthText.Far(segment.Cut, on.A.Units),
            Data = [("data-pick", pick), ("data-run", segment.To), .. segment.From is { } from ? new[] { ("data-from", from) } : []],
        };
    }

    private static void Number(Composition on, Point at, int number)
    {
        var text = number.ToString(CultureInfo.InvariantCulture);
        var (x, y) = on.Pixels(at);
        var (wide, tall) = (TextWidths.Of(text, NumberSize, bold: true) + 3, NumberSize + 2);
        var places = new List<Candidate>();
        foreach (var (ring, gap) in new[] { 12.0, 18, 26, 36 }.Select((g, i) => (i, g)))
        {
            for (var i = 0; i < 12; i++)
            {
                var (sin, cos) = Math.SinCos(((i * 30) - 90) * Math.PI / 180);
                places.Add(new(Area.Around(x + (cos * (gap + (wide / 2))), y + (sin * gap), wide, tall), (ring * 4) + (i * 0.1)));
            }
        }

        on.Label(NumberRank, "run-numbers", places, chosen =>
        {
            var area = places[chosen].Area;
            var (dx, dy) = (((area.X0 + area.X1) / 2) - x, ((area.Y0 + area.Y1) / 2) - y);
            return
            [
                new AnchorShape(
                    Role.Tag,
                    at.X.InInches,
                    at.Y.InInches,
                    [
                        .. Math.Abs(dx) + Math.Abs(dy) > 24
                            ? new Shape[] { new PathShape(Role.Leader, [Step.From(0, 0), Step.To(dx, dy)]) }
                            : [],
                        new TextShape(Role.Tag, dx, dy + TextWidths.Line(NumberSize), text, NumberSize) { Bold = true, State = "halo" },
                    ]
                ),
            ];
        });
    }
}
