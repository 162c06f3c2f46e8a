using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Where a thing goes when a person points at the plan.</summary>
internal static class Pointing
{
    // Just outside a wall's inside face still means that wall, in inches.
    private const double Outside = 12;

    /// <summary>
    /// The room that a hand means that points at a place of a storey: the one it lies in, or whose wall is within a foot.
    /// </summary>
    internal static RoomShape? Room(Job job, string storey, Point at)
    {
        var house = HouseShape.Of(job);
        if (house.RoomAt(storey, at) is { } inside)
            return inside;
        var nearest = house.Rooms.Where(r => r.Room.Storey == storey).MinBy(r => r.InchesToWall(at));
        return nearest?.InchesToWall(at) <= Outside ? nearest : null;
    }

    /// <summary>The room's wall nearest to a place, within a foot outside or anywhere inside the room.</summary>
    internal static (RoomShape Shape, int Wall, Length Along)? Wall(Job job, string storey, Point at, string? only = null)
    {
        var shape =
            only is null ? Room(job, storey, at)
            : job.RoomById(only) is { } room && room.Storey == storey ? new RoomShape(room)
            : null;
        if (shape is null)
            return null;
        var (wall, along, _) = shape.Nearest(at);
        return (shape, wall, along);
    }

    /// <summary>Where a thing of a width begins when its middle is pointed at: on the wall, to the half inch.</summary>
    internal static Length From(RoomShape shape, int wall, Length middle, Length width)
    {
        var most = shape.Walls[wall].Length - width;
        return Length.Max(Length.Zero, Length.Min((middle - (width / 2)).RoundTo(Length.Inches(0.5)), most));
    }

    /// <summary>The sort of thing and its word, such as <c>appliance:range</c>; an empty sort when the word stands alone.</summary>
    internal static (string Sort, string Word) Sort(string what) => what.Split(':', 2) is [var sort, var word] ? (sort, word) : ("", what);
}
