using System.Globalization;
using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>
/// The cables of a storey by their real ways, each to be picked: power whole, legs dotted, travelers and loops in strokes and dots, home
/// runs broad.
/// </summary>
public static class RunLines
{
    /// <summary>What a cable is picked by.</summary>
    public static string PickOf(CableSegment segment) => segment.From is null ? $"run:{segment.To}" : $"run:{segment.To}:{segment.From}";

    /// <summary>The class by what it carries.</summary>
    public static string Css(CableSegment segment) =>
        segment.From is null
            ? "home"
            : segment.Use switch
            {
                CableUse.Power => "power",
                CableUse.Travelers or CableUse.SwitchLoop or CableUse.Interconnect => "travelers",
                _ => "leg",
            };

    internal static void Draw(XmlWriter w, JobAnalysis a, PlanView view)
    {
        var one = a.Circuits.FirstOrDefault(c =>
            view.Selected == $"circuit:{c.Number}"
            || c.Run.Cables.Any(h => view.Selected == PickOf(h))
            || c.Boxes.Any(b => view.Selected == $"box:{b.Id}")
        );
        foreach (var c in one is null ? a.Circuits : [one])
        {
            foreach (var segment in c.Run.Cables.Where(h => OnStorey(h.To) || (h.From is { } from && OnStorey(from))))
            {
                var points = Points(a.RouteOf(segment));
                if (points.Count < 2)
                    continue;
                var pick = PickOf(segment);
                var d = Way(points);
                w.WriteStartElement("g");
                w.WriteAttributeString(
                    "class",
                    $"run-line {Css(segment)}{(one is null ? "" : " of-one")}{(view.Selected == pick ? " picked" : "")}"
                        + $"{(segment.Longer > Length.Zero ? " led" : "")}"
                );
                w.WriteAttributeString("data-pick", pick);
                w.WriteAttributeString("data-run", segment.To);
                if (segment.From is not null)
                    w.WriteAttributeString("data-from", segment.From);
                w.WriteElementString(
                    "title",
                    $"Circuit {c.Number}, {c.CableOf(segment)} from {segment.From ?? "the panel"} to {segment.To}, "
                        + $"{segment.Cut.InFeet:0} ft"
                );
                Shape(w, "path", "hit-run", ("d", d));
                Shape(w, "path", "way", ("d", d));
                w.WriteEndElement();
                if (segment.From is null && one is null)
                    Number(w, points[^1], c.Number);
            }
        }

        bool OnStorey(string box) => a.House[a.Boxes[box].Room].Room.Storey == view.Storey;
    }

    /// <summary>A way as the path of a line.</summary>
    public static string Way(CableRoute route) => Points(route) is { Count: > 1 } points ? Way(points) : "";

    private static string Way(List<Point> points) => $"M{string.Join('L', points.Select(p => $"{N(p.X.InInches)} {N(p.Y.InInches)}"))}";

    private static List<Point> Points(CableRoute route)
    {
        var points = new List<Point>();
        foreach (var p in route.Pieces.SelectMany(p => new[] { p.From, p.To }))
            if (points.Count == 0 || points[^1] != p)
                points.Add(p);
        return points;
    }

    private static void Number(XmlWriter w, Point at, int number)
    {
        w.WriteStartElement("g");
        w.WriteAttributeString("transform", $"translate({N(at.X.InInches)} {N(at.Y.InInches)})");
        w.WriteStartElement("g");
        w.WriteAttributeString("class", "glyph");
        Text(w, "tag", 0, -9, 9, number.ToString(CultureInfo.InvariantCulture));
        w.WriteEndElement();
        w.WriteEndElement();
    }

    /// <summary>In the middle of the longest straight piece of the picked cable, over all boxes, where a hand takes hold of it.</summary>
    internal static void Handle(XmlWriter w, JobAnalysis a, PlanView view)
    {
        if (
            a.Circuits.SelectMany(c => c.Run.Cables).FirstOrDefault(h => view.Selected == PickOf(h)) is not { } segment
            || Points(a.RouteOf(segment)) is not { Count: > 1 } points
        )
            return;
        var (p, q) = points.Zip(points.Skip(1)).MaxBy(x => x.First.RectilinearTo(x.Second));
        Shape(
            w,
            "circle",
            "run-handle",
            ("cx", N((p.X.InInches + q.X.InInches) / 2)),
            ("cy", N((p.Y.InInches + q.Y.InInches) / 2)),
            ("r", "7"),
            ("data-run", segment.To),
            ("data-pick", view.Selected),
            ("data-from", segment.From ?? "")
        );
    }
}
