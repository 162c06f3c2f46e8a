using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>A free stretch of a wall, in which something can be put.</summary>
/// <param name="Room">The room from which the wall is seen.</param>
/// <param name="Wall">The number of the wall.</param>
/// <param name="From">Where it begins along the wall.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Beyond">The room behind it; none is the open air.</param>
internal sealed record Stretch(RoomShape Room, int Wall, Length From, Length To, RoomShape? Beyond)
{
    // Jambs of two openings stand on studs of their own.
    private static readonly Length Apart = Length.Inches(4);

    /// <summary>Its length.</summary>
    internal Length Size => To - From;

    /// <summary>All free stretches of the walls on a side of a room, long ones first.</summary>
    internal static List<Stretch> On(HouseShape house, RoomShape room, Side side) =>
        Sorted(room.Walls.Where(w => Looks(room, w, side)).SelectMany(w => Of(house, room, w)));

    /// <summary>The free stretches of the walls between two rooms, long ones first.</summary>
    internal static List<Stretch> Between(HouseShape house, RoomShape room, RoomShape other) =>
        Sorted(room.Walls.SelectMany(w => Of(house, room, w)).Where(s => s.Beyond == other));

    /// <summary>Whether a wall is on a side of its room.</summary>
    internal static bool Looks(RoomShape room, Wall wall, Side side)
    {
        var (x, y) = (-room.InX(wall), -room.InY(wall));
        return side switch
        {
            Side.North => y < -0.7,
            Side.South => y > 0.7,
            Side.East => x > 0.7,
            _ => x < -0.7,
        };
    }

    /// <summary>
    /// From a wall's first corner to a thing whose distance is told from its west or north end, whichever way the wall runs.
    /// </summary>
    internal static Length Told(Wall wall, Length at, Length width) => wall.Dx + wall.Dy > 0 ? at : wall.Length - at - width;

    private static List<Stretch> Sorted(IEnumerable<Stretch> all) => [.. all.OrderByDescending(s => s.Size).ThenBy(s => s.Wall)];

    private static IEnumerable<Stretch> Of(HouseShape house, RoomShape room, Wall wall)
    {
        var at = Length.Zero;
        var pieces = new List<Stretch>();
        foreach (var behind in house.Facing(room, wall.Index).Where(f => !f.Room.Room.Kind.OpenAir()))
        {
            if (behind.From > at)
                pieces.Add(new(room, wall.Index, at, behind.From, null));
            pieces.Add(new(room, wall.Index, behind.From, behind.To, behind.Room));
            at = Length.Max(at, behind.To);
        }

        if (wall.Length > at)
            pieces.Add(new(room, wall.Index, at, wall.Length, null));
        return pieces.SelectMany(p => p.Free());
    }

    private IEnumerable<Stretch> Free()
    {
        var at = From;
        foreach (var o in Room.Openings.Where(o => o.Wall == Wall).OrderBy(o => o.From))
        {
            var (from, to) = (o.From - Apart, o.From + o.Opening.Width + Apart);
            if (from > at && from <= To)
                yield return this with
                {
                    From = at,
                    To = from,
                };
            at = Length.Max(at, to);
        }

        if (To > at)
            yield return this with
            {
                From = at,
            };
    }
}
