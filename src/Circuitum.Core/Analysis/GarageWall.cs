using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>The wall that keeps fire in a garage from the house: what goes through it is sealed (300.21, building code R302.5.3).</summary>
internal sealed class GarageWall(JobAnalysis a)
{
    // A wall is shared where two rooms' faces lie this near to one point of it: the thickest frame and its boards.
    private static readonly Length Thick = Length.Inches(10);

    private static readonly Length Step = Length.Inches(6);

    private readonly ILookup<string, RoomShape> garages = a
        .House.Rooms.Where(r => r.Room.Kind == RoomKind.Garage)
        .ToLookup(r => r.Room.Storey);

    private readonly ILookup<string, RoomShape> rooms = a.House.Rooms.Where(r => Side(r) == false).ToLookup(r => r.Room.Storey);

    /// <summary>What a cable over the ceilings goes through from garage to house.</summary>
    internal static BoredMember Above { get; } =
        new("Wall between garage and house, above the ceilings", MemberKind.Plates) { Garage = true };

    /// <summary>Whether a place is in a wall with the garage on one side and a room of the house on the other.</summary>
    internal bool IsAt(string storey, Point at) => garages[storey].Any(g => Near(g, at)) && rooms[storey].Any(r => Near(r, at));

    /// <summary>Where a piece over the ceilings comes from over the garage to over the house, or back.</summary>
    internal IEnumerable<Point> Crossed(WayPiece piece)
    {
        var below = a.Job.Storeys.OrderByDescending(s => s.Floor).FirstOrDefault(s => s.Floor <= piece.FromZ);
        if (below is null || !garages[below.Id].Any(g => Reaches(piece, g)))
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

    private static bool Near(RoomShape room, Point at) =>
        at.X >= room.MinX - Thick
        && at.X <= room.MaxX + Thick
        && at.Y >= room.MinY - Thick
        && at.Y <= room.MaxY + Thick
        && room.Nearest(at).Inches <= Thick.InInches;

    // Whether the rectangles round both have a place in common: most pieces are nowhere near, and looking room by room takes long.
    private static bool Reaches(WayPiece piece, RoomShape garage) =>
        Length.Max(piece.From.X, piece.To.X) >= garage.MinX
        && Length.Min(piece.From.X, piece.To.X) <= garage.MaxX
        && Length.Max(piece.From.Y, piece.To.Y) >= garage.MinY
        && Length.Min(piece.From.Y, piece.To.Y) <= garage.MaxY;

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
