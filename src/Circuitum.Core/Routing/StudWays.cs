using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>A way through the studs from box to box.</summary>
/// <param name="Way">Its length, up and down to the holes counted.</param>
/// <param name="Holes">How high the holes are over the first floor.</param>
/// <param name="Via">Where it turns on its way.</param>
internal sealed record StudWay(Length Way, Length Holes, ImmutableArray<Point> Via)
{
    /// <summary>The way piece by piece.</summary>
    internal CableRoute Route(Point a, Length az, Point b, Length bz)
    {
        Point[] corners = [a, .. Via, b];
        WayPiece[] pieces =
        [
            new(WayKind.Wall, a, a, az, Holes),
            .. corners.Zip(corners.Skip(1), (p, q) => new WayPiece(WayKind.Studs, p, q, Holes, Holes)),
            new(WayKind.Wall, b, b, Holes, bz),
        ];
        return new([.. pieces.Where(p => p.Length > Length.Zero)]);
    }
}

/// <summary>
/// Ways through the studs of walls: around the walls of one room; along a wall that two rooms share or that both stand at; and
/// through the joint of two walls that meet.
/// </summary>
internal sealed class StudWays(HouseShape house)
{
    // Holes in studs are bored half a foot over the lower of two boxes.
    private static readonly Length OverBox = Length.Inches(6);

    // The usual head of a window; a cable over it would go through the field instead.
    private static readonly Length Header = Length.Inches(8);

    // From the sill to the holes under it: the sill's own plate and wood to hold the cable.
    private static readonly Length UnderSill = Length.Inches(6);

    // Farther than this through the studs of several rooms nobody drills.
    private static readonly Length Farthest = Length.Feet(20);

    private readonly Job job = house.Job;

    /// <summary>The way between two boxes, or none where no wall leads or a doorway is in it.</summary>
    internal StudWay? Between(Box a, Box b)
    {
        if (a.Wall is null || b.Wall is null || a.Outside || b.Outside)
            return null;
        if (a.Room == b.Room)
            return Around(house[a.Room], a, b);
        if (house[a.Room].Room.Storey != house[b.Room].Room.Storey || Places.Of(house, a).RectilinearTo(Places.Of(house, b)) > Farthest)
            return null;
        StudWay? best = null;
        foreach (var one in Sides(a))
        {
            foreach (var other in Sides(b))
            {
                var way = one == other ? AlongWall(one, a, b) : ThroughJoint(one, other, a, b);
                if (way is not null && (best is null || way.Way < best.Way))
                    best = way;
            }
        }

        return best;
    }

    // Both ways round the walls of a room.
    private StudWay? Around(RoomShape shape, Box a, Box b)
    {
        var (from, to) = (shape.ToPerimeter(a.Wall!.Value, a.Along), shape.ToPerimeter(b.Wall!.Value, b.Along));
        var ahead =
            Open(shape, from, to, out var inner) && Drilled(shape, a.Wall.Value, b.Wall.Value, to < from)
                ? Level(a, b, inner, Passed(shape, from, inner))
                : null;
        var back =
            Open(shape, to, from, out var outer) && Drilled(shape, b.Wall.Value, a.Wall.Value, from < to)
                ? Level(a, b, outer, Passed(shape, to, outer))
                : null;
        var forward = back is null || (ahead is not null && ahead.Way <= back.Way);
        if ((forward ? ahead : back) is not { } best)
            return null;
        var corners = ImmutableArray.CreateBuilder<Point>();
        var n = shape.Walls.Length;
        for (
            var w = a.Wall.Value;
            w != b.Wall.Value || (corners.Count == 0 && (forward ? to < from : to > from));
            w = forward ? (w + 1) % n : (w + n - 1) % n
        )
        {
            corners.Add(forward ? shape.Walls[w].B : shape.Walls[w].A);
            if (corners.Count > n)
                break;
        }

        return best with
        {
            Via = corners.ToImmutable(),
        };
    }

    // The wall of a box as its room sees it, and as the rooms on the other side do.
    private IEnumerable<(string Room, int Wall)> Sides(Box box)
    {
        var own = (box.Room, Wall: box.Wall!.Value);
        yield return own;
        foreach (var f in Facing(own).Where(f => !f.Room.Room.Kind.OpenAir() && box.Along >= f.From && box.Along <= f.To))
            yield return (f.Room.Room.Id, f.Wall);
    }

    private StudWay? AlongWall((string Room, int Wall) side, Box a, Box b)
    {
        var shape = house[side.Room];
        var wall = shape.Walls[side.Wall];
        var (pa, pb) = (Places.Of(house, a), Places.Of(house, b));
        var (from, to) = (wall.Along(pa), wall.Along(pb));
        if (Between(shape, side.Wall, from, to) is not { } passed || !Drilled(side, from, to))
            return null;
        var (outA, outB) = (Across(shape, wall, pa), Across(shape, wall, pb));
        var turn = shape.On(side.Wall, to, outA);
        return Level(a, b, (from - to).Abs() + Length.Inches(Math.Abs(outA - outB)), passed) is { } way ? way with { Via = [turn] } : null;
    }

    // Two walls that meet, in a corner or like a T.
    private StudWay? ThroughJoint((string Room, int Wall) one, (string Room, int Wall) other, Box a, Box b)
    {
        var (s, t) = (house[one.Room], house[other.Room]);
        var (v, w) = (s.Walls[one.Wall], t.Walls[other.Wall]);
        var cross = (v.Dx * w.Dy) - (v.Dy * w.Dx);
        if (Math.Abs(cross) < 0.5)
            return null;
        var (dx, dy) = ((w.A.X - v.A.X).InInches, (w.A.Y - v.A.Y).InInches);
        var onV = ((dx * w.Dy) - (dy * w.Dx)) / cross;
        var joint = s.On(one.Wall, Length.Inches(onV));
        var onW = w.Along(joint);
        var reach = HouseShape.ThickestWallInches;
        if (onV < -reach || onV > v.Length.InInches + reach || onW.InInches < -reach || onW.InInches > w.Length.InInches + reach)
            return null;
        var (pa, pb) = (Places.Of(house, a), Places.Of(house, b));
        if (
            Between(s, one.Wall, v.Along(pa), Length.Inches(onV)) is not { } first
            || Between(t, other.Wall, onW, w.Along(pb)) is not { } second
        )
            return null;
        if (!Drilled(one, v.Along(pa), Length.Inches(onV)) || !Drilled(other, onW, w.Along(pb)))
            return null;
        var along = pa.RectilinearTo(joint) + joint.RectilinearTo(pb);
        return Level(a, b, along, first.Concat(second)) is { } way ? way with { Via = [joint] } : null;
    }

    // The openings of a wall between two places along it, or none when one of them blocks the studs.
    private static List<RoomOpening>? Between(RoomShape shape, int wall, Length from, Length to)
    {
        var (low, high) = from < to ? (from, to) : (to, from);
        List<RoomOpening> passed = [.. shape.Openings.Where(o => o.Wall == wall && o.To > low && o.From < high)];
        return passed.Exists(BlocksStuds) ? null : passed;
    }

    // How far a place lies into the room from a wall's face, in inches; less than zero is within the wall or beyond it.
    private static double Across(RoomShape shape, Wall wall, Point p) =>
        ((p.X - wall.A.X).InInches * shape.InX(wall)) + ((p.Y - wall.A.Y).InInches * shape.InY(wall));

    // From here on along the walls to there: whether no doorway is between, and how far it is.
    private static bool Open(RoomShape shape, Length from, Length to, out Length way)
    {
        way = to >= from ? to - from : shape.Perimeter - (from - to);
        return !Passed(shape, from, way).Any(BlocksStuds);
    }

    // The openings that a way along the walls passes, and one in which it begins.
    private static IEnumerable<RoomOpening> Passed(RoomShape shape, Length from, Length way) =>
        shape.Openings.Where(o =>
        {
            var at = shape.ToPerimeter(o.Wall, o.From);
            var ahead = at >= from ? at - from : shape.Perimeter - (from - at);
            return ahead < way || ahead + (o.To - o.From) > shape.Perimeter;
        });

    // A doorway is in the way, and a window that leaves no room under its sill for the holes.
    private static bool BlocksStuds(RoomOpening o) => o.Opening.Kind != OpeningKind.Window || o.Opening.Foot < UnderSill + Length.Inches(8);

    // How high the holes are: over the lower box, or under the lowest sill on the way.
    private StudWay Level(Box a, Box b, Length along, IEnumerable<RoomOpening> passed)
    {
        var (za, zb, floor) = (Floor(a.Room) + a.Height, Floor(b.Room) + b.Height, Floor(a.Room));
        var holes = Length.Min(za, zb) + OverBox;
        foreach (var window in passed)
        {
            if (holes > floor + window.Opening.Foot - UnderSill && holes < floor + window.Opening.Top + Header)
                holes = floor + window.Opening.Foot - UnderSill;
        }

        return new(along + (za - holes).Abs() + (zb - holes).Abs(), holes, []);
    }

    // The walls from one to another in their order, all the way round when both ends are on the same one the wrong way about.
    private bool Drilled(RoomShape shape, int from, int to, bool round)
    {
        if (job.Walls.Length == 0)
            return true;
        var n = shape.Walls.Length;
        var steps = ((to - from + n) % n) + (from == to && round ? n : 0);
        return Enumerable.Range(0, steps + 1).All(k => Drilled(shape.Room.Id, (from + k) % n));
    }

    // A stretch of a wall and of all that stands on its other side there.
    private bool Drilled((string Room, int Wall) side, Length from, Length to)
    {
        if (job.Walls.Length == 0)
            return true;
        var (low, high) = from < to ? (from, to) : (to, from);
        return Drilled(side.Room, side.Wall)
            && Facing(side).Where(f => f.To >= low && f.From <= high).All(f => Drilled(f.Room.Room.Id, f.Wall));
    }

    private ImmutableArray<FacingWall> Facing((string Room, int Wall) side) => house.Facing(house[side.Room], side.Wall);

    // Masonry is not drilled along, and a panel wall only has its own chases; a person may close any wall.
    private bool Drilled(string room, int wall) =>
        job.Walls.Length == 0
        || WallBody.Of(house, house[room], wall)
            is { Build: not (WallBuild.Masonry or WallBuild.InsulatedPanel), Fact: not { NoCable: true } };

    private Length Floor(string room) => job.StoreyById(job.RoomById(room)!.Storey)!.Floor;
}
