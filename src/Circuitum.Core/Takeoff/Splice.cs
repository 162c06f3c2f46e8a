using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>Wires that are joined in a box.</summary>
/// <param name="What">What they are, such as <c>neutral</c>.</param>
/// <param name="Ground">Whether they are equipment grounds.</param>
/// <param name="Wires">Sizes of the wires of cables.</param>
/// <param name="Tails">Sizes of the tails to devices and of the leads of fixtures.</param>
public sealed record Splice(string What, bool Ground, ImmutableArray<WireSize> Wires, ImmutableArray<WireSize> Tails)
{
    /// <summary>How many wires come together.</summary>
    public int Count => Wires.Length + Tails.Length;

    /// <summary>In words, such as <c>hot: 2 x 12 and 1 tail</c>.</summary>
    public string InWords =>
        $"{What}: {string.Join(" and ", Wires.GroupBy(w => w).OrderBy(g => g.Key).Select(g => $"{g.Count()} x {g.Key}"))}"
        + (
            Tails.Length == 0 ? ""
            : Wires.Length == 0 ? $"{Tails.Length} tails"
            : $" and {Tails.Length} {(Tails.Length == 1 ? "tail" : "tails")}"
        )
        + (Count == 1 ? ", capped" : "");
}
