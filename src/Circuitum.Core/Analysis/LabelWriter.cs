using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Analysis;

/// <summary>Writes what the directory says of each circuit, so that a stranger understands it and no two are the same (408.4(A)).</summary>
public static partial class LabelWriter
{
    /// <summary>The labels of all circuits, a person's own ones untouched.</summary>
    public static ImmutableDictionary<int, string> Write(HouseShape house)
    {
        var job = house.Job;
        var boxes = job.Decisions.Boxes.ToDictionary(b => b.Id);
        var labels = job.Decisions.Circuits.ToDictionary(c => c.Number, c => c.Label ?? Text(house, c, [.. c.Boxes.Select(m => boxes[m.Box])]));
        foreach (var same in labels.GroupBy(l => l.Value, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1).ToList())
        {
            // By the walls on which their boxes are, where that tells them apart; a count tells a stranger nothing.
            var sides = same.ToDictionary(l => l.Key, l => Sides(house, job.Decisions.Circuits.First(c => c.Number == l.Key).Boxes.Select(m => boxes[m.Box])));
            if (sides.Values.All(s => s.Length > 0) && sides.Values.Distinct().Count() == sides.Count)
            {
                foreach (var (number, text) in same.Where(l => job.Decisions.Circuits.First(c => c.Number == l.Key).Label is null)) labels[number] = $"{text}, {sides[number]}";
                continue;
            }

            var n = 1;
            foreach (var (number, text) in same.OrderBy(l => l.Key))
            {
                if (job.Decisions.Circuits.First(c => c.Number == number).Label is null) labels[number] = $"{text}, {n} of {same.Count()}";
                n++;
            }
        }

        return labels.ToImmutableDictionary();
    }

    private static string Text(HouseShape house, Circuit circuit, List<Box> boxes)
    {
        if (boxes.Count == 0) return "Nothing on it yet";
        var job = house.Job;
        var rooms = Rooms(house, boxes.Where(b => b.Kind != BoxKind.Switch));
        switch (circuit.Purpose)
        {
            case CircuitPurpose.Appliance:
                var names = boxes.Select(b => job.ApplianceById(b.Appliance)).OfType<Appliance>().Select(a => ApplianceFacts.Of(a).Name).ToList();
                return names.Count == 0 ? $"Receptacles: {rooms}" : $"{string.Join(" and ", names)}, {rooms}";
            case CircuitPurpose.SmallAppliance:
                var counter = boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Height >= Measure.Length.Inches(36)).ToList();
                if (counter.Count == 0) return $"{rooms} wall receptacles";
                var sides = counter.Where(b => b.Wall is not null).Select(b => Facing(house[b.Room], b.Wall!.Value)).Distinct().ToList();
                return $"{Rooms(house, counter)} counter receptacles, {string.Join(" and ", sides)} wall{(sides.Count > 1 ? "s" : "")}{Walls(house, boxes.Except(counter).Where(b => b.Kind == BoxKind.Receptacle))}";
            case CircuitPurpose.Lighting:
                return Lights(house, boxes);
            case CircuitPurpose.Mixed:
                return $"Lights and receptacles: {Rooms(house, boxes.Where(b => b.Kind is not (BoxKind.Switch or BoxKind.SmokeAlarm)))}{(boxes.Any(b => b.Kind == BoxKind.SmokeAlarm) ? "; smoke alarms" : "")}";
            case CircuitPurpose.Outdoor:
                return $"Outdoor receptacles: {rooms}";
            // A laundry area is a place where a washer stands, whatever its room is called.
            case CircuitPurpose.Laundry when !rooms.Contains("laundry", StringComparison.OrdinalIgnoreCase):
                return $"Laundry receptacles: {rooms}";
            default:
                return $"{rooms} receptacles";
        }
    }

    // Receptacles of a small-appliance circuit that are not at a counter, by room and wall, so that two such circuits differ.
    private static string Walls(HouseShape house, IEnumerable<Box> boxes) => string.Concat(boxes.GroupBy(b => b.Room).Select(g =>
        $"; {house[g.Key].Room.Name} wall receptacles{(Sides(house, g) is { Length: > 0 } sides ? $", {sides}" : "")}"));

    // Each by what it is: a room with an alarm only has no light here.
    private static string Lights(HouseShape house, List<Box> boxes)
    {
        var lights = boxes.Where(b => b.Kind == BoxKind.Light).ToList();
        var lit = lights.Select(b => b.Room).ToHashSet();
        var fans = boxes.Where(b => b.Kind is BoxKind.Appliance && !lit.Contains(b.Room)).ToList();
        var plugs = boxes.Where(b => b.Kind is BoxKind.Receptacle or BoxKind.Provision).ToList();
        return string.Join("; ", new[]
        {
            lights.Count > 0 ? $"Lights: {Rooms(house, lights)}" : "",
            fans.Count > 0 ? $"{string.Join(" and ", fans.Select(b => house.Job.ApplianceById(b.Appliance)).OfType<Appliance>().Select(a => ApplianceFacts.Of(a).Name).Distinct())}, {Rooms(house, fans)}" : "",
            plugs.Count > 0 ? $"receptacles: {Rooms(house, plugs)}" : "",
            boxes.Any(b => b.Kind == BoxKind.SmokeAlarm) ? lights.Count + fans.Count + plugs.Count > 0 ? "smoke alarms" : $"Smoke alarms: {Rooms(house, boxes)}" : "",
        }.Where(t => t.Length > 0));
    }

    private static string Sides(HouseShape house, IEnumerable<Box> boxes)
    {
        var walls = boxes.Where(b => b.Wall is not null && b.Kind is BoxKind.Receptacle or BoxKind.Appliance).Select(b => Facing(house[b.Room], b.Wall!.Value)).Distinct().Order(StringComparer.Ordinal).ToList();
        return walls.Count is 0 or 4 ? "" : $"{Join(walls)} wall{(walls.Count > 1 ? "s" : "")}";
    }

    private const int FewNames = 4, LongestRooms = 200;

    private static readonly HashSet<string> Vague = new(StringComparer.OrdinalIgnoreCase) { "lights", "light", "lighting", "plugs", "plug", "outlets", "outlet", "receptacles", "general", "misc", "miscellaneous", "other", "various", "house", "upstairs", "downstairs", "main", "spare", "unknown", "bedroom", "bedrooms", "room", "rooms", "kitchen", "bath", "garage", "basement" };

    /// <summary>What is wrong with a label for a stranger who stands before the panel years later, or none (408.4(A)).</summary>
    /// <param name="label">The label.</param>
    public static string? Unclear(string label)
    {
        var text = label.Trim();
        if (text.Length < 4) return "too short to tell anything";
        if (Vague.Contains(text.TrimEnd('.', '?')) || text.All(c => char.IsDigit(c) || char.IsPunctuation(c) || c == ' ')) return "tells neither what nor where";

        // "Emma's room" is somebody else's when the house is sold.
        return Possessive().IsMatch(text) ? "goes by a person's name, which changes" : null;
    }

    /// <summary>What is wrong with a circuit's label as a sentence, or nothing: unclear, or the same as another's.</summary>
    /// <param name="c">The circuit.</param>
    /// <param name="all">All circuits.</param>
    public static string Wrong(CircuitAnalysis c, IEnumerable<CircuitAnalysis> all) =>
        Unclear(c.Label) is { } why ? $"It {why}." : all.FirstOrDefault(o => o != c && string.Equals(o.Label, c.Label, StringComparison.OrdinalIgnoreCase)) is { } same ? $"Circuit {same.Number} has the same." : "";

    [GeneratedRegex(@"\b\p{Lu}\p{Ll}+(?:['\u2019]s|s['\u2019])\s")]
    private static partial Regex Possessive();

    private static string Rooms(HouseShape house, IEnumerable<Box> boxes)
    {
        var of = boxes.ToList();
        var rooms = of.GroupBy(b => b.Room).OrderByDescending(g => g.Count()).ThenBy(g => g.Key, StringComparer.Ordinal).Select(g => house[g.Key].Room).ToList();
        var names = rooms.Select(r => r.Name).ToList();
        if (names.Count <= FewNames) return Join(names);

        // Named one by one; a storey stands for its rooms only where they would fill the card and none of them is elsewhere.
        var storeys = rooms.GroupBy(r => r.Storey).OrderBy(g => house.Job.Storeys.IndexOf(house.Job.StoreyById(g.Key)!)).ToList();
        var text = Told(whole: false);
        if (text.Length > LongestRooms) text = Told(whole: true);
        return text.Length <= LongestRooms ? text : $"{string.Join(", ", names.Take(FewNames))} and {names.Count - FewNames} more";

        string Told(bool whole)
        {
            var parts = storeys.Select(g => OnStorey(house, of, [.. g], whole)).ToList();
            return parts.Count == 1 || parts.All(p => p.Count == 1) ? Join([.. parts.SelectMany(p => p)]) : string.Join("; ", parts.Select(Join));
        }
    }

    // A storey's rooms by their names, or as all of it.
    private static List<string> OnStorey(HouseShape house, List<Box> boxes, List<Room> rooms, bool whole)
    {
        var kinds = boxes.Select(b => b.Kind).ToHashSet();
        var all = house.Job.Decisions.Boxes.Where(b => kinds.Contains(b.Kind) && house.Job.RoomById(b.Room)!.Storey == rooms[0].Storey).Select(b => b.Room);
        if (whole && all.All(id => rooms.Any(r => r.Id == id))) return [$"all of {Lower(house.Job.StoreyById(rooms[0].Storey)!.Name)}"];
        return [.. rooms.Select(r => r.Name).Order(StringComparer.OrdinalIgnoreCase)];
    }

    private static string Lower(string name) => name.Length > 1 && char.IsLower(name[1]) ? char.ToLowerInvariant(name[0]) + name[1..] : name;

    private static string Join(List<string> names) => names.Count < 2 ? string.Concat(names) : $"{string.Join(", ", names.SkipLast(1))} and {names[^1]}";

    /// <summary>The compass side of its room on which a wall stands.</summary>
    public static string Facing(RoomShape shape, int wall)
    {
        var w = shape.Walls[wall];
        var (x, y) = (-shape.InX(w), -shape.InY(w));
        return Math.Abs(x) > Math.Abs(y) ? x > 0 ? "east" : "west" : y > 0 ? "south" : "north";
    }
}
