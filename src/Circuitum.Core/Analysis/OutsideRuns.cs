using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>Finds what of the cables is outside.</summary>
internal static class OutsideRuns
{
    // What a conduit gives sideways without a bend.
    private static readonly Length Straight = Length.Inches(6);

    // A sweep at either end of what lies in the ground.
    private const int Sweep = 90;

    internal static ImmutableArray<OutsideStretch> Of(
        Job job,
        CodeEdition edition,
        CableRouter runs,
        IEnumerable<CircuitAnalysis> circuits
    ) =>
        [
            .. circuits.SelectMany(c =>
                c.Run.Cables.Where(runs.Outside).Select(h => Of(job, edition, c, h, runs.Route(h))).OfType<OutsideStretch>()
            ),
        ];

    private static OutsideStretch? Of(Job job, CodeEdition edition, CircuitAnalysis c, CableSegment segment, CableRoute route)
    {
        var outside = Enumerable
            .Range(0, route.Pieces.Length)
            .Where(i => route.Pieces[i].Kind == WayKind.Outside && route.Pieces[i].Length > Length.Zero)
            .ToList();
        if (outside.Count == 0)
            return null;
        var (first, last) = (outside[0], outside[^1]);
        var grade = job.StoreyById(job.RoomById(job.Decisions.Boxes.First(b => b.Id == segment.To).Room)!.Storey)!.Floor;
        var low = route.Pieces[first].FromZ;
        var buried = low < grade;
        var length = route.Pieces[first..(last + 1)].Aggregate(Length.Zero, (sum, p) => sum + p.Length);

        // At a wall of the house the rest of what goes up is inside it; at a post it is outside up to the box.
        foreach (var (end, beyond) in new[] { (first - 1, first - 1 == 0), (last + 1, last + 1 == route.Pieces.Length - 1) })
        {
            if (end < 0 || end >= route.Pieces.Length || route.Pieces[end].Kind != WayKind.Wall)
                continue;
            length += beyond ? route.Pieces[end].Length : Length.Max(Length.Zero, Length.Min(route.Pieces[end].Length, grade - low));
        }

        var (said, method) = (Burial.Said(job, segment.To), Burial.MethodOf(job, segment.To));
        var guarded =
            c.Load.Connection == Connection.OneLine
            && c.Breaker is > 0 and <= 20
            && c.Protection.Devices.Any(d => d.GroundFault && d.Covers.Contains(segment.To) && d.Box != segment.To);
        var wanted = Burial.Least(edition, method, said?.Driveway == true, guarded);
        var depth = said?.Depth ?? Burial.DepthOf(job, edition, segment.To);
        if (method is OutsideMethod.DirectBurial or OutsideMethod.IndoorCable)
            return new(c.Number, segment, method, length, buried, depth, wanted, [], null, null) { Units = job.Units };
        var kind = method == OutsideMethod.PvcConduit ? "pvc40" : "rigid";
        var cable = c.CableOf(segment);
        var ground = c.Wire is { } wire ? EquipmentGround.For(wire.Breaker, wire.Size, cable.Size, edition) : cable.Size;
        WireCount[] wires = [new(cable.Size, cable.Conductors), new(ground, 1)];
        ImmutableArray<WireCount> all = [.. wires.GroupBy(w => w.Size).Select(g => new WireCount(g.Key, g.Sum(w => w.Count)))];
        return new(
            c.Number,
            segment,
            method,
            length,
            buried,
            depth,
            wanted,
            all,
            ConduitFill.Of(all, kind, edition: edition),
            ConduitBends.Of(said?.Bends ?? Planned(route.Pieces[first..(last + 1)], buried), CodeLibrary.Conduit[kind])
        )
        {
            Units = job.Units,
        };
    }

    // A sweep down, one for each turn, and one up.
    private static ImmutableArray<int> Planned(ImmutableArray<WayPiece> pieces, bool buried)
    {
        var turns = pieces.Count(p => (p.From.X - p.To.X).Abs() > Straight && (p.From.Y - p.To.Y).Abs() > Straight);
        return [.. Enumerable.Repeat(Sweep, turns + (buried ? 2 : 1))];
    }
}
