using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>What of a feeder is outside the house, and how its conduit bends.</summary>
/// <param name="Outside">How it is run outside, or none when it stays in the house.</param>
/// <param name="OutsideLength">What of it is outside.</param>
/// <param name="Buried">Whether it lies in the ground.</param>
/// <param name="Depth">How deep it lies.</param>
/// <param name="DepthWanted">How deep it has to lie (300.5).</param>
/// <param name="Bends">The conduit's bends, or none for cable.</param>
public sealed record FeederWay(
    OutsideMethod? Outside,
    Length OutsideLength,
    bool Buried,
    Length Depth,
    Length DepthWanted,
    ConduitBends? Bends
)
{
    /// <summary>The units in which its lengths are told.</summary>
    public LengthUnits Units { get; init; }

    // What a conduit gives sideways without a bend.
    private static readonly Length Straight = Length.Inches(6);

    private const int Quarter = 90;

    /// <summary>The steps that explain it.</summary>
    /// <param name="edition">The edition.</param>
    public IEnumerable<Derivation> Steps(CodeEdition edition)
    {
        if (Buried)
            yield return new("Depth in the ground", $"{LengthText.Show(Depth, Units)}, {LengthText.Show(DepthWanted, Units)} at least")
            {
                Citation = edition.Cite("wire.depth"),
                Because =
                    $"{LengthText.Far(OutsideLength, Units)} of it outside. By the method and what drives over it. What comes out of the "
                    + "ground is guarded from 18 in under it to 8 ft over it.",
            };
        if (Bends is { } bends)
            yield return bends.Derivation;
    }

    internal static FeederWay Of(Job job, CodeEdition edition, Panel panel, CableRoute route, bool leaves, bool conduit)
    {
        var said = Burial.Said(job, panel.Id);
        var outside = leaves ? Burial.MethodOf(job, panel.Id) : (OutsideMethod?)null;
        var pieces = route.Pieces.Where(p => p.Kind == WayKind.Outside).ToList();
        var grade = job.Storeys.Select(s => s.Floor).DefaultIfEmpty(Length.Zero).Min();
        var buried = pieces.Any(p => p.FromZ < grade && p.ToZ < grade);
        var wanted = outside is { } method ? Burial.Least(edition, method, said?.Driveway == true, guarded: false) : Length.Zero;
        var bends =
            conduit && outside is not (OutsideMethod.DirectBurial or OutsideMethod.IndoorCable)
                ? ConduitBends.Of(
                    said?.Bends ?? Planned(route),
                    CodeLibrary.Conduit[outside == OutsideMethod.RigidConduit ? "rigid" : "pvc40"]
                )
                : null;
        return new(
            outside,
            pieces.Aggregate(Length.Zero, (sum, p) => sum + p.Length),
            buried,
            said?.Depth ?? Burial.DepthOf(job, edition, panel.Id),
            wanted,
            bends
        )
        {
            Units = job.Units,
        };
    }

    // A quarter at each change between the three directions of the way.
    private static ImmutableArray<int> Planned(CableRoute route)
    {
        var turns = 0;
        int? before = null;
        foreach (var axis in route.Pieces.SelectMany(Axes))
        {
            if (before is { } was && was != axis)
                turns++;
            before = axis;
        }

        return [.. Enumerable.Repeat(Quarter, turns)];
    }

    private static IEnumerable<int> Axes(WayPiece p)
    {
        if ((p.From.X - p.To.X).Abs() > Straight)
            yield return 0;
        if ((p.From.Y - p.To.Y).Abs() > Straight)
            yield return 1;
        if ((p.FromZ - p.ToZ).Abs() > Straight)
            yield return 2;
    }
}
