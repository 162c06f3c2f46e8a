using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Drafting;

/// <summary>What is on the other side of a wall, for what is put into it.</summary>
internal static class Beyond
{
    /// <summary>
    /// Where an opening goes and what it leads to: the room behind its middle, or the open air. One that would reach past the end of
    /// that room is moved along until it leads there in its whole width.
    /// </summary>
    internal static (Length From, string To) Of(Job job, RoomShape shape, int wall, Length from, Length width)
    {
        var house = HouseShape.Of(job with { Openings = [] });
        var middle = from + (width / 2);
        var facing = house.Facing(house[shape.Room.Id], wall);
        // Over the end of a partition that comes in from the other side, the nearer of its two rooms is meant.
        var between = facing.Any(f => f.To < middle) && facing.Any(f => f.From > middle);
        Length Off(FacingWall f) => Length.Max(Length.Zero, Length.Max(f.From - middle, middle - f.To));
        if (
            facing.OrderBy(Off).FirstOrDefault(f => Off(f) <= (between ? Length.Inches(HouseShape.ThickestWallInches) : Length.Zero))
            is not { } behind
        )
            return (from, Opening.Outside);
        if (Fits(behind) is { } fitting)
            return (fitting, behind.Room.Room.Id);

        // Too little of that room is behind the wall: the nearest one that has room for it, no farther off than its own width.
        var (at, room) = facing
            .Select(f => (At: Fits(f), f.Room))
            .Where(f => f.At is { } a && (a - from).Abs() <= width)
            .OrderBy(f => (f.At!.Value - from).Abs())
            .FirstOrDefault();
        return at is { } there ? (there, room.Room.Id) : (from, behind.Room.Room.Id);

        Length? Fits(FacingWall f) => f.To - f.From < width ? null : Length.Max(f.From, Length.Min(from, f.To - width));
    }
}
