using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>The cables in a wall that is drawn unrolled: their ways, holes, staples and names.</summary>
internal static class WallStripCables
{
    /// <summary>Room over the wall for the names of what comes from above, in inches.</summary>
    internal const double Over = 46;

    /// <summary>Room under the distances for the names of what comes from below, in inches.</summary>
    internal const double Below = 40;

    // Cables in one bay are drawn beside each other, or they would be one line.
    private const double Beside = 1.3;

    private const double NameSize = 5;

    internal static void Draw(XmlWriter w, WallCables cables, Func<WallPlace, (double X, double Y)> at, double height, string selected)
    {
        var bays = new Dictionary<long, int>();
        var names = new Names();
        foreach (var cable in cables.Cables)
        {
            var picked = selected == RunLines.PickOf(cable.CableSegment) || selected == $"circuit:{cable.Circuit.Number}";
            var bay = cable.Path[0].Along.Units / 16 / 12;
            var aside = Aside(bays[bay] = bays.GetValueOrDefault(bay) + 1);
            var points = cable.Path.Select(p => at(p)).Select(p => (X: p.X + aside, Y: Math.Clamp(p.Y, -4, height + 4))).ToList();
            w.WriteStartElement("g");
            w.WriteAttributeString("class", $"cable {RunLines.Css(cable.CableSegment)}{(picked ? " picked" : "")}");
            w.WriteElementString("title", $"{cable.Name}, to {cable.CableSegment.To}");
            Shape(w, "path", "way", ("d", "M" + string.Join('L', points.Select(p => $"{N(p.X)} {N(p.Y)}"))));
            foreach (var staple in cable.Staples)
            {
                var (x, y) = at(staple);
                Shape(w, "path", "staple", ("d", $"M{N(x + aside - 1.4)} {N(y)}h2.8"));
            }

            // Named where it comes in from above or below; a cable from box to box in the wall has its ends to tell.
            foreach (var (point, outer) in new[] { (points[0], cable.Path[0]), (points[^1], cable.Path[^1]) })
            {
                if (outer.Height.InInches > height)
                    names.Add(w, point.X, -5, cable, up: true);
                else if (outer.Height.InInches < 0)
                    names.Add(w, point.X, height + 30, cable, up: false);
            }

            w.WriteEndElement();
        }

        foreach (var hole in cables.Holes)
        {
            var (x, y) = at(hole.At);
            Shape(w, "circle", "bored", ("cx", N(x)), ("cy", N(y)), ("r", N(Math.Max(0.7, hole.BitSixteenths / 32.0))));
            if (hole.NailPlate)
                Shape(w, "rect", "nail-plate", ("x", N(x - 1)), ("y", N(y - 2.5)), ("width", "2"), ("height", "5"));
            if (hole.Cables > 1)
                Text(w, "small", x + 3.2, y - 1.2, 4.5, $"{hole.Cables}");
        }
    }

    // 0, then to the right and to the left by turns.
    private static double Aside(int nth) => nth / 2 * (nth % 2 == 0 ? Beside : -Beside);

    /// <summary>Names that stand aslant and keep clear of each other.</summary>
    private sealed class Names
    {
        private readonly List<double> above = [],
            below = [];

        internal void Add(XmlWriter w, double x, double y, WallCable cable, bool up)
        {
            var taken = up ? above : below;
            while (taken.Any(t => Math.Abs(t - x) < NameSize))
                x += NameSize;
            taken.Add(x);
            w.WriteStartElement("g");
            w.WriteAttributeString("transform", $"translate({N(x)} {N(y)}) rotate({(up ? -60 : 60)})");
            Text(
                w,
                "cable-name",
                0,
                2,
                NameSize,
                $"{cable.Circuit.Number} {cable.Circuit.CableOf(cable.CableSegment)}{Use(cable.CableSegment)}",
                "start"
            );
            w.WriteEndElement();
        }

        private static string Use(Core.Routing.CableSegment segment) =>
            segment.From is null
                ? " HR"
                : segment.Use switch
                {
                    CableUse.Power => "",
                    CableUse.Travelers => " trav.",
                    CableUse.SwitchLoop => " loop",
                    CableUse.Interconnect => " alarms",
                    _ => " leg",
                };
    }
}
