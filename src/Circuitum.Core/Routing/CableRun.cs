using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>The estimated cable of one circuit: a tree from the panel, the first box first.</summary>
/// <param name="Segments">The home run, then each further piece in an order in which its feeding box comes before it; one to each
/// box.</param>
public sealed record CableRun(ImmutableArray<CableSegment> Segments)
{
    /// <summary>
    /// Second cables along the way of another one, for wires that one cable does not hold; and a ring that is in the frame already.
    /// </summary>
    public ImmutableArray<CableSegment> Beside { get; init; } = [];

    /// <summary>The switched lights, by whose place here the wires of cables name them.</summary>
    public ImmutableArray<SwitchedLights> Switching { get; init; } = [];

    /// <summary>All its cables.</summary>
    public IEnumerable<CableSegment> Cables => Beside.Length == 0 ? Segments : Segments.Concat(Beside);

    /// <summary>The first box, or none for an empty circuit.</summary>
    public string? First => Segments.Length == 0 ? null : Segments[0].To;

    /// <summary>Length of the home run's way.</summary>
    public Length HomeRun => Segments.Length == 0 ? Length.Zero : Segments[0].Way;

    /// <summary>Cable to cut, without waste.</summary>
    public Length Cut => Cables.Aggregate(Length.Zero, (sum, h) => sum + h.Cut);

    /// <summary>The box and all boxes that are fed through it.</summary>
    public ImmutableHashSet<string> Through(string box)
    {
        var fed = ImmutableHashSet.Create(box).ToBuilder();
        foreach (var segment in Segments)
        {
            if (segment.From is not null && fed.Contains(segment.From))
                fed.Add(segment.To);
        }

        return fed.ToImmutable();
    }
}
