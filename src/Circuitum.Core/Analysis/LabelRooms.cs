using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Analysis;

/// <summary>Names the rooms of some boxes in as many letters as there are, from room by room to the storey.</summary>
internal static class LabelRooms
{
    private const string Near = " and near";

    internal static string Tell(HouseShape house, IReadOnlyList<Box> boxes, int letters)
    {
        var rooms = boxes
            .GroupBy(b => b.Room)
            .OrderByDescending(g => g.Count())
            .ThenBy(g => g.Key, StringComparer.Ordinal)
            .Select(g => house[g.Key].Room)
            .ToList();
        foreach (var text in Ways(house, boxes, rooms))
        {
            if (text.Length <= letters)
                return text;
        }

        // Someone who looks for a room that is not named looks beside those that are.
        var names = Folded(Chief(rooms));
        var many = names.Count;
        while (many > 1 && string.Join(", ", names.Take(many)).Length + Near.Length > letters)
            many--;
        var first = string.Join(", ", names.Take(many));
        return first.Length + Near.Length <= letters ? first + Near : first[..Math.Min(first.Length, letters)].TrimEnd(' ', ',');
    }

    private static IEnumerable<string> Ways(HouseShape house, IReadOnlyList<Box> boxes, List<Room> rooms)
    {
        List<string> all = [.. rooms.Select(r => r.Name)];
        yield return LabelWriter.Join(all);
        yield return LabelWriter.Join(Folded(rooms));
        yield return LabelWriter.Join(Folded(Alone(rooms)));
        yield return string.Join(", ", Folded(Alone(rooms)));
        var main = Alone(rooms)
            .Where(r => r.Kind != RoomKind.Stairs && !(r.Kind == RoomKind.Bathroom && rooms.Exists(o => OwnBath(house.Job, r, o))));
        yield return LabelWriter.Join(Folded([.. main]));

        // A storey stands for its rooms only where none of them is elsewhere.
        var kinds = boxes.Select(b => b.Kind).ToHashSet();
        var storeys = rooms.Select(r => r.Storey).Distinct().ToList();
        var there = house.Job.Decisions.Boxes.Where(b => kinds.Contains(b.Kind) && storeys.Contains(house[b.Room].Room.Storey));
        if (there.All(b => rooms.Exists(r => r.Id == b.Room)))
            yield return LabelWriter.Join([.. storeys.Select(s => house.Job.StoreyById(s)!.Name)]);
    }

    private static bool OwnBath(Job job, Room bath, Room bedroom) =>
        bedroom.Kind == RoomKind.Bedroom && Circuits.RoomTouch.Beyond(job, bath.Id) is [var only] && only == bedroom.Id;

    // Where not all can be named, those that one thinks of first.
    private static List<Room> Chief(List<Room> rooms)
    {
        var alone = Alone(rooms);
        return
        [
            .. alone.OrderBy(r =>
                r.Kind is RoomKind.Bathroom or RoomKind.Hallway or RoomKind.Stairs or RoomKind.Foyer or RoomKind.Utility ? 1 : 0
            ),
        ];
    }

    // Closets, pantries and what is outside go without saying beside the room that they belong to.
    private static List<Room> Alone(List<Room> rooms)
    {
        var left = rooms.Where(r => r.Kind is not (RoomKind.Closet or RoomKind.Pantry) && !r.Kind.OpenAir()).ToList();
        return left.Count > 0 ? left : rooms;
    }

    // Bedroom 1, Bedroom 2 and Bedroom 3 are Bedrooms 1, 2 and 3.
    private static List<string> Folded(List<Room> rooms)
    {
        var named = rooms.Select(r => Parts(r.Name)).ToList();
        var folded = new List<string>();
        foreach (var n in named)
        {
            var alike = n.Stem.Length == 0 ? [] : named.Where(o => o.Stem == n.Stem).Select(o => o.Number).ToList();
            if (alike.Count < 2)
                folded.Add(n.Name);
            else if (alike[0] == n.Number)
                folded.Add($"{n.Stem}s {LabelWriter.Join([.. alike.Order(StringComparer.Ordinal)])}");
        }

        return folded;
    }

    private static (string Name, string Stem, string Number) Parts(string name)
    {
        var cut = name.LastIndexOf(' ');
        return cut > 0 && int.TryParse(name[(cut + 1)..], out _) ? (name, name[..cut], name[(cut + 1)..]) : (name, "", "");
    }
}
