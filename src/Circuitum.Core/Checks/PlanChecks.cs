using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Union;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Core.Checks;

/// <summary>Rooms that cover each other, stand too close, or leave floor to nobody.</summary>
internal sealed class RoomsApart : ICheck
{
    private const double ThinnestWallInches = 2.5;
    private const double LeastSqFt = 0.1;

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var storey in a.Job.Storeys)
        {
            var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey.Id).ToList();
            foreach (var finding in Overlaps(a, rooms).Concat(Close(a, rooms)).Concat(Nobody(a, storey.Id, rooms)))
                yield return finding;
        }
    }

    private static IEnumerable<Finding> Overlaps(JobAnalysis a, List<RoomShape> rooms)
    {
        for (var i = 0; i < rooms.Count; i++)
        {
            for (var j = i + 1; j < rooms.Count; j++)
            {
                var over = HouseShape.OverlapSqFt(rooms[i], rooms[j]);
                if (over >= LeastSqFt)
                    yield return CheckList.Make(
                        a,
                        "plan.overlap",
                        $"{rooms[i].Room.Name} and {rooms[j].Room.Name} cover the same {over:0.0} sq ft.",
                        $"room:{rooms[i].Room.Id}",
                        $"room:{rooms[j].Room.Id}"
                    );
            }
        }
    }

    private static IEnumerable<Finding> Close(JobAnalysis a, List<RoomShape> rooms)
    {
        var told = new HashSet<string>();
        foreach (var room in rooms.Where(r => !r.Room.Kind.OpenAir()))
        {
            foreach (var wall in room.Walls)
            {
                var thin = a
                    .House.Facing(room, wall.Index)
                    .FirstOrDefault(f =>
                        !f.Room.Room.Kind.OpenAir()
                        && f.GapInches > -1
                        && f.GapInches < ThinnestWallInches
                        && f.To - f.From > Length.Inches(6)
                    );
                if (thin is null || !told.Add(string.Join('|', new[] { room.Room.Id, thin.Room.Room.Id }.Order(StringComparer.Ordinal))))
                    continue;
                var by = a.Job.Frame.Partition - Length.Inches(thin.GapInches);
                yield return CheckList.Make(
                    a,
                    "plan.gap",
                    $"{room.Room.Name} and {thin.Room.Room.Name} stand {LengthText.Show(Length.Inches(thin.GapInches))} apart: "
                        + "that is no wall.",
                    $"wall:{room.Room.Id}:{wall.Index}",
                    $"room:{thin.Room.Room.Id}"
                ) with
                {
                    Fix = new(
                        "Make room for a partition",
                        "move-wall",
                        [("room", room.Room.Id), ("wall", $"{wall.Index}"), ("by", $"-{LengthText.Print(by)}"), ("alone", "on")]
                    ),
                };
            }
        }
    }

    private static readonly RoomsMemo<List<(Point At, double SqFt)>> Hollows = new();

    private static IEnumerable<Finding> Nobody(JobAnalysis a, string storey, List<RoomShape> rooms)
    {
        var inside = rooms.Where(r => !r.Room.Kind.OpenAir()).ToList();
        if (inside.Count < 2)
            yield break;
        foreach (
            var (at, area) in Hollows.Of(a.Job.Rooms, $"{storey}:{a.Job.Frame.OutsideWall.Units}", () =>
                HollowsOf(inside, a.Job.Frame.OutsideWall)
            )
        )
        {
            var near = inside.MinBy(r => r.InchesToWall(at))!;
            yield return CheckList.Make(
                a,
                "plan.gap",
                $"About {area:0} sq ft beside {near.Room.Name} belong to no room. Draw a room or a closet there, or move the wall.",
                $"room:{near.Room.Id}"
            );
        }
    }

    private static List<(Point At, double SqFt)> HollowsOf(List<RoomShape> inside, Length wall)
    {
        var grow = new BufferParameters(1, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        var whole = UnaryUnionOp.Union(inside.Select(r => BufferOp.Buffer(HouseShape.Polygon(r.Room.Outline), wall.InInches, grow)));
        return
        [
            .. Enumerable
                .Range(0, whole.NumGeometries)
                .Select(whole.GetGeometryN)
                .OfType<Polygon>()
                .SelectMany(part => part.Holes.Select(h => new Polygon(h)))
                .Where(h => h.Area / 144 >= 1)
                .Select(h => (new Point(Length.Inches(h.Centroid.X), Length.Inches(h.Centroid.Y)), h.Area / 144)),
        ];
    }
}

/// <summary>A doorway for each room that people walk into.</summary>
internal sealed class WaysIn : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (
            var room in a.House.Rooms.Where(r =>
                !r.Room.Kind.Doorless()
                && !r.Openings.Any(o => o.IsDoorway)
                && !(r.Room.Kind == RoomKind.Garage && r.Openings.Any(o => o.Opening.Kind == OpeningKind.GarageDoor))
            )
        )
            yield return CheckList.Make(a, "plan.door", $"{room.Room.Name} has no door or cased opening.", $"room:{room.Room.Id}");
    }
}

/// <summary>Doors that swing into each other.</summary>
internal sealed class DoorSwings : ICheck
{
    private const double Hair = 0.25;

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var swings = a
            .House.Rooms.SelectMany(r =>
                r.Openings.Where(o => o.Opening.Kind == OpeningKind.Hinged && o.Opening.Room == r.Room.Id)
                    .Select(o => (Room: r, Door: o, Area: Swing(r, o)))
            )
            .ToList();
        for (var i = 0; i < swings.Count; i++)
        {
            for (var j = i + 1; j < swings.Count; j++)
            {
                var (one, two) = (swings[i], swings[j]);
                if (one.Room.Room.Storey != two.Room.Room.Storey || !one.Area.EnvelopeInternal.Intersects(two.Area.EnvelopeInternal))
                    continue;
                if (one.Area.Intersection(two.Area).Area / 144 < Hair)
                    continue;
                var (o, room) = (two.Door.Opening, two.Room);
                var inside = o.SwingsIn ? "out" : "in";
                yield return CheckList.Make(
                    a,
                    "plan.swing",
                    $"The door to {Where(a, one.Door)} and the door to {Where(a, two.Door)} swing through the same place.",
                    $"opening:{one.Door.Opening.Id}",
                    $"opening:{o.Id}"
                ) with
                {
                    Fix = new(
                        $"Let the door of {room.Room.Name} swing the other way",
                        "edit-opening",
                        [
                            ("opening", o.Id),
                            ("kind", nameof(OpeningKind.Hinged)),
                            ("from", LengthText.Print(o.From)),
                            ("width", LengthText.Print(o.Width)),
                            ("hinge", $"{o.Hinge}"),
                            ("swing", inside),
                        ]
                    ),
                };
            }
        }
    }

    private static string Where(JobAnalysis a, RoomOpening o) => o.Beyond is { } beyond ? a.House[beyond].Room.Name : "outside";

    // The quarter that the leaf sweeps, as a fan of a few corners.
    private static Polygon Swing(RoomShape room, RoomOpening o)
    {
        var (hinge, latch) = o.Hinge == End.Start ? (o.From, o.To) : (o.To, o.From);
        var width = o.Opening.Width.InInches;
        var (h, l) = (room.On(o.Wall, hinge), room.On(o.Wall, latch));
        var leaf = room.On(o.Wall, hinge, o.SwingsIn ? width : -width);
        var (ux, uy) = ((l.X - h.X).InInches / width, (l.Y - h.Y).InInches / width);
        var (vx, vy) = ((leaf.X - h.X).InInches / width, (leaf.Y - h.Y).InInches / width);
        var ring = new List<Coordinate> { new(h.X.InInches, h.Y.InInches) };
        for (var step = 0; step <= 6; step++)
        {
            var (c, s) = (Math.Cos(step * Math.PI / 12) * width, Math.Sin(step * Math.PI / 12) * width);
            ring.Add(new(h.X.InInches + (ux * c) + (vx * s), h.Y.InInches + (uy * c) + (vy * s)));
        }

        ring.Add(ring[0].Copy());
        return new(new LinearRing([.. ring]));
    }
}

/// <summary>110.26(A): the working space in front of the panel.</summary>
internal sealed class WorkingSpace : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var panel in a.Job.Panels)
        {
            foreach (var found in Of(a, panel))
                yield return found;
        }
    }

    private static IEnumerable<Finding> Of(JobAnalysis a, Panel panel)
    {
        var room = a.House[panel.Room];
        var (width, depth) = (a.Edition.Number("workingWidthIn"), a.Edition.Number("workingDepthIn"));
        var subject = $"panel:{panel.Id}";
        var length = room.Walls[panel.Wall].Length.InInches;

        if (length < width)
        {
            yield return CheckList.Make(
                a,
                "panel.space",
                $"The wall of the panel is only {LengthText.Show(room.Walls[panel.Wall].Length)} wide; working at it takes "
                    + $"{a.Edition.Say("workingWidthIn")}.",
                subject
            );
            yield break;
        }

        // The space need not be centred on the panel, but the panel has to be within it: the best place counts.
        string? problem = null;
        foreach (var shift in new[] { 0.0, 4, -4, 7.5, -7.5 })
        {
            var from = Math.Clamp(panel.Along.InInches - (width / 2) + shift, 0, length - width);
            var found = InTheWay(a, room, panel, from, width, depth);
            if (found is null)
                yield break;
            problem ??= found;
        }

        yield return CheckList.Make(a, "panel.space", problem!, subject);
    }

    private static string? InTheWay(JobAnalysis a, RoomShape room, Panel panel, double from, double width, double depth)
    {
        Point[] corners =
        [
            room.On(panel.Wall, Length.Inches(from), 1),
            room.On(panel.Wall, Length.Inches(from + width), 1),
            room.On(panel.Wall, Length.Inches(from + width), depth),
            room.On(panel.Wall, Length.Inches(from), depth),
        ];
        var space = new Polygon(new LinearRing([.. corners.Append(corners[0]).Select(p => new Coordinate(p.X.InInches, p.Y.InInches))]));
        if (!HouseShape.Polygon(room.Room.Outline).Buffer(0.5).Contains(space))
            return $"{room.Room.Name} is not deep enough in front of the panel: {a.Edition.Say("workingWidthIn")} wide and "
                + $"{a.Edition.Say("workingDepthIn")} deep stay free.";
        var things = a
            .Job.Counters.Where(c => c.Room == panel.Room)
            .Select(c => ("a counter", c.Spot))
            .Concat(
                a.Job.Fixtures.Where(f => f.Room == panel.Room && (f.Bottom ?? Length.Zero) < Length.Inches(78))
                    .Select(f => ($"a {f.Kind.ToString().ToLowerInvariant()}", f.Spot))
            )
            .Concat(
                a.Job.Appliances.Where(x => x.Room == panel.Room && Codes.ApplianceFacts.Of(x).Type.OutletHeightIn >= 0)
                    .Select(x => (Codes.ApplianceFacts.Of(x).Name, x.Spot))
            );
        foreach (var (name, spot) in things)
        {
            var (w, n, e, s) = Places.Box(room, spot);
            if (space.Intersection(GeometryFactory.Default.ToGeometry(new Envelope(w, e, n, s))).Area > 4)
                return $"The working space of the panel holds {name}.";
        }

        return null;
    }
}
