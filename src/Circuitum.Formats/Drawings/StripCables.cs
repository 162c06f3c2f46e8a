using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Formats.Drawings;

/// <summary>The cables in a wall that is seen from its room: their ways, holes, staples and names.</summary>
internal static class StripCables
{
    // Cables in one bay are drawn beside each other, or they would be one line. In pixels.
    private const double Beside = 3.5;

    private const double NameSize = 11;
    private const double RowTall = 14;
    private const double NameWide = 78;

    /// <summary>Pixels over and under the wall for the names of what comes in there.</summary>
    internal static (double Over, double Under) Room(WallCables cables, double height, double wide)
    {
        var ends = cables.Cables.SelectMany(c => new[] { c.Path[0], c.Path[^1] }).ToList();
        return (Rows(ends.Count(e => e.Height.InInches > height)), Rows(ends.Count(e => e.Height.InInches < 0)));

        // Names gather where a bundle comes in: twice the room that they would need side by side.
        double Rows(int names) => names == 0 ? 0 : (Math.Ceiling(2 * names * NameWide / wide) + 1) * RowTall;
    }

    internal static void Compose(
        LabelledSheet on,
        WallCables cables,
        string selected,
        Func<WallPlace, (double X, double Y)> at,
        double height
    )
    {
        var bays = new Dictionary<long, int>();
        on.Layer("cables");
        foreach (var cable in cables.Cables)
        {
            var picked = selected == RunLines.PickOf(cable.CableSegment) || selected == $"circuit:{cable.Circuit.Number}";
            var bay = cable.Path[0].Along.Units / 16 / 12;
            var aside = Aside(bays[bay] = bays.GetValueOrDefault(bay) + 1) / on.Scale;
            var edge = 8 / on.Scale;
            var points = cable.Path.Select(p => at(p)).Select(p => (X: p.X + aside, Y: Math.Clamp(p.Y, -edge, height + edge))).ToList();
            var staples = cable
                .Staples.Select(at)
                .Select(p => new PathShape(
                    Role.Staple,
                    [Step.From(p.X + aside - (3 / on.Scale), p.Y), Step.To(p.X + aside + (3 / on.Scale), p.Y)]
                ));
            on.Add(
                "cables",
                new GroupShape(
                    Role.Cable,
                    [
                        new PathShape(Role.RunWay, [.. points.Select((p, i) => i == 0 ? Step.From(p.X, p.Y) : Step.To(p.X, p.Y))])
                        {
                            State = "way",
                        },
                        .. staples,
                    ]
                )
                {
                    State = $"{RunLines.Css(cable.CableSegment)}{(picked ? " picked" : "")}",
                    Title = $"{cable.Name}, to {cable.CableSegment.To}",
                }
            );

            // Named where it comes in from above or below; a cable from box to box in the wall has its ends to tell.
            foreach (var (point, outer) in new[] { (points[0], cable.Path[0]), (points[^1], cable.Path[^1]) })
            {
                if (outer.Height.InInches > height)
                    Name(on, cable, point.X, point.Y, up: true);
                else if (outer.Height.InInches < 0)
                    Name(on, cable, point.X, point.Y + (38 / on.Scale), up: false);
            }
        }

        Holes(on, cables, at);
    }

    private static void Holes(LabelledSheet on, WallCables cables, Func<WallPlace, (double X, double Y)> at)
    {
        foreach (var hole in cables.Holes)
        {
            var (x, y) = at(hole.At);
            on.Add("holes", new PathShape(Role.Bored, [.. Step.Circle(x, y, Math.Max(0.7, hole.BitSixteenths / 32.0))]));
            if (hole.NailPlate)
                on.Add("holes", new PathShape(Role.NailPlate, [.. Step.Rectangle(Area.Around(x, y, 2, 5))]));
            if (hole.Cables < 2)
                continue;
            (double X, double Y)[] around = [(8, -9), (-8, -9), (8, 9), (-8, 9), (0, -14), (0, 14)];
            on.Label(
                20,
                "holes",
                around.Select(
                    (p, i) => new Candidate(TextWidths.Covered($"{hole.Cables}", NameSize, (x * on.Scale) + p.X, (y * on.Scale) + p.Y), i)
                ),
                n => [Text(x, y, $"{hole.Cables}", around[n].X, around[n].Y, "")]
            );
        }
    }

    private static void Name(LabelledSheet on, WallCable cable, double x, double y, bool up)
    {
        var text = $"{cable.Circuit.Number} {cable.Circuit.CableOf(cable.CableSegment)}{Use(cable.CableSegment)}";
        var places = Enumerable
            .Range(0, 14)
            .SelectMany(row =>
                new[] { 0, 30, -30, 60, -60, 100, -100 }.Select(dx => (X: (double)dx, Y: (up ? -1 : 1) * (10 + (RowTall * row)), Row: row))
            )
            .ToList();
        on.Label(
            5,
            "cable-names",
            places.Select(p => new Candidate(
                TextWidths.Covered(text, NameSize, (x * on.Scale) + p.X, (y * on.Scale) + p.Y).Grow(1),
                (p.Row * 3) + (Math.Abs(p.X) / 20)
            )),
            n =>
            {
                var (dx, dy, _) = places[n];
                var foot = dy + ((up ? 1 : -1) * 6);
                return
                [
                    new PathShape(Role.Leader, [Step.From(x, y), Step.To(x + (dx / on.Scale), y + (foot / on.Scale))]),
                    Text(x, y, text, dx, dy, "name"),
                ];
            }
        );
    }

    private static AnchorShape Text(double x, double y, string text, double dx, double dy, string state) =>
        new(Role.CableName, x, y, [new TextShape(Role.CableName, dx, dy + TextWidths.Line(NameSize), text, NameSize) { State = state }]);

    // 0, then to the right and to the left by turns.
    private static double Aside(int nth) => nth / 2 * (nth % 2 == 0 ? Beside : -Beside);

    private static string Use(CableSegment segment) =>
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
