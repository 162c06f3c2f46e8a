using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>A cable's way outside the house: in conduit or as cable made for the ground.</summary>
/// <param name="Circuit">The circuit's number.</param>
/// <param name="Hop">The piece of cable.</param>
/// <param name="Method">How it is run outside.</param>
/// <param name="Length">What of it is outside, along the way.</param>
/// <param name="Buried">Whether it lies in the ground.</param>
/// <param name="Depth">How deep it lies.</param>
/// <param name="DepthWanted">How deep it has to lie.</param>
/// <param name="Wires">The single wires in conduit, the ground among them; none for cable.</param>
/// <param name="Fill">The conduit's size, or none for cable.</param>
/// <param name="Bends">The conduit's bends, or none for cable.</param>
public sealed record OutsideStretch(
    int Circuit,
    Hop Hop,
    OutsideMethod Method,
    Length Length,
    bool Buried,
    Length Depth,
    Length DepthWanted,
    ImmutableArray<WireCount> Wires,
    ConduitFill? Fill,
    ConduitBends? Bends
)
{
    /// <summary>In words, such as <c>3 x 12 AWG wet-rated in 1/2 in PVC, schedule 40, 18 in deep</c>.</summary>
    public string InWords =>
        (
            Fill is { Size: { } size } fill
                ? $"{string.Join(" and ", Wires.Select(w => $"{w.Count} x {w.Size}"))} AWG wet-rated in {size.Size} in {fill.Kind.Name}"
            : Method == OutsideMethod.DirectBurial ? "cable made for the ground"
            : "indoor cable"
        ) + $"{(Buried ? $", {LengthText.Show(Depth)} deep" : "")}";

    /// <summary>How it came about.</summary>
    public Derivation Derivation(CodeEdition edition) =>
        new("Outside the house", $"{Length.InFeet:0} ft")
        {
            Because =
                $"{char.ToUpperInvariant(InWords[0])}{InWords[1..]}. What comes out of the ground is guarded from 18 in under "
                + "it to 8 ft over it.",
            Citation = edition.Cite("wire.outside"),
            Steps =
            [
                .. Buried
                    ? new[]
                    {
                        new Derivation("Least depth", LengthText.Show(DepthWanted))
                        {
                            Citation = edition.Cite("wire.depth"),
                            Because = "By the method, the protection ahead of it and what drives over it.",
                        },
                    }
                    : [],
                .. Fill is { } fill ? new[] { fill.Derivation } : [],
                .. Bends is { } bends ? new[] { bends.Derivation } : [],
                .. Fill is not null
                    ? new[]
                    {
                        Explain.Derivation.Fact("Wires", "wet-rated, 75 C", "No smaller than the cable's, so they carry what it carries."),
                    }
                    : [],
            ],
        };
}

/// <summary>Finds what of the cables is outside.</summary>
internal static class OutsideRuns
{
    // What a conduit gives sideways without a bend.
    private static readonly Length Straight = Length.Inches(6);

    // A sweep at either end of what lies in the ground.
    private const int Sweep = 90;

    internal static ImmutableArray<OutsideStretch> Of(Job job, CodeEdition edition, Runs runs, IEnumerable<CircuitAnalysis> circuits) =>
        [
            .. circuits.SelectMany(c =>
                c.Run.Cables.Where(runs.Outside).Select(h => Of(job, edition, c, h, runs.Route(h))).OfType<OutsideStretch>()
            ),
        ];

    private static OutsideStretch? Of(Job job, CodeEdition edition, CircuitAnalysis c, Hop hop, CableRoute route)
    {
        var outside = Enumerable
            .Range(0, route.Pieces.Length)
            .Where(i => route.Pieces[i].Kind == WayKind.Outside && route.Pieces[i].Length > Length.Zero)
            .ToList();
        if (outside.Count == 0)
            return null;
        var (first, last) = (outside[0], outside[^1]);
        var grade = job.StoreyById(job.RoomById(job.Decisions.Boxes.First(b => b.Id == hop.To).Room)!.Storey)!.Floor;
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

        var (said, method) = (Burial.Said(job, hop.To), Burial.MethodOf(job, hop.To));
        var guarded =
            c.Load.Volts == 120
            && c.Breaker is > 0 and <= 20
            && c.Protection.Devices.Any(d => d.GroundFault && d.Covers.Contains(hop.To) && d.Box != hop.To);
        var wanted = Burial.Least(edition, method, said?.Driveway == true, guarded);
        var depth = said?.Depth ?? Burial.DepthOf(job, edition, hop.To);
        if (method is OutsideMethod.DirectBurial or OutsideMethod.IndoorCable)
            return new(c.Number, hop, method, length, buried, depth, wanted, [], null, null);
        var kind = method == OutsideMethod.PvcConduit ? "pvc40" : "rigid";
        var cable = c.CableOf(hop).Split('-');
        var ground = c.Wire is { } wire ? EquipmentGround.For(wire.Breaker, wire.Size, cable[0]) : cable[0];
        WireCount[] wires =
        [
            new(cable[0], cable[1..].Sum(n => int.Parse(n, System.Globalization.CultureInfo.InvariantCulture))),
            new(ground, 1),
        ];
        ImmutableArray<WireCount> all = [.. wires.GroupBy(w => w.Size).Select(g => new WireCount(g.Key, g.Sum(w => w.Count)))];
        return new(
            c.Number,
            hop,
            method,
            length,
            buried,
            depth,
            wanted,
            all,
            ConduitFill.Of(all, kind),
            ConduitBends.Of(said?.Bends ?? Planned(route.Pieces[first..(last + 1)], buried), CodeLibrary.Conduit[kind])
        );
    }

    // A sweep down, one for each turn, and one up.
    private static ImmutableArray<int> Planned(ImmutableArray<WayPiece> pieces, bool buried)
    {
        var turns = pieces.Count(p => (p.From.X - p.To.X).Abs() > Straight && (p.From.Y - p.To.Y).Abs() > Straight);
        return [.. Enumerable.Repeat(Sweep, turns + (buried ? 2 : 1))];
    }
}
