using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>The wall that keeps fire in a garage from the house: what goes through it is sealed (300.21, building code R302.5.3).</summary>
internal static class GarageWall
{
    // A wall is shared where two rooms' faces lie this near to one point of it: the thickest frame and its boards.
    private static readonly Length Thick = Length.Inches(10);

    private static readonly Length Step = Length.Inches(6);

    /// <summary>What a cable over the ceilings goes through from garage to house.</summary>
    internal static BoredMember Above { get; } =
        new("Wall between garage and house, above the ceilings", MemberKind.Plates) { Garage = true };

    /// <summary>Whether a place is in a wall with the garage on one side and a room of the house on the other.</summary>
    internal static bool IsAt(JobAnalysis a, string storey, Point at)
    {
        var (garage, house) = (false, false);
        foreach (var room in a.House.Rooms)
        {
            if (room.Room.Storey != storey || Side(room) is not { } side || room.Nearest(at).Inches > Thick.InInches)
                continue;
            (garage, house) = (garage || side, house || !side);
        }

        return garage && house;
    }

    /// <summary>Where a piece over the ceilings comes from over the garage to over the house, or back.</summary>
    internal static IEnumerable<Point> Crossed(JobAnalysis a, WayPiece piece)
    {
        var below = a.Job.Storeys.OrderByDescending(s => s.Floor).FirstOrDefault(s => s.Floor <= piece.FromZ);
        if (below is null || !a.Job.Rooms.Any(r => r.Kind == RoomKind.Garage && r.Storey == below.Id))
            yield break;
        bool? last = null;
        foreach (var at in Along(piece))
        {
            if (a.House.RoomAt(below.Id, at) is not { } room || Side(room) is not { } side)
                continue;
            if (last is { } before && before != side)
                yield return at;
            last = side;
        }
    }

    // The plan's two axes one after the other, as a piece's length counts them.
    private static IEnumerable<Point> Along(WayPiece piece)
    {
        var corner = new Point(piece.To.X, piece.From.Y);
        foreach (var (from, to) in new[] { (piece.From, corner), (corner, piece.To) })
        {
            var steps = Math.Max(1, (int)(from.RectilinearTo(to).Units / Step.Units));
            for (var i = 0; i <= steps; i++)
                yield return new(from.X + ((to.X - from.X) * i / steps), from.Y + ((to.Y - from.Y) * i / steps));
        }
    }

    // Garage, house, or neither.
    private static bool? Side(RoomShape room) =>
        room.Room.Kind == RoomKind.Garage ? true
        : room.Room.Kind.OpenAir() || room.Room.Kind is RoomKind.AccessoryBuilding or RoomKind.Attic or RoomKind.CrawlSpace ? null
        : false;
}
