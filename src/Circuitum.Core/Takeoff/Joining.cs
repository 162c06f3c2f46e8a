using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>Which connectors a splice takes, by the job's way of connecting.</summary>
public static class Joining
{
    /// <summary>The connectors of a splice, with how many of each.</summary>
    /// <param name="p">The job's preferences.</param>
    /// <param name="splice">The splice.</param>
    public static ImmutableArray<(ConnectorType Type, int Count)> Of(Preferences p, Splice splice)
    {
        var school =
            splice.Ground && p.GroundJoins == GroundJoins.Green ? "green"
            : splice.Ground && p.GroundJoins == GroundJoins.Sleeve ? "sleeve"
            : p.WireJoins == WireJoins.TwistOn ? "twistOn"
            : "ports";
        ImmutableArray<WireSize> wires = [.. splice.Wires, .. splice.Tails];
        ImmutableArray<ConnectorType> types = [.. CodeLibrary.Takeoff.Connectors.Where(c => c.School == school)];
        if (types.FirstOrDefault(t => Fits(t, wires)) is { } one)
            return [(one, 1)];

        // More wires than one takes are divided, with a tail from each to the next.
        var largest = types.MaxBy(t => t.MostWires)!;
        for (var count = 2; count <= wires.Length / 2; count++)
        {
            var each = (wires.Length + (2 * (count - 1)) + count - 1) / count;
            if (Fits(largest with { LeastWires = 1 }, [.. wires.OrderDescending().Take(each)]))
                return [(largest, count)];
        }

        // What is too thick for any connector of the school is bolted.
        return [(CodeLibrary.Takeoff.Connectors.First(c => c.School == "large"), 1)];
    }

    private static bool Fits(ConnectorType type, ImmutableArray<WireSize> wires) =>
        wires.Length >= type.LeastWires
        && wires.Length <= type.MostWires
        && (type.School == "ports" ? wires.Max(MakeUp.Cmil) : wires.Sum(MakeUp.Cmil)) <= type.MostCmil;
}
