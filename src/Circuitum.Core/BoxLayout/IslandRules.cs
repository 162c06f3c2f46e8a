using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Receptacles of islands and peninsulas, which each edition asks for in its own way: one for each large enough, a number
/// by area, or only a provision for a later one (210.52(C)(2)).
/// </summary>
internal static class IslandRules
{
    internal static bool IsIsland(Counter counter) => counter.Spot.Wall is null || counter.Peninsula;

    internal static void Add(Draft draft, RoomShape shape)
    {
        foreach (var island in draft.Job.Counters.Where(c => c.Room == shape.Room.Id && IsIsland(c)))
        {
            var there = On(draft.House, draft.In(shape), shape, island).ToList();
            var wanted = Wanted(draft.Edition, island);
            if (wanted == 0)
            {
                if (draft.Edition.Ways.Island == IslandWay.Provision && there.Count == 0)
                    draft.Add(
                        new Box
                        {
                            Kind = BoxKind.Provision,
                            Room = shape.Room.Id,
                            At = Ends(shape, island, 1)[0],
                            Height = Length.Inches(18),
                        }
                    );
                continue;
            }

            var missing = wanted - there.Count(b => b.Kind == BoxKind.Receptacle);
            foreach (
                var at in Ends(shape, island, wanted)
                    .OrderBy(e => there.Count == 0 ? 0 : -there.Min(b => Places.Of(draft.House, b).InchesTo(e)))
                    .Take(Math.Max(0, missing))
            )
                draft.Add(
                    new Box
                    {
                        Kind = BoxKind.Receptacle,
                        Room = shape.Room.Id,
                        At = at,
                        Height = ReceptacleRules.CounterTop - Length.Inches(8),
                    }
                );
        }
    }

    /// <summary>How many receptacles an edition asks for on an island or a peninsula.</summary>
    internal static int Wanted(CodeEdition edition, Counter island)
    {
        var (width, depth) = (island.Spot.Width.InInches, island.Spot.Depth.InInches);
        switch (edition.Ways.Island)
        {
            case IslandWay.Each:
                return
                    Math.Max(width, depth) >= edition.Number("islandLeastLongIn")
                    && Math.Min(width, depth) >= edition.Number("islandLeastShortIn")
                    ? 1
                    : 0;
            case IslandWay.Area:
                var more = (width * depth / 144) - edition.Number("islandFirstSqFt");
                return 1 + Math.Max(0, (int)Math.Ceiling((more / edition.Number("islandMoreSqFt")) - 1e-9));
            default:
                return 0;
        }
    }

    /// <summary>The boxes that stand on an island.</summary>
    internal static IEnumerable<Box> On(HouseShape house, IEnumerable<Box> boxes, RoomShape shape, Counter island) =>
        boxes.Where(b =>
            b.Room == shape.Room.Id
            && b.Wall is null
            && b.Kind is (BoxKind.Provision or BoxKind.Receptacle)
            && Places.InchesTo(shape, island.Spot, Places.Of(house, b)) < 1
        );

    /// <summary>How far a place is from the outer end of a peninsula, in inches.</summary>
    internal static double FromOuterEnd(RoomShape shape, Counter peninsula, Point at)
    {
        var end = shape.On(peninsula.Spot.Wall!.Value, peninsula.Spot.From + (peninsula.Spot.Width / 2), peninsula.Spot.Depth.InInches);
        var wall = shape.Walls[peninsula.Spot.Wall!.Value];
        return Math.Abs(((at.X - end.X).InInches * shape.InX(wall)) + ((at.Y - end.Y).InInches * shape.InY(wall)));
    }

    /// <summary>How far inside the face of an island's cabinets a box stands: its own depth.</summary>
    internal const double FaceInches = 3;

    // In the faces of the short ends; what is between them in a long face: within the cabinets nobody reaches one.
    private static List<Point> Ends(RoomShape shape, Counter island, int count)
    {
        var (w, n, e, s) = Places.Box(shape, island.Spot);
        var along = e - w >= s - n;
        var (from, to) = along ? (w + 3, e - 3) : (n + 3, s - 3);
        if (island.Peninsula)
        {
            // The outer end first: that is the one farther from the wall.
            var wall = shape.Walls[island.Spot.Wall!.Value];
            along = Math.Abs(shape.InX(wall)) > Math.Abs(shape.InY(wall));
            var outward = along ? shape.InX(wall) : shape.InY(wall);
            (from, to) = along
                ? (outward > 0 ? e - 3 : w + 3, outward > 0 ? w + 12 : e - 12)
                : (outward > 0 ? s - 3 : n + 3, outward > 0 ? n + 12 : s - 12);
        }

        var middle = along ? (n + s) / 2 : (w + e) / 2;
        var face = along ? s - FaceInches : e - FaceInches;
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(i =>
                    (
                        Place: count == 1 ? from : from + ((to - from) * i / (count - 1)),
                        End: i == 0 || (i == count - 1 && !island.Peninsula)
                    )
                )
                .Select(p =>
                    along
                        ? new Point(Length.Inches(p.Place), Length.Inches(p.End ? middle : face))
                        : new Point(Length.Inches(p.End ? middle : face), Length.Inches(p.Place))
                ),
        ];
    }
}
