using System.Collections.Immutable;

namespace Circuitum.Core.Routing;

/// <summary>The groups of lights of a house, found by the boxes of a circuit without going through all of them.</summary>
internal sealed class SwitchGroups
{
    private readonly ImmutableArray<SwitchGroup> all;
    private readonly Dictionary<string, List<int>> at = [];

    internal SwitchGroups(ImmutableArray<SwitchGroup> all)
    {
        this.all = all;
        for (var g = 0; g < all.Length; g++)
        {
            foreach (var box in all[g].Switches.Distinct())
            {
                if (!at.TryGetValue(box, out var there))
                    at[box] = there = [];
                there.Add(g);
            }
        }
    }

    /// <summary>
    /// What of each group is among some boxes, where there is a light and a switch of it, in the order of the job's boxes.
    /// </summary>
    internal IEnumerable<SwitchGroup> Within(HashSet<string> boxes) =>
        boxes
            .SelectMany(b => at.GetValueOrDefault(b) ?? [])
            .Distinct()
            .Order()
            .Select(g => all[g].Within(boxes))
            .Where(g => g.Lights.Length > 0);
}
