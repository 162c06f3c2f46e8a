using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Core.Drafting;

/// <summary>Takes a closet or a nook out of a room, along one of its walls.</summary>
public static class Carve
{
    // A gap beside a closet that nobody can stand in is closed up: the closet goes to the corner.
    private static readonly Length LeastBeside = Length.Inches(14);

    /// <summary>Takes a smaller room out of a room. One that nearly fills the wall fills it.</summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    /// <param name="wall">The number of the wall at its back.</param>
    /// <param name="from">From the wall's first corner.</param>
    /// <param name="along">Along the wall, inside.</param>
    /// <param name="deep">Into the room, inside.</param>
    /// <param name="made">The smaller room; its outline follows.</param>
    /// <returns>The job, or a sentence when it cannot be.</returns>
    public static (Job? Job, string Problem) Out(Job job, string room, int wall, Length from, Length along, Length deep, Room made)
    {
        job = Turn.Clockwise(job, room);
        var shape = new RoomShape(job.RoomById(room)!);
        var own = shape.Walls[wall];
        if (along < Length.Feet(1) || deep < Length.Feet(1))
            return (null, "A closet is at least a foot wide and deep, such as 6 x 2.");
        var beside = job.Frame.Partition + LeastBeside;
        from = Length.Max(Length.Zero, Length.Min(from, own.Length - along));
        var to = Length.Min(own.Length, from + along);
        if (from > Length.Zero && from < beside)
            (from, to) = (Length.Zero, own.Length - along < beside ? own.Length : along);
        else if (to < own.Length && own.Length - to < beside)
            (from, to) = (own.Length - along < beside ? Length.Zero : own.Length - along, own.Length);
        var walls = job.Frame.Partition.InInches;
        Point[] outline =
        [
            shape.On(wall, from),
            shape.On(wall, to),
            Into(shape, own, shape.On(wall, to), deep.InInches),
            Into(shape, own, shape.On(wall, from), deep.InInches),
        ];
        var inside = HouseShape.Polygon(outline);
        var house = HouseShape.Polygon(shape.Room.Outline);
        if (house.Intersection(inside).Area < inside.Area - 1)
            return (null, "It would reach out of the room there. Type a smaller size.");
        var before = shape.On(wall, from - (from > Length.Zero ? job.Frame.Partition : Length.Inches(1)), -1);
        var after = shape.On(wall, to + (to < own.Length ? job.Frame.Partition : Length.Inches(1)), -1);
        Point[] cut =
        [
            before,
            after,
            Into(shape, own, after, deep.InInches + walls + 1),
            Into(shape, own, before, deep.InInches + walls + 1),
        ];
        if (house.Difference(HouseShape.Polygon(cut)) is not Polygon { NumInteriorRings: 0 } rest || rest.Area < 144)
            return (null, "It would cut the room in two. Type a smaller size, or divide the room by a partition.");
        made = made with { Outline = [.. outline] };
        var kept = shape.Room with { Outline = [.. Rings.Outline(rest, shape.Room.Outline.Concat(cut))] };
        return Rehang(job, shape, kept, made);
    }

    private static Point Into(RoomShape shape, Wall own, Point p, double inches) =>
        new(p.X + Length.ExactInches(inches * shape.InX(own)), p.Y + Length.ExactInches(inches * shape.InY(own)));

    private static (Job? Job, string Problem) Rehang(Job job, RoomShape was, Room kept, Room made)
    {
        var (keptShape, madeShape) = (new RoomShape(kept), new RoomShape(made));
        var blocked = false;
        var moved = Anchors.Map(job, kept.Id, (a, _) =>
        {
            var old = was.Walls[a.Wall];
            var there = Rings.Find(keptShape, old, a) ?? Rings.Find(madeShape, old, a);
            blocked |= there is null && a.Width > Length.Zero;
            return there;
        });
        if (blocked)
            return (null, "Something on the wall stands where its partition would meet it. Move it first.");
        moved = Anchors.Rehouse(moved, kept.Id, at => madeShape.Contains(at) ? made.Id : kept.Id);
        moved = moved with
        {
            Rooms = moved.Rooms.Replace(moved.RoomById(kept.Id)!, kept).Add(made),
            Decisions = BoxLayout.BoxProposal.DropLost(moved.Decisions),
        };
        return (SplitJoin.Retarget(moved, kept.Id, made.Id), "");
    }
}
