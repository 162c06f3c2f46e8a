using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;

namespace Circuitum.Formats.Drawings;

/// <summary>What stands before the electrician comes: walls, floors, openings, fixed things.</summary>
internal static class HouseLayers
{
    // How much a name had rather stand beside a thing, or beside a wall, than over it, in pixels.
    private const double OverThing = 34;
    private const double OverWall = 12;

    internal static void Compose(Composition on)
    {
        // Walls are what is left between the floors: each room is drawn with a margin in ink, then all floors over it.
        var thick = on.A.Job.Frame.OutsideWall.InInches;
        foreach (var room in on.Rooms.Where(r => !r.Room.Kind.OpenAir()))
            on.Add(
                $"mass-{room.Room.Id}",
                IsTraced(on)
                    ? new PathShape(Role.Mass, [.. Around(room, thick)])
                    : new PathShape(Role.Mass, [.. Outline(room)]) { Breadth = thick * 2 }
            );
        foreach (var room in on.Rooms)
            on.Add($"floor-{room.Room.Id}", Floor(on, room));
        Ghosts(on);
        foreach (var room in on.Rooms)
            on.Add($"things-{room.Room.Id}", Things(on, room));
        foreach (var room in on.Rooms)
            on.Add($"walls-{room.Room.Id}", room.Walls.Select(w => Wall(on, room, w)));
        foreach (var room in on.Rooms)
            on.Add(
                $"openings-{room.Room.Id}",
                room.Openings.Where(o => o.Opening.Room == room.Room.Id).SelectMany(o => Opening(on, room, o))
            );
    }

    // What lies below shows faintly where rooms are laid out over it: walls stand on walls, pipes and chases go down somewhere.
    private static void Ghosts(Composition on)
    {
        on.Layer("ghosts");
        if (on.View.Stage != PlanStage.Rooms || on.View.StandAlone || on.A.Job.StoreyById(on.View.Storey) is not { } here)
            return;
        var below = on.A.Job.Storeys.Where(s => s.Floor < here.Floor).MaxBy(s => s.Floor);
        if (below is null)
            return;
        foreach (var room in on.A.House.Rooms.Where(r => r.Room.Storey == below.Id && !r.Room.Kind.OpenAir()))
            on.Add("ghosts", new PathShape(Role.Ghost, [.. Outline(room)]));
    }

    private static IEnumerable<Step> Outline(RoomShape room) => Step.Ring(room.Room.Outline.Select(p => (p.X.InInches, p.Y.InInches)));

    // Where a picture lies under the storey nothing may cover it but the walls themselves.
    private static bool IsTraced(Composition on) => on.View.Pictures.Length > 0 && on.A.Job.Underlays.Any(u => u.Storey == on.View.Storey);

    private static IEnumerable<Step> Around(RoomShape room, double thick)
    {
        var grow = new BufferParameters(1, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        var corners = room.Room.Outline.Select(c => new Coordinate(c.X.InInches, c.Y.InInches)).ToList();
        var floor = new Polygon(new LinearRing([.. corners, corners[0].Copy()]));
        var walls = BufferOp.Buffer(floor, thick, grow).Difference(floor);
        walls.Normalize();
        return walls is Polygon p
            ? p.Holes.Prepend(p.Shell).SelectMany(r => Step.Ring(r.Coordinates.SkipLast(1).Select(c => (c.X, c.Y))))
            : [];
    }

    private static string Picked(Composition on, string key) => on.View.Selected == key ? "picked" : "";

    private static string Words(params string[] words) => string.Join(' ', words.Where(w => w.Length > 0));

    private static PathShape Floor(Composition on, RoomShape room)
    {
        var (view, key) = (on.View, $"room:{room.Room.Id}");
        var traced = IsTraced(on) ? "traced" : "";
        var dark =
            view.Without is not { } without ? ""
            : without.NoPower.Any(r => r.Id == room.Room.Id) ? "unlit dead"
            : without.NoLight.Any(r => r.Id == room.Room.Id) ? "unlit"
            : "";
        return new(Role.Floor, [.. Outline(room)])
        {
            State = Words(room.Room.Kind.OpenAir() ? "outdoors rail" : "", traced, dark, Picked(on, key)),
            Data = [("data-pick", key)],
        };
    }

    // A wall is drawn by what is left between floors; this is where it is picked and dragged.
    private static PathShape Wall(Composition on, RoomShape room, Wall wall)
    {
        var key = $"wall:{room.Room.Id}:{wall.Index}";
        var axis =
            Math.Abs(wall.Dx) > 0.99 ? "y"
            : Math.Abs(wall.Dy) > 0.99 ? "x"
            : "n";
        var (p, q) = (room.On(wall.Index, Core.Measure.Length.Zero, -1.5), room.On(wall.Index, wall.Length, -1.5));
        var ((x0, y0), (x1, y1)) = (on.Pixels(p), on.Pixels(q));
        if (axis != "n")
            on.Placer.Worsen(new Area(Math.Min(x0, x1), Math.Min(y0, y1), Math.Max(x0, x1), Math.Max(y0, y1)).Grow(2), OverWall);
        return new(Role.Wall, [Step.From(p), Step.To(q)])
        {
            State = Words($"axis-{axis}", Picked(on, key)),
            Data = [("data-drag", key), ("data-axis", axis), ("data-at", SvgWriter.N(axis == "x" ? wall.A.X.InInches : wall.A.Y.InInches))],
        };
    }

    private static IEnumerable<Shape> Opening(Composition on, RoomShape room, RoomOpening o)
    {
        var key = $"opening:{o.Opening.Id}";
        var thick = Thickness(on.A, room, o);
        var (p, q) = (room.On(o.Wall, o.From, -thick / 2), room.On(o.Wall, o.To, -thick / 2));
        yield return new PathShape(Role.Opening, [Step.From(p), Step.To(q)]) { Breadth = thick + 1.4 };
        switch (o.Opening.Kind)
        {
            case OpeningKind.Window:
                foreach (var at in new[] { 0.3, 0.7 })
                    yield return new PathShape(
                        Role.Glass,
                        [Step.From(room.On(o.Wall, o.From, -thick * at)), Step.To(room.On(o.Wall, o.To, -thick * at))]
                    );
                break;
            case OpeningKind.Hinged:
                yield return Leaf(room, o, o.SwingsIn ? 0 : -thick);
                break;
            case OpeningKind.Pocket:
                var (from, to) = o.Hinge == End.Start ? (o.From - o.Opening.Width, o.From) : (o.To, o.To + o.Opening.Width);
                yield return new PathShape(
                    Role.Glass,
                    [Step.From(room.On(o.Wall, from, -thick / 2)), Step.To(room.On(o.Wall, to, -thick / 2))]
                )
                {
                    Dashes = "4 3",
                };
                break;
            case OpeningKind.Sliding or OpeningKind.GarageDoor:
                yield return new PathShape(Role.Glass, [Step.From(p), Step.To(q)]) { Dashes = "6 3" };
                break;
        }

        yield return new PathShape(Role.HitLine, [Step.From(p), Step.To(q)]) { State = Picked(on, key), Data = [("data-drag", key)] };
    }

    private static double Thickness(JobAnalysis a, RoomShape room, RoomOpening o)
    {
        if (o.Beyond is not { } beyond)
            return a.Job.Walls.FirstOrDefault(x => x.Room == room.Room.Id && x.Wall == o.Wall)?.Thickness?.InInches
                ?? a.Job.Frame.OutsideWall.InInches;
        var there = a.House[beyond].Openings.FirstOrDefault(x => x.Opening.Id == o.Opening.Id);
        if (there is null)
            return a.Job.Frame.Partition.InInches;

        // Seen from the other side the jambs may come in the other order: the nearer one is straight across.
        var jamb = a.House[beyond].On(there.Wall, there.From);
        return Math.Max(1, Math.Min(room.On(o.Wall, o.From).InchesTo(jamb), room.On(o.Wall, o.To).InchesTo(jamb)));
    }

    private static PathShape Leaf(RoomShape room, RoomOpening o, double face)
    {
        var (hinge, latch) = o.Hinge == End.Start ? (o.From, o.To) : (o.To, o.From);
        var width = o.Opening.Width.InInches;
        var leaf = room.On(o.Wall, hinge, face + (o.SwingsIn ? width : -width));
        var from = room.On(o.Wall, hinge, face);
        var to = room.On(o.Wall, latch, face);
        var cross = ((leaf.X - from.X).InInches * (to.Y - from.Y).InInches) - ((leaf.Y - from.Y).InInches * (to.X - from.X).InInches);
        return new(Role.Leaf, [Step.From(from), Step.To(leaf), new(StepKind.Arc, to.X.InInches, to.Y.InInches, width, cross > 0 ? 1 : 0)]);
    }

    private static IEnumerable<Shape> Things(Composition on, RoomShape room)
    {
        var (id, job) = (room.Room.Id, on.A.Job);
        return
        [
            .. job.Counters.Where(c => c.Room == id).SelectMany(c => Thing(on, room, $"counter:{c.Id}", c.Spot, "counter", "")),
            .. job
                .Fixtures.Where(f => f.Room == id)
                .SelectMany(f =>
                    Thing(
                        on,
                        room,
                        $"fixture:{f.Id}",
                        f.Spot,
                        f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Post ? "fixture barred" : "fixture",
                        f.Kind is FixtureKind.Sink or FixtureKind.Basin or FixtureKind.Post ? "" : f.Kind.ToString().ToLowerInvariant()
                    )
                ),
            .. job
                .Appliances.Where(x => x.Room == id)
                .SelectMany(x => Thing(on, room, $"appliance:{x.Id}", x.Spot, "appliance", ApplianceFacts.Of(job, x).Name)),
        ];
    }

    private static IEnumerable<Shape> Thing(Composition on, RoomShape room, string key, Spot spot, string kind, string name)
    {
        var (west, north, east, south) = Places.Box(room, spot);
        if (east - west < 0.5 || south - north < 0.5)
            yield break;
        var at = new Area(west, north, east, south);
        on.Placer.Worsen(new(west * on.Scale, north * on.Scale, east * on.Scale, south * on.Scale), OverThing);
        yield return new PathShape(Role.Thing, [.. Step.Rectangle(at)])
        {
            State = Words(kind, Picked(on, key)),
            Data = [("data-pick", key), ("data-drag", key)],
        };
        if (name.Length > 0 && on.View.Stage != PlanStage.Dimensioned && on.Detail.ThingNames(on.View.Stage))
            NameLabels.Thing(on, room, at, name);
    }
}
