using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Union;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Core.Drafting;

/// <summary>Divides a room by a partition, and makes one room of two.</summary>
public static class SplitJoin
{
    /// <summary>
    /// Divides a room by a partition that stands square on one of its walls. One part keeps the room's name and
    /// what hangs on it.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    /// <param name="wall">The wall on which the partition stands.</param>
    /// <param name="along">Middle of the partition, from that wall's first corner.</param>
    /// <param name="id">Id of the new room.</param>
    /// <param name="name">Its name.</param>
    /// <param name="anew">Whether the part with the wall's first corner is the new room, or the other.</param>
    /// <returns>The job, or a sentence when it cannot be.</returns>
    public static (Job? Job, string Problem) Split(Job job, string room, int wall, Length along, string id, string name, End anew)
    {
        var shape = new RoomShape(job.RoomById(room)!);
        var n = shape.Walls.Length;
        var own = shape.Walls[wall];
        var half = job.Frame.Partition / 2;
        if (along - half < Length.Feet(1) || along + half > own.Length - Length.Feet(1))
            return (
                null,
                $"A partition there would leave less than a foot of the wall, which is {LengthText.Show(own.Length, job.Units)} long."
            );
        var p = shape.On(wall, along);
        var (other, q) = Across(shape, own, p);
        if (other is null)
            return (null, "The wall across is not parallel there. Split from another wall.");
        var off = other.Along(q);
        if (off - half < Length.Inches(1) || off + half > other.Length - Length.Inches(1))
            return (null, "The partition would end in a corner. Choose another place.");

        // The first part goes from the partition's far end round to the wall's first corner; the second one the other way.
        var first = new List<Point> { own.At(along - half), other.At(off + half) };
        var firstFrom = new List<int> { -1, other.Index };
        for (var i = (other.Index + 1) % n; i != (wall + 1) % n; i = (i + 1) % n)
        {
            first.Add(shape.Walls[i].A);
            firstFrom.Add(i);
        }

        var second = new List<Point> { other.At(off - half), own.At(along + half) };
        var secondFrom = new List<int> { -1, wall };
        for (var i = (wall + 1) % n; i != (other.Index + 1) % n; i = (i + 1) % n)
        {
            second.Add(shape.Walls[i].A);
            secondFrom.Add(i);
        }

        if (anew == End.Start)
            (first, firstFrom, second, secondFrom) = (second, secondFrom, first, firstFrom);
        var kept = shape.Room with { Outline = [.. first] };
        var made = shape.Room with { Id = id, Name = name, Outline = [.. second], Extra = null };
        var (keptShape, madeShape) = (new RoomShape(kept), new RoomShape(made));
        var blocked = "";
        var moved = Anchors.Map(job, room, (a, _) =>
        {
            var was = shape.Walls[a.Wall];
            var (from, to) = (was.At(a.From), was.At(a.From + a.Width));
            foreach (var (part, walls) in new[] { (keptShape, firstFrom), (madeShape, secondFrom) })
            {
                var at = walls.IndexOf(a.Wall);
                if (at < 0)
                    continue;
                var now = part.Walls[at];
                var (s, t) = (now.Along(from), now.Along(to));
                if (s >= Length.Zero && t <= now.Length)
                    return new Anchor(part.Room.Id, at, s, a.Width);
            }

            if (a.Width > Length.Zero)
                blocked = "Something on the wall stands where the partition would meet it. Move it first.";
            return null;
        });
        if (blocked.Length > 0)
            return (null, blocked);
        moved = Anchors.Rehouse(moved, room, at => keptShape.Contains(at) || !madeShape.Contains(at) ? room : id);
        moved = moved with { Rooms = moved.Rooms.Replace(moved.RoomById(room)!, kept).Add(made) };
        return (Retarget(moved, room, id), "");
    }

    /// <summary>Makes one room of two that share a wall; the partition and its doors go. The first one's name stays.</summary>
    public static (Job? Job, string Problem) Join(Job job, string first, string second)
    {
        job = Turn.Clockwise(Turn.Clockwise(job, first), second);
        var house = HouseShape.Of(job);
        var (a, b) = (house[first], house[second]);
        var between = a.Walls.SelectMany(w => house.Facing(a, w.Index).Where(f => f.Room == b).Select(f => (Wall: w, Facing: f))).ToList();
        if (between.Count == 0)
            return (null, $"{a.Room.Name} and {b.Room.Name} have no wall between them.");
        var pieces = new List<NetTopologySuite.Geometries.Geometry>
        {
            HouseShape.Polygon(a.Room.Outline),
            HouseShape.Polygon(b.Room.Outline),
        };
        foreach (var (wall, f) in between)
        {
            // A hair more than the gap on either side, so that rounding leaves no crack.
            Point[] strip =
            [
                a.On(wall.Index, f.From, 0.01),
                a.On(wall.Index, f.To, 0.01),
                a.On(wall.Index, f.To, -f.GapInches - 0.01),
                a.On(wall.Index, f.From, -f.GapInches - 0.01),
            ];
            Coordinate[] ring = [.. strip.Append(strip[0]).Select(p => new Coordinate(p.X.InInches, p.Y.InInches))];
            pieces.Add(new Polygon(new LinearRing(ring)));
        }

        if (UnaryUnionOp.Union(pieces) is not Polygon { NumInteriorRings: 0 } whole)
            return (null, "The two rooms would not make one outline.");
        var outline = Rings.Outline(whole, a.Room.Outline.Concat(b.Room.Outline));
        var joined = a.Room with { Outline = [.. outline] };
        if (outline.Count < 3)
            return (null, "The two rooms would not make one outline.");
        var after = new RoomShape(joined);
        var blocked = "";
        var doors = job.Openings.Where(o => (o.Room == first && o.To == second) || (o.Room == second && o.To == first)).ToHashSet();
        var moved = job with { Openings = job.Openings.RemoveAll(doors.Contains) };
        foreach (var shape in new[] { a, b })
        {
            moved = Anchors.Map(moved, shape.Room.Id, (x, _) =>
            {
                var was = shape.Walls[x.Wall];
                if (Rings.Find(after, was, x) is { } there)
                    return there with { Room = first };
                if (x.Width > Length.Zero)
                    blocked = "Something stands on the wall between the two rooms. Move it first.";
                return null;
            });
        }

        if (blocked.Length > 0)
            return (null, blocked);
        moved = Anchors.Rehouse(moved, second, _ => first);
        moved = moved with
        {
            Rooms = moved.Rooms.Replace(moved.RoomById(first)!, joined).RemoveAll(r => r.Id == second),
            Openings = [.. moved.Openings.Select(o => o.To == second ? o with { To = first } : o)],
            Decisions = BoxLayout.BoxProposal.DropLost(moved.Decisions),
        };
        return (moved, "");
    }

    // The wall straight across from a place on a wall, and the place there.
    private static (Wall? Wall, Point At) Across(RoomShape shape, Wall own, Point p)
    {
        var (x, y) = (shape.InX(own), shape.InY(own));
        (Wall? Wall, Point At, double Way) best = (null, p, double.MaxValue);
        foreach (var w in shape.Walls.Where(w => w.Index != own.Index))
        {
            var cross = (x * w.Dy) - (y * w.Dx);
            if (Math.Abs(cross) < 1e-9)
                continue;
            var (dx, dy) = ((w.A.X - p.X).InInches, (w.A.Y - p.Y).InInches);
            var way = ((dx * w.Dy) - (dy * w.Dx)) / cross;
            var s = ((dx * y) - (dy * x)) / cross;
            if (way <= 0.5 || way >= best.Way || s < 0 || s > w.Length.InInches)
                continue;
            best = (Math.Abs(Math.Abs(cross) - 1) < 0.001 ? w : null, w.At(Length.Inches(s)), way);
        }

        return (best.Wall, best.At);
    }

    // Doors given on a neighbour's wall lead to whichever part is now behind them.
    internal static Job Retarget(Job job, string old, string made)
    {
        var house = job with { Openings = [.. job.Openings.Where(o => o.To != old)] };
        var shapes = house.Rooms.ToDictionary(r => r.Id, r => new RoomShape(r));
        return job with
        {
            Openings =
            [
                .. job.Openings.Select(o =>
                    o.To == old
                    && HouseShape.Mirror(o, shapes[o.Room], shapes[old]) is null
                    && HouseShape.Mirror(o, shapes[o.Room], shapes[made]) is not null
                        ? o with
                        {
                            To = made,
                        }
                        : o
                ),
            ],
        };
    }
}
