using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.BoxLayout;

/// <summary>The door to what lights are for and how a switch that controls them is named.</summary>
public static class LightSets
{
    /// <summary>What a light, or a fan on a switch, does in its room.</summary>
    public static LightRole RoleOf(HouseShape house, Box light)
    {
        var room = house[light.Room];
        if (light.Kind == BoxKind.Appliance || light.Fixture == LightStyle.Fan)
            return LightRole.Fan;
        if (house.Job.KindAt(light).OpenAir())
            return LightRole.Outdoor;
        if (light.Fixture == LightStyle.Vanity)
            return LightRole.Vanity;
        if (light.Wall is not null || light.Fixture is not (LightStyle.Pendant or LightStyle.Recessed))
            return LightRole.Main;
        var at = Places.Of(house, light);
        if (light.Fixture == LightStyle.Pendant)
            return house.Job.Counters.Any(c => c.Room == light.Room && IslandRules.IsIsland(c) && Places.InchesTo(room, c.Spot, at) < 12)
                ? LightRole.Island
                : LightRole.Pendant;
        return house.Job.Counters.Any(c => c.Room == light.Room && !IslandRules.IsIsland(c) && Places.InchesTo(room, c.Spot, at) < 8)
            ? LightRole.Counter
            : LightRole.Main;
    }

    /// <summary>The lights of a room by role, the one that a person who enters wants first at the head.</summary>
    internal static List<(LightRole Role, List<Box> Lights)> Of(HouseShape house, IEnumerable<Box> lights) =>
        [.. lights.GroupBy(l => RoleOf(house, l)).Select(g => (g.Key, g.ToList())).OrderBy(g => g.Key)];

    /// <summary>What a switch is marked with: what it controls, in words.</summary>
    public static string NameOf(HouseShape house, IReadOnlyDictionary<string, Box> boxes, string room, SwitchGang gang)
    {
        if (gang.Lights.Select(boxes.GetValueOrDefault).FirstOrDefault(b => b is not null) is not { } light)
            return "nothing yet";
        var several = gang.Lights.Length > 1 ? "s" : "";
        var what = RoleOf(house, light) switch
        {
            LightRole.Outdoor => $"outside light{several}",
            LightRole.Vanity => $"vanity light{several}",
            LightRole.Counter => $"counter light{several}",
            LightRole.Island => $"island pendant{several}",
            LightRole.Pendant => $"pendant{several}",
            LightRole.Fan => "fan",
            _ => light.Wall is not null ? $"wall light{several}" : $"ceiling light{several}",
        };
        return light.Room == room || light.Outside ? what : $"{house[light.Room].Room.Name} {what}";
    }
}
