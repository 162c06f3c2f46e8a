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
        var labels = job.Decisions.Circuits.ToDictionary(
            c => c.Number,
            c => c.Label ?? Text(house, c, [.. c.Boxes.Select(m => boxes[m.Box])])
        );
        foreach (var same in labels.GroupBy(l => l.Value, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1).ToList())
        {
            // By the walls on which their boxes are, where that tells them apart; a count tells a stranger nothing.
            var sides = same.ToDictionary(
                l => l.Key,
                l => Sides(house, job.Decisions.Circuits.First(c => c.Number == l.Key).Boxes.Select(m => boxes[m.Box]))
            );
            if (sides.Values.All(s => s.Length > 0) && sides.Values.Distinct().Count() == sides.Count)
            {
                foreach (var (number, text) in same.Where(l => job.Decisions.Circuits.First(c => c.Number == l.Key).Label is null))
                    labels[number] = Fit(text, $", {sides[number]}");
                continue;
            }

            var n = 1;
            foreach (var (number, text) in same.OrderBy(l => l.Key))
            {
                if (job.Decisions.Circuits.First(c => c.Number == number).Label is null)
                    labels[number] = Fit(text, $", {n} of {same.Count()}");
                n++;
            }
        }

        // Labels that had to be cut may have become alike; the number of the circuit is what is left.
        var seen = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        foreach (var c in job.Decisions.Circuits.OrderBy(c => c.Label is null))
        {
            if (!seen.Add(labels[c.Number]) && c.Label is null)
                labels[c.Number] = Fit(labels[c.Number], $" ({c.Number})");
        }

        return labels.ToImmutableDictionary();
    }

    private static string Fit(string text, string after) =>
        text.Length + after.Length <= Longest ? text + after : text[..(Longest - after.Length)].TrimEnd(' ', ',', ';') + after;

    /// <summary>Most letters of a label that is written here, so that it can be said in one breath and stands on a tag.</summary>
    public const int Longest = 60;

    private static string Text(HouseShape house, Circuit circuit, List<Box> boxes)
    {
        if (boxes.Count == 0)
            return "Nothing on it yet";
        var job = house.Job;
        var fed = boxes.Where(b => b.Kind != BoxKind.Switch).ToList();
        string In(string before, string after = "") =>
            $"{before}{LabelRooms.Tell(house, fed, Longest - before.Length - after.Length)}{after}";
        switch (circuit.Purpose)
        {
            case CircuitPurpose.Appliance:
                var names = boxes
                    .Select(b => job.ApplianceById(b.Appliance))
                    .OfType<Appliance>()
                    .Select(a => ApplianceFacts.Of(house.Job, a).Name)
                    .ToList();
                return names.Count == 0 ? In($"{CodeLibrary.Edition(job.CodeEdition).Word("Receptacles")}: ")
                    : string.Join(" and ", names) is var what && what.Length < Longest - 12 ? In($"{what}, ")
                    : Cut(what);
            case CircuitPurpose.SmallAppliance:
                return Counters(house, boxes);
            case CircuitPurpose.Lighting:
                return Lights(house, boxes);
            case CircuitPurpose.Mixed when boxes.All(b => b.Kind == BoxKind.SmokeAlarm):
                return Lights(house, boxes);
            case CircuitPurpose.Mixed:
                var alarms = boxes.Any(b => b.Kind == BoxKind.SmokeAlarm) ? "; smoke alarms" : "";
                fed.RemoveAll(b => b.Kind == BoxKind.SmokeAlarm && fed.Any(o => o.Kind != BoxKind.SmokeAlarm));
                return In(
                    !boxes.Any(b => b.Kind is BoxKind.Receptacle or BoxKind.Appliance) ? "Lights: "
                        : !boxes.Any(b => b.Kind is BoxKind.Light) ? "Receptacles: "
                        : "Lights, receptacles: ",
                    alarms
                );
            case CircuitPurpose.Outdoor:
                return In("Outdoor receptacles: ");
            // A laundry area is a place where a washer stands, whatever its room is called.
            case CircuitPurpose.Laundry when !In("").Contains("laundry", StringComparison.OrdinalIgnoreCase):
                return In("Laundry receptacles: ");
            default:
                return In("", $" {CodeLibrary.Edition(job.CodeEdition).Word("receptacles")}");
        }
    }

    private static string Counters(HouseShape house, List<Box> boxes)
    {
        var counter = boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Height >= Measure.Length.Inches(36)).ToList();
        var walls = boxes.Except(counter).Where(b => b.Kind is BoxKind.Receptacle or BoxKind.Appliance).GroupBy(b => b.Room).ToList();
        if (counter.Count == 0)
            return $"{LabelRooms.Tell(house, boxes, Longest - 17)} wall receptacles";
        var room = LabelRooms.Tell(house, counter, 20);
        var sides = Join([.. counter.Where(b => b.Wall is not null).Select(b => Facing(house[b.Room], b.Wall!.Value)).Distinct()]);
        var at = sides.Length == 0 ? "" : $", {sides} wall{(sides.Contains(" and ", StringComparison.Ordinal) ? "s" : "")}";
        if (walls.Count == 0)
            return Cut($"{room} counter receptacles{at}");

        // What hangs on the walls beside: in the same room by its sides, elsewhere by the room.
        var rest = string.Join(
            "; ",
            walls.Select(g =>
                house[g.Key].Room.Name is var name && counter.Any(c => c.Room == g.Key)
                    ? $"receptacles{(Compass(house, g) is { Length: > 0 } w ? $", {w}" : "")}"
                    : $"{name} walls"
            )
        );
        var text = $"{room} counter{at}; {rest}";
        return text.Length <= Longest ? text : Cut($"{room} counter{at}; other receptacles");
    }

    // At the end of a word, where somebody gave a room or an appliance a very long name.
    private static string Cut(string text)
    {
        if (text.Length <= Longest)
            return text;
        var at = text.LastIndexOf(' ', Longest - 1);
        return text[..(at > Longest / 2 ? at : Longest)].TrimEnd(',', ';', ' ');
    }

    // Each by what it is: a room with an alarm only has no light here.
    private static string Lights(HouseShape house, List<Box> boxes)
    {
        var lights = boxes.Where(b => b.Kind == BoxKind.Light).ToList();
        var lit = lights.Select(b => b.Room).ToHashSet();
        var fans = boxes.Where(b => b.Kind is BoxKind.Appliance && !lit.Contains(b.Room)).ToList();
        var plugs = boxes.Where(b => b.Kind is BoxKind.Receptacle or BoxKind.Provision).ToList();
        var alarms = boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        if (lights.Count + fans.Count + plugs.Count == 0)
            return $"Smoke alarms: {LabelRooms.Tell(house, alarms, Longest - 14)}";

        // The rest is short; the rooms of the lights get what letters are left.
        List<string> rest = [];
        if (fans.Count > 0)
            rest.Add(
                string.Join(
                    " and ",
                    fans.Select(b => house.Job.ApplianceById(b.Appliance))
                        .OfType<Appliance>()
                        .Select(a => ApplianceFacts.Of(house.Job, a).Name)
                        .Distinct()
                )
                    + ", "
                    + $"{LabelRooms.Tell(house, fans, 16)}"
            );
        if (plugs.Count > 0)
            rest.Add($"receptacles: {LabelRooms.Tell(house, plugs, 16)}");
        if (alarms.Count > 0)
            rest.Add("smoke alarms");
        var after = string.Concat(rest.Select(r => $"; {r}"));
        return Cut(
            lights.Count > 0
                ? $"Lights: {LabelRooms.Tell(house, lights, Math.Max(12, Longest - 8 - after.Length))}{after}"
                : string.Join("; ", rest)
        );
    }

    private static string Compass(HouseShape house, IEnumerable<Box> boxes) =>
        Join([
            .. boxes
                .Where(b => b.Wall is not null)
                .Select(b => Facing(house[b.Room], b.Wall!.Value))
                .Distinct()
                .Order(StringComparer.Ordinal),
        ]);

    private static string Sides(HouseShape house, IEnumerable<Box> boxes)
    {
        var walls = boxes
            .Where(b => b.Wall is not null && b.Kind is BoxKind.Receptacle or BoxKind.Appliance)
            .Select(b => Facing(house[b.Room], b.Wall!.Value))
            .Distinct()
            .Order(StringComparer.Ordinal)
            .ToList();
        return walls.Count is 0 or 4 ? "" : $"{Join(walls)} wall{(walls.Count > 1 ? "s" : "")}";
    }

    private static readonly HashSet<string> Vague = new(StringComparer.OrdinalIgnoreCase)
    {
        "lights",
        "light",
        "lighting",
        "plugs",
        "plug",
        "outlets",
        "outlet",
        "receptacles",
        "general",
        "misc",
        "miscellaneous",
        "other",
        "various",
        "house",
        "upstairs",
        "downstairs",
        "main",
        "spare",
        "unknown",
        "bedroom",
        "bedrooms",
        "room",
        "rooms",
        "kitchen",
        "bath",
        "garage",
        "basement",
    };

    /// <summary>What is wrong with a label for a stranger who stands before the panel years later, or none (408.4(A)).</summary>
    /// <param name="label">The label.</param>
    public static string? Unclear(string label)
    {
        var text = label.Trim();
        if (text.Length < 4)
            return "too short to tell anything";
        if (Vague.Contains(text.TrimEnd('.', '?')) || text.All(c => char.IsDigit(c) || char.IsPunctuation(c) || c == ' '))
            return "tells neither what nor where";

        // "Emma's room" is somebody else's when the house is sold.
        return Possessive().IsMatch(text) ? "goes by a person's name, which changes" : null;
    }

    /// <summary>What is wrong with a circuit's label as a sentence, or nothing: unclear, or the same as another's.</summary>
    /// <param name="c">The circuit.</param>
    /// <param name="all">All circuits.</param>
    public static string Wrong(CircuitAnalysis c, IEnumerable<CircuitAnalysis> all) =>
        Unclear(c.Label) is { } why ? $"It {why}."
        : all.FirstOrDefault(o => o != c && string.Equals(o.Label, c.Label, StringComparison.OrdinalIgnoreCase)) is { } same
            ? $"Circuit {same.Number} has the same."
        : "";

    [GeneratedRegex(@"\b\p{Lu}\p{Ll}+(?:['\u2019]s|s['\u2019])\s")]
    private static partial Regex Possessive();

    internal static string Join(IReadOnlyList<string> names) =>
        names.Count < 2 ? string.Concat(names) : $"{string.Join(", ", names.SkipLast(1))} and {names[^1]}";

    /// <summary>The compass side of its room on which a wall stands.</summary>
    public static string Facing(RoomShape shape, int wall)
    {
        var w = shape.Walls[wall];
        var (x, y) = (-shape.InX(w), -shape.InY(w));
        return Math.Abs(x) > Math.Abs(y)
            ? x > 0
                ? "east"
                : "west"
            : y > 0
                ? "south"
                : "north";
    }
}
