using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Routing;

/// <summary>Lights that come on together, and the boxes from which they are switched.</summary>
/// <param name="Lights">The lights, in the order of the switch that names them.</param>
/// <param name="Switches">The switch boxes: one single pole, two three-way, four-way between the first and the last.</param>
public sealed record SwitchGroup(ImmutableArray<string> Lights, ImmutableArray<string> Switches)
{
    /// <summary>
    /// All groups of a job, in the order of its boxes; two switches of one box for one fixture, as for a fan and its light, are two groups.
    /// </summary>
    public static ImmutableArray<SwitchGroup> Of(Job job) =>
        [
            .. job
                .Decisions.Boxes.SelectMany(b =>
                    b.Gangs.Where(g => g.Lights.Length > 0)
                        .Select(
                            (g, i) =>
                                (Gang: g, b.Id, Nth: b.Gangs.Where(x => x.Lights.Length > 0).Take(i).Count(x => x.Lights[0] == g.Lights[0]))
                        )
                )
                .GroupBy(x => (x.Gang.Lights[0], x.Nth))
                .Select(g => new SwitchGroup([.. g.SelectMany(x => x.Gang.Lights).Distinct()], [.. g.Select(x => x.Id).Distinct()])),
        ];

    /// <summary>What of it is among some boxes.</summary>
    internal SwitchGroup Within(HashSet<string> boxes) => new([.. Lights.Where(boxes.Contains)], [.. Switches.Where(boxes.Contains)]);
}
