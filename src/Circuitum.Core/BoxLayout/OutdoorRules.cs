using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Outdoor receptacles (210.52(E)): on each porch, deck and balcony that is entered from inside, and one at the front and
/// one at the back that are reached from grade. Where no such place is drawn, on the outer face of a wall.
/// </summary>
internal static class OutdoorRules
{
    // All of this is said of the dwelling; what hangs on a shed serves the shed.
    private static readonly Length OverFloor = Length.Inches(20);

    internal static void Add(Draft draft)
    {
        var one = draft.Edition.Ways.Outdoor == OutdoorWay.One;
        foreach (var shape in draft.Rooms.Where(r => r.Room.Kind is RoomKind.Porch or RoomKind.Deck))
            AtDoor(draft, shape);
        foreach (var front in one ? Sides.Reverse() : Sides)
        {
            if (Served(draft.House, draft.Edition, draft.All, front) || (one && IsServed(draft.House, draft.Edition, [.. draft.All])))
                continue;
            if (OuterWall(draft, front) is { } place && draft.Rooms.Any(r => r.Room.Id == place.Room))
                draft.Add(
                    new Box
                    {
                        Kind = BoxKind.Receptacle,
                        Room = place.Room,
                        Wall = place.Wall,
                        Along = place.Along,
                        Height = OverFloor,
                        Outside = true,
                    }
                );
        }
    }

    /// <summary>The front, then the back.</summary>
    internal static IEnumerable<bool> Sides { get; } = [true, false];

    /// <summary>Whether a receptacle that is reached from grade stands on any side of the house.</summary>
    internal static bool IsServed(HouseShape house, CodeEdition edition, IReadOnlyCollection<Box> boxes) =>
        Sides.Any(front => Served(house, edition, boxes, front));

    // Beside the door by which a person comes out; on the wall of the house, which the porch's own outline touches there.
    private static void AtDoor(Draft draft, RoomShape shape)
    {
        if (draft.In(shape).Any(b => b.Kind == BoxKind.Receptacle) || shape.Openings.FirstOrDefault(o => o.IsDoorway) is not { } door)
            return;
        var length = shape.Walls[door.Wall].Length;
        var along = door.Hinge == End.Start ? door.To + Length.Inches(14) : door.From - Length.Inches(14);
        if (along < Length.Inches(4) || along > length - Length.Inches(4))
            along = door.Hinge == End.Start ? door.From - Length.Inches(14) : door.To + Length.Inches(14);
        along = Length.Min(Length.Max(along, Length.Zero), length);
        draft.Add(
            new Box
            {
                Kind = BoxKind.Receptacle,
                Room = shape.Room.Id,
                Wall = door.Wall,
                Along = along,
                Height = OverFloor,
            }
        );
    }

    /// <summary>
    /// Whether a receptacle outdoors, at most 6-1/2 ft over grade, stands at the front, or else at the back, of the house.
    /// </summary>
    internal static bool Served(HouseShape house, CodeEdition edition, IEnumerable<Box> boxes, bool front)
    {
        if (Middle(house) is not { } middle)
            return true;
        var most = edition.Number("outdoorHeightMostIn").Length;
        return boxes.Any(b =>
            b.Kind == BoxKind.Receptacle
            && RoomUse.OfDwelling(house, b.Room)
            && edition.Traits(house.Job.KindAt(b)).Outdoors
            && house.Job.StoreyById(house[b.Room].Room.Storey)!.Floor + b.Height <= most
            && Looks(house, middle, b, front)
        );
    }

    // What is on a wall that looks to the front is at the front wherever that wall stands; a side wall or a porch goes by its place.
    private static bool Looks(HouseShape house, Point middle, Box box, bool front)
    {
        var outwards = box is { Outside: true, Wall: { } wall } ? Outwards(house, house[box.Room], wall) : 0;
        return Math.Abs(outwards) > Squarely ? outwards > 0 == front : InFront(house, middle, Places.Of(house, box)) == front;
    }

    private const double Squarely = 0.7;

    // How far a wall's outer face looks to the front: 1 squarely, -1 to the back, 0 sideways.
    private static double Outwards(HouseShape house, RoomShape room, int wall) =>
        -(
            house.Job.Frame.Front switch
            {
                Side.South => room.InY(room.Walls[wall]),
                Side.North => -room.InY(room.Walls[wall]),
                Side.East => room.InX(room.Walls[wall]),
                _ => -room.InX(room.Walls[wall]),
            }
        );

    private static Point? Middle(HouseShape house)
    {
        var ground = Ground(house);
        var inside = house
            .Rooms.Where(r => r.Room.Storey == ground?.Id && !r.Room.Kind.OpenAir() && RoomUse.OfDwelling(house, r.Room.Id))
            .ToList();
        return inside.Count == 0
            ? null
            : new((inside.Min(r => r.MinX) + inside.Max(r => r.MaxX)) / 2, (inside.Min(r => r.MinY) + inside.Max(r => r.MaxY)) / 2);
    }

    private static bool InFront(HouseShape house, Point middle, Point p) =>
        house.Job.Frame.Front switch
        {
            Side.South => p.Y > middle.Y,
            Side.North => p.Y < middle.Y,
            Side.East => p.X > middle.X,
            _ => p.X < middle.X,
        };

    /// <summary>The storey that lies at grade: the one whose floor is nearest to the first floor's.</summary>
    internal static Storey? Ground(HouseShape house) =>
        house.Rooms.Where(r => !r.Room.Kind.OpenAir()).Select(r => house.Job.StoreyById(r.Room.Storey)!).MinBy(s => s.Floor.Abs());

    // The longest clear stretch of an outer face that looks the right way, living rooms before garages.
    private static (string Room, int Wall, Length Along)? OuterWall(Draft draft, bool front)
    {
        var house = draft.House;
        if (Ground(house) is not { } ground)
            return null;
        (string, int, Length)? best = null;
        var most = 0.0;
        foreach (
            var room in house.Rooms.Where(r =>
                r.Room.Storey == ground.Id && !r.Room.Kind.Doorless() && RoomUse.OfDwelling(house, r.Room.Id)
            )
        )
        {
            foreach (var wall in room.Walls)
            {
                var outwards = Outwards(house, room, wall.Index);
                if (
                    wall.Length < Length.Inches(24)
                    || (front ? outwards : -outwards) < Squarely
                    || house.Facing(room, wall.Index).Length > 0
                )
                    continue;
                if (Clear(room, wall) is not { } at)
                    continue;
                var worth = at.Width * (room.Room.Kind == RoomKind.Garage ? 0.5 : 1);
                if (worth <= most)
                    continue;
                (best, most) = ((room.Room.Id, wall.Index, at.Middle.RoundTo(Length.Inches(1))), worth);
            }
        }

        return best;
    }

    private static (Length Middle, double Width)? Clear(RoomShape room, Wall wall)
    {
        var at = Length.Zero;
        (Length, double)? best = null;
        foreach (
            var (from, to) in room.Openings.Where(o => o.Wall == wall.Index).Select(o => (o.From, o.To)).Append((wall.Length, wall.Length))
        )
        {
            var width = (from - at).InInches;
            if (width >= 16 && (best is null || width > best.Value.Item2))
                best = ((at + from) / 2, width);
            at = Length.Max(at, to);
        }

        return best;
    }
}
