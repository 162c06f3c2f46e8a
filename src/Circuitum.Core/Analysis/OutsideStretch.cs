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
/// <param name="CableSegment">The piece of cable.</param>
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
    CableSegment CableSegment,
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
    /// <summary>The units in which its lengths are told.</summary>
    public LengthUnits Units { get; init; }

    /// <summary>In words, such as <c>3 x 12 AWG wet-rated in 1/2 in PVC, schedule 40, 18 in deep</c>.</summary>
    public string InWords =>
        (
            Fill is { Size: { } size } fill
                ? $"{string.Join(" and ", Wires.Select(w => $"{w.Count} x {w.Size}"))} AWG wet-rated in {size.Told(Units)} {fill.Kind.Name}"
            : Method == OutsideMethod.DirectBurial ? "cable made for the ground"
            : "indoor cable"
        ) + $"{(Buried ? $", {LengthText.Show(Depth, Units)} deep" : "")}";

    /// <summary>How it came about.</summary>
    public Derivation Derivation(CodeEdition edition) =>
        new("Outside the house", LengthText.Far(Length, Units))
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
                        new Derivation("Least depth", LengthText.Show(DepthWanted, Units))
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
