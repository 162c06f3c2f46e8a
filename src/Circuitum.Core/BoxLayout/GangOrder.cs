using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>The order of the gangs in a switch box: as their lights lie for who comes in.</summary>
internal static class GangOrder
{
    /// <summary>A switch box with its gangs from left to right as a hand expects them.</summary>
    internal static Box InOrder(HouseShape house, IReadOnlyDictionary<string, Box> boxes, Box box)
    {
        if (box.Wall is not { } wall)
            return box;
        var shape = house[box.Room];
        var place = shape.ToPerimeter(wall, box.Along);
        if (shape.Openings.Where(o => o.IsDoorway).MinBy(o => Round(shape, place, o).Units is var u && u < 0 ? -u : u) is not { } door)
            return box;
        var fromDoor = box.Gangs.OrderBy(g => Rank(house, boxes, box, door, g)).ToList();
        var doorAhead = Round(shape, place, door) > Length.Zero;
        if (doorAhead == shape.RightIsAlong(wall))
            fromDoor.Reverse();
        return box with { Gangs = [.. fromDoor] };
    }

    // From a place to the nearer jamb of a door along the perimeter, the shorter way round; less than zero is backwards.
    private static Length Round(RoomShape shape, Length place, RoomOpening door)
    {
        var best = shape.Perimeter;
        foreach (var jamb in new[] { door.From, door.To })
        {
            var way = (shape.ToPerimeter(door.Wall, jamb) - place).Units % shape.Perimeter.Units;
            if (way > shape.Perimeter.Units / 2)
                way -= shape.Perimeter.Units;
            if (way < -shape.Perimeter.Units / 2)
                way += shape.Perimeter.Units;
            if (Math.Abs(way) < best.Abs().Units)
                best = new(way);
        }

        return best;
    }

    private static int Rank(HouseShape house, IReadOnlyDictionary<string, Box> boxes, Box box, RoomOpening door, SwitchGang gang)
    {
        if (gang.Lights.Select(boxes.GetValueOrDefault).FirstOrDefault(b => b is not null) is not { } light)
            return 99;
        var role = LightSets.RoleOf(house, light);
        if (role == LightRole.Outdoor)
            return light.Room == door.Beyond || light.Outside ? 0 : 20;
        return light.Room != box.Room ? 15
            : role == LightRole.Fan ? 10
            : (int)role;
    }

    /// <summary>Each gang told how many places control its lights.</summary>
    internal static ImmutableArray<Box> Recounted(IEnumerable<Box> boxes)
    {
        var all = boxes.ToList();
        var places = all.SelectMany(b => b.Gangs)
            .Where(g => g.Lights.Length > 0)
            .GroupBy(g => g.Lights[0])
            .ToDictionary(g => g.Key, g => g.Count());
        return
        [
            .. all.Select(b =>
                b.Gangs.All(g => g.Lights.Length == 0 || g.Locations == Math.Min(10, places[g.Lights[0]]))
                    ? b
                    : b with
                    {
                        Gangs =
                        [
                            .. b.Gangs.Select(g => g.Lights.Length == 0 ? g : g with { Locations = Math.Min(10, places[g.Lights[0]]) }),
                        ],
                    }
            ),
        ];
    }
}
