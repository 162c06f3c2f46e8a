using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Analysis;

/// <summary>The test before the walls close: dead, or live with its cautions, as the job wants it.</summary>
/// <param name="Way">Which.</param>
/// <param name="Cautions">What to mind; a live test has more.</param>
/// <param name="Lines">Circuit by circuit.</param>
public sealed record RoughTest(RoughTesting Way, ImmutableArray<string> Cautions, ImmutableArray<RoughTestLine> Lines)
{
    private static readonly ImmutableArray<string> Always =
    [
        "Work with power off and proven dead: try the tester on something live, then on the wires, then on something live again.",
        "Photograph and film every wall before it is closed, with a tape in the picture.",
    ];

    private static readonly ImmutableArray<string> Live =
    [
        "Only where the authority allows power before the rough inspection, and only by or under a licensed electrician.",
        "Temporary power through ground-fault protection; the panel's cover on, its other breakers off and locked.",
        "In every box the ends are capped or made up and folded in; nobody else works in the house while a circuit is on.",
        "One circuit at a time: breaker on, try, breaker off, proven dead. Somebody stays at the panel.",
        "Afterwards the feed is taken off and the panel locked until the inspection.",
    ];

    private static ImmutableArray<string> Dead(JobAnalysis a) =>
        [$"Nothing is connected in the {a.Edition.Word("panel")} until the rough inspection has passed."];

    /// <summary>The test of a house.</summary>
    public static RoughTest Of(JobAnalysis a)
    {
        var way = a.Job.Preferences.RoughTesting;
        return new(
            way,
            [.. way == RoughTesting.Live ? Live : Dead(a), .. Always],
            [.. a.Circuits.Where(c => c.Run.First is not null).Select(c => Line(a, c, way))]
        );
    }

    private static RoughTestLine Line(JobAnalysis a, CircuitAnalysis c, RoughTesting way)
    {
        // From the panel on, box by box, to the one that is farthest along the cable.
        var far = new Dictionary<string, double>();
        foreach (var segment in c.Run.Segments)
            far[segment.To] = segment.Way.InFeet + (segment.From is { } from ? far[from] : 0);
        var end = far.MaxBy(f => f.Value).Key;
        var switches = c.Boxes.Where(b => b.Gangs.Length > 0).ToList();
        var tries = ImmutableArray.CreateBuilder<string>();
        if (way == RoughTesting.Dead)
        {
            tries.Add($"from the panel to {end}: every wire through, none joined to another or to ground");
            tries.Add(c.Boxes.Length == 1 ? "the ground through to it" : $"the ground through all {c.Boxes.Length} boxes");
            foreach (var b in switches)
                tries.Add($"{b.Id}: legs and travelers through to {string.Join(", ", b.Gangs.SelectMany(g => g.Lights).Distinct())}");
        }
        else
        {
            tries.Add($"{c.Load.Volts} V at {end}, then at every box on the way");
            foreach (var b in switches)
                tries.Add($"{b.Id} works {string.Join(", ", b.Gangs.SelectMany(g => g.Lights).Distinct())}");
            foreach (var d in c.Protection.Devices)
                tries.Add($"{d.Mark} {(d.Box is null ? "in the breaker" : $"in {d.Box}")} opens at its test button");
            tries.Add("breaker off, proven dead");
        }

        return new(c, end, tries.ToImmutable());
    }
}
