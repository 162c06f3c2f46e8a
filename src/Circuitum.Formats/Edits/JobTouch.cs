using System.Collections.Immutable;
using System.Text.Json.Nodes;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Edits;

/// <summary>
/// What lies between two states of a job, thing by thing: so it is told whether two people changed the same, however either change was
/// made.
/// </summary>
public static class JobTouch
{
    // By these a thing in a list is known again.
    private static readonly string[] Names = ["id", "number", "circuit", "room", "storey"];

    // What stands in a room changes when its walls do; two boxes in one room are two things.
    private static readonly string[] Shapes = ["rooms", "openings", "walls", "counters", "fixtures"];

    /// <summary>The things that differ.</summary>
    public static ImmutableHashSet<string> Between(Job one, Job other)
    {
        var touched = ImmutableHashSet.CreateBuilder<string>();
        Compare("", JsonNode.Parse(JobFile.Write(one))!, JsonNode.Parse(JobFile.Write(other))!, touched);
        return touched.ToImmutable();
    }

    /// <summary>Whether two changes of one job touch nothing of each other.</summary>
    public static bool Apart(ImmutableHashSet<string> one, ImmutableHashSet<string> other) =>
        !one.Any(t => other.Contains(t) && !t.StartsWith(Near, StringComparison.Ordinal)) && !Stand(one, other) && !Stand(other, one);

    // Whether one changes a room's walls and the other what stands in it.
    private static bool Stand(ImmutableHashSet<string> one, ImmutableHashSet<string> other) =>
        one.Where(t => t.StartsWith(Shape, StringComparison.Ordinal)).Any(t => other.Contains(Near + t[Shape.Length..]));

    private const string Shape = "shape of ",
        Near = "in ";

    private static void Compare(string path, JsonNode? one, JsonNode? other, ImmutableHashSet<string>.Builder touched)
    {
        if (JsonNode.DeepEquals(one, other))
            return;
        switch (one, other)
        {
            case (JsonObject a, JsonObject b):
                foreach (var name in a.Select(p => p.Key).Union(b.Select(p => p.Key)))
                    Compare(path.Length == 0 ? name : $"{path}.{name}", a[name], b[name], touched);
                break;
            case (JsonArray or null, JsonArray or null) when Named(one) is { } a && Named(other) is { } b:
                foreach (var key in a.Keys.Union(b.Keys))
                {
                    var (left, right) = (a.GetValueOrDefault(key), b.GetValueOrDefault(key));
                    if (JsonNode.DeepEquals(left, right))
                        continue;

                    // Two boxes of one circuit are two things; a box is one, whatever of it is changed.
                    if (path == "decisions.circuits" && left is not null && right is not null)
                    {
                        Compare($"{path} {key}", left, right, touched);
                        continue;
                    }

                    touched.Add($"{path} {key}");
                    foreach (
                        var room in new[] { left, right }.Select(t => path == "rooms" ? Text(t, "id") : Text(t, "room")).OfType<string>()
                    )
                        touched.Add((Shapes.Contains(path) ? Shape : Near) + room);
                }

                break;
            case (JsonArray or null, JsonArray or null):
                foreach (var item in Items(one).Except(Items(other)).Union(Items(other).Except(Items(one))))
                    touched.Add($"{path} {item}");
                break;
            default:
                touched.Add(path);
                break;
        }
    }

    // A list whose things have no names is a set of them.
    private static IEnumerable<string> Items(JsonNode? list) => (list as JsonArray ?? []).Select(i => i?.ToJsonString() ?? "");

    // The things of a list by their names; none where it is no such list.
    private static Dictionary<string, JsonNode>? Named(JsonNode? list)
    {
        var named = new Dictionary<string, JsonNode>();
        foreach (var item in list as JsonArray ?? [])
        {
            if (item is not JsonObject thing || Names.Select(n => Text(thing, n)).FirstOrDefault(n => n is not null) is not { } name)
                return null;

            // A fact of a wall is known by its room and its wall.
            if (!named.TryAdd(thing["wall"] is { } wall && thing["id"] is null ? $"{name} {wall}" : name, thing))
                return null;
        }

        return named;
    }

    private static string? Text(JsonNode? thing, string name) => thing?[name]?.ToString();
}
