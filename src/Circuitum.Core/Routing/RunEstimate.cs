using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>The estimated cable of one circuit: a tree from the panel, the first box first.</summary>
/// <param name="Hops">The home run, then each further piece in an order in which its feeding box comes before it; one to each box.</param>
public sealed record RunEstimate(ImmutableArray<Hop> Hops)
{
    /// <summary>
    /// Second cables along the way of another one, for wires that one cable does not hold; and a ring that is in the frame already.
    /// </summary>
    public ImmutableArray<Hop> Beside { get; init; } = [];

    /// <summary>All its cables.</summary>
    public IEnumerable<Hop> Cables => Beside.Length == 0 ? Hops : Hops.Concat(Beside);

    /// <summary>The first box, or none for an empty circuit.</summary>
    public string? First => Hops.Length == 0 ? null : Hops[0].To;

    /// <summary>Length of the home run's way.</summary>
    public Length HomeRun => Hops.Length == 0 ? Length.Zero : Hops[0].Way;

    /// <summary>Cable to cut, without waste.</summary>
    public Length Cut => Cables.Aggregate(Length.Zero, (sum, h) => sum + h.Cut);

    /// <summary>The box and all boxes that are fed through it.</summary>
    public ImmutableHashSet<string> Through(string box)
    {
        var fed = ImmutableHashSet.Create(box).ToBuilder();
        foreach (var hop in Hops)
        {
            if (hop.From is not null && fed.Contains(hop.From))
                fed.Add(hop.To);
        }

        return fed.ToImmutable();
    }
}
