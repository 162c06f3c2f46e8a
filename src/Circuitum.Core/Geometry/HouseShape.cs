using System.Collections.Concurrent;
using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Union;

namespace Circuitum.Core.Geometry;

/// <summary>The door to the house's geometry: every room's shape with the openings that each side sees.</summary>
public sealed class HouseShape
{
    /// <summary>How far apart two walls may stand, in inches, and still be the two sides of one wall.</summary>
    public const double ThickestWallInches = 16;

    private readonly ImmutableDictionary<string, RoomShape> rooms;

    private ILookup<string, RoomShape>? byStorey;

    private HouseShape(Job job, ImmutableDictionary<string, RoomShape> rooms)
    {
        Job = job;
        this.rooms = rooms;
    }

    /// <summary>The job.</summary>
    public Job Job { get; }

    /// <summary>The shapes of all rooms, in the job's order.</summary>
    public IEnumerable<RoomShape> Rooms => Job.Rooms.Select(r => rooms[r.Id]);

    /// <summary>The shape of a room.</summary>
    public RoomShape this[string roomId] => rooms[roomId];

    /// <summary>The room in which a place lies; none between the rooms and outside.</summary>
    /// <param name="storey">The storey.</param>
    /// <param name="at">The place.</param>
    public RoomShape? RoomAt(string storey, Measure.Point at)
    {
        var shapes = byStorey ??= Rooms.ToLookup(r => r.Room.Storey);
        foreach (var r in shapes[storey])
        {
            if (at.X >= r.MinX && at.X <= r.MaxX && at.Y >= r.MinY && at.Y <= r.MaxY && r.Contains(at))
                return r;
        }

        return null;
    }

    /// <summary>The ids of the rooms that stand in one building with a room, itself among them.</summary>
    /// <param name="roomId">The room.</param>
    public ImmutableHashSet<string> BuildingOf(string roomId) => Buildings.Of(this, roomId);

    /// <summary>The ids of the rooms of the house itself, other buildings left out: of the building with the most rooms.</summary>
    public ImmutableHashSet<string> MainBuilding =>
        Job
            .Rooms.Select(r => BuildingOf(r.Id))
            .OrderByDescending(b => b.Count)
            .ThenBy(b => b.Min(StringComparer.Ordinal), StringComparer.Ordinal)
            .FirstOrDefault([]);

    /// <summary>Works out the shapes of a job whose document has been checked by <see cref="Intake.JobRules"/>.</summary>
    public static HouseShape Of(Job job)
    {
        var shapes = job.Rooms.ToImmutableDictionary(r => r.Id, r => new RoomShape(r));
        var seen = job.Rooms.ToDictionary(r => r.Id, _ => new List<RoomOpening>());
        foreach (var opening in job.Openings)
        {
            var beyond = opening.To == Opening.Outside ? null : opening.To;
            seen[opening.Room].Add(new RoomOpening(opening, opening.Wall, opening.From, opening.Hinge, opening.SwingsIn, beyond));
            if (beyond is not null && Mirror(opening, shapes[opening.Room], shapes[beyond]) is { } mirrored)
                seen[beyond].Add(mirrored);
        }

        foreach (var (id, list) in seen)
            shapes[id].Openings = [.. list.OrderBy(o => o.Wall).ThenBy(o => o.From)];
        return new HouseShape(job, shapes);
    }

    /// <summary>The opening as the room on the other side sees it, or none when that room has no wall there.</summary>
    public static RoomOpening? Mirror(Opening opening, RoomShape from, RoomShape to)
    {
        var wall = from.Walls[opening.Wall];
        var p = wall.At(opening.From);
        var q = wall.At(opening.From + opening.Width);
        RoomOpening? best = null;
        var nearest = ThickestWallInches;
        foreach (var other in to.Walls)
        {
            if (Math.Abs((wall.Dx * other.Dy) - (wall.Dy * other.Dx)) > 0.01)
                continue;
            var px = (p.X - other.A.X).InInches;
            var py = (p.Y - other.A.Y).InInches;
            var across = Math.Abs((py * other.Dx) - (px * other.Dy));
            if (across > nearest)
                continue;
            var u = (px * other.Dx) + (py * other.Dy);
            var v = ((q.X - other.A.X).InInches * other.Dx) + ((q.Y - other.A.Y).InInches * other.Dy);
            if (Math.Min(u, v) < -1 || Math.Max(u, v) > other.Length.InInches + 1)
                continue;
            nearest = across;
            var backwards = v < u;
            var hinge = backwards
                ? opening.Hinge == End.Start
                    ? End.Finish
                    : End.Start
                : opening.Hinge;
            best = new RoomOpening(
                opening,
                other.Index,
                Length.Max(Length.Zero, Length.Inches(Math.Min(u, v))),
                hinge,
                !opening.SwingsIn,
                from.Room.Id
            );
        }

        return best;
    }

    /// <summary>
    /// Floor area by the outside line, in square feet: the rooms that count, each grown by the outside wall's thickness,
    /// joined, storey by storey. Partitions close up because they are thinner than two such margins.
    /// </summary>
    /// <param name="counts">Whether a room counts.</param>
    public double OutsideAreaSqFt(Func<Room, bool> counts) =>
        Areas.Of(Job.Rooms, $"{Job.Frame.OutsideWall.Units}:{string.Concat(Job.Rooms.Select(r => counts(r) ? '1' : '0'))}", () =>
            AreaOf(counts)
        );

    /// <summary>Floor area by the inside of the outer walls, with the partitions between, in square feet.</summary>
    /// <param name="counts">The rooms that count.</param>
    public double InsideAreaSqFt(Func<Room, bool> counts) =>
        Areas.Of(Job.Rooms, $"in {Job.Frame.OutsideWall.Units}:{string.Concat(Job.Rooms.Select(r => counts(r) ? '1' : '0'))}", () =>
            AreaOf(counts, -Job.Frame.OutsideWall.InInches)
        );

    private static readonly RoomsMemo<double> Areas = new();

    // Grown by an outer wall the rooms of a storey run together; shrunk again, only their partitions stay with them.
    private double AreaOf(Func<Room, bool> counts, double shrink = 0)
    {
        var grow = new BufferParameters(1, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        double area = 0;
        foreach (var storey in Job.Storeys)
        {
            var grown = Job
                .Rooms.Where(r => r.Storey == storey.Id && counts(r))
                .Select(r => BufferOp.Buffer(Polygon(r.Outline), Job.Frame.OutsideWall.InInches, grow))
                .ToList();
            if (grown.Count > 0)
                area += (shrink < 0 ? BufferOp.Buffer(UnaryUnionOp.Union(grown), shrink, grow) : UnaryUnionOp.Union(grown)).Area / 144;
        }

        return area;
    }

    /// <summary>The walls of other rooms that are the other side of a room's wall, in order along it.</summary>
    /// <param name="room">The room.</param>
    /// <param name="wall">The number of its wall.</param>
    public ImmutableArray<FacingWall> Facing(RoomShape room, int wall) =>
        facing.GetOrAdd((room.Room.Id, wall), _ => FindFacing(room, wall));

    private readonly ConcurrentDictionary<(string Room, int Wall), ImmutableArray<FacingWall>> facing = [];

    private ImmutableArray<FacingWall> FindFacing(RoomShape room, int wall)
    {
        var own = room.Walls[wall];
        var found = new List<FacingWall>();
        foreach (var other in Rooms.Where(r => r != room && r.Room.Storey == room.Room.Storey))
        {
            // Most rooms are nowhere near; a glance at their edges saves the walls.
            if (
                other.MinX.InInches - room.MaxX.InInches > ThickestWallInches
                || room.MinX.InInches - other.MaxX.InInches > ThickestWallInches
                || other.MinY.InInches - room.MaxY.InInches > ThickestWallInches
                || room.MinY.InInches - other.MaxY.InInches > ThickestWallInches
            )
                continue;
            foreach (var w in other.Walls)
            {
                if (Math.Abs((own.Dx * w.Dy) - (own.Dy * w.Dx)) > 0.01)
                    continue;
                if ((room.InX(own) * other.InX(w)) + (room.InY(own) * other.InY(w)) > 0)
                    continue;
                var gap = -(((w.A.X - own.A.X).InInches * room.InX(own)) + ((w.A.Y - own.A.Y).InInches * room.InY(own)));
                if (gap < -1 || gap > ThickestWallInches)
                    continue;
                var u = ((w.A.X - own.A.X).InInches * own.Dx) + ((w.A.Y - own.A.Y).InInches * own.Dy);
                var v = ((w.B.X - own.A.X).InInches * own.Dx) + ((w.B.Y - own.A.Y).InInches * own.Dy);
                var (from, to) = (Math.Max(0, Math.Min(u, v)), Math.Min(own.Length.InInches, Math.Max(u, v)));
                if (to - from > 1)
                    found.Add(new(other, w.Index, gap, Length.Inches(from), Length.Inches(to)));
            }
        }

        return [.. found.OrderBy(f => f.From)];
    }

    /// <summary>Floor area in square feet that two rooms both cover.</summary>
    public static double OverlapSqFt(Room a, Room b) => OverlapSqFt(new RoomShape(a), new RoomShape(b));

    /// <inheritdoc cref="OverlapSqFt(Room, Room)"/>
    public static double OverlapSqFt(RoomShape a, RoomShape b) =>
        a.MaxX <= b.MinX || b.MaxX <= a.MinX || a.MaxY <= b.MinY || b.MaxY <= a.MinY
            ? 0
            : Polygon(a.Room.Outline).Intersection(Polygon(b.Room.Outline)).Area / 144;

    /// <summary>Whether an outline is a simple polygon, one that does not cross or touch itself.</summary>
    public static bool IsSimple(IReadOnlyList<Measure.Point> outline) => Polygon(outline).IsValid;

    internal static Polygon Polygon(IReadOnlyList<Measure.Point> outline)
    {
        var ring = outline.Select(p => new Coordinate(p.X.InInches, p.Y.InInches)).ToList();
        ring.Add(ring[0].Copy());
        return new Polygon(new LinearRing([.. ring]));
    }
}
