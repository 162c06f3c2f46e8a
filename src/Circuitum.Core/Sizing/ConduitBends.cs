using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Sizing;

/// <summary>The bends of a conduit.</summary>
/// <param name="Stretches">Sum in degrees between each two pull points.</param>
/// <param name="Derivation">The sums.</param>
public sealed record ConduitBends(ImmutableArray<int> Stretches, Derivation Derivation)
{
    /// <summary>Most degrees of bend between two pull points.</summary>
    public const int Most = 360;

    /// <summary>Whether every stretch can be pulled.</summary>
    public bool Pass => Stretches.All(s => s <= Most);

    /// <summary>The fewest pull points that make a row of bends lawful.</summary>
    public int PullPointsWanted { get; private init; }

    /// <summary>Adds up bends in their order from end to end.</summary>
    /// <param name="bends">Degrees of each bend; 0 stands for a pull point.</param>
    /// <param name="kind">The conduit.</param>
    public static ConduitBends Of(ImmutableArray<int> bends, ConduitKind kind)
    {
        var (stretches, wanted, sum, since) = (new List<int>(), 0, 0, 0);
        foreach (var bend in bends)
        {
            if (bend == 0)
            {
                stretches.Add(sum);
                (sum, since) = (0, 0);
                continue;
            }

            sum += bend;
            if (since + bend > Most)
                (wanted, since) = (wanted + 1, 0);
            since += bend;
        }

        stretches.Add(sum);
        return new(
            [.. stretches],
            new("Bends", string.Join(", ", stretches.Select(s => $"{s} degrees")))
            {
                Formula = string.Join(" + ", bends.Select(b => b == 0 ? "pull point" : $"{b}"))
                    .Replace(" + pull point + ", ", pull point, ", StringComparison.Ordinal),
                Citation = kind.Bends,
                Because =
                    $"Between pull points {Most} degrees at most"
                    + (wanted > 0 ? $"; {wanted} more pull point{(wanted == 1 ? " is" : "s are")} needed" : "")
                    + ".",
            }
        )
        {
            PullPointsWanted = wanted,
        };
    }
}
