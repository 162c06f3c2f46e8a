using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>How full a conduit is.</summary>
/// <param name="Kind">The kind of conduit.</param>
/// <param name="Size">Smallest trade size that holds the wires, or none when the largest does not.</param>
/// <param name="AreaIn2">What the wires take, in square inches.</param>
/// <param name="Share">How much of the inside they may take: 0.53 for one wire, 0.31 for two, 0.40 for more (Chapter 9, Table 1).</param>
/// <param name="Derivation">The sum.</param>
public sealed record ConduitFill(ConduitKind Kind, ConduitSize? Size, double AreaIn2, double Share, Derivation Derivation)
{
    /// <summary>The smallest conduit for some wires; grounds and neutrals count like any other wire.</summary>
    /// <param name="wires">Insulated wires of the thin kinds, all of them.</param>
    /// <param name="kind">Key of a kind of conduit.</param>
    /// <param name="nipple">No longer than 24 in: then 60 percent whatever the count (Chapter 9, note 4).</param>
    /// <exception cref="ArgumentException">No wires, or a size or kind that is not in the tables.</exception>
    public static ConduitFill Of(ImmutableArray<WireCount> wires, string kind, bool nipple = false)
    {
        var conduit = CodeLibrary.Conduit.GetValueOrDefault(kind)
            ?? throw new ArgumentException($"There is no conduit '{kind}'.", nameof(kind));
        var count = wires.Sum(w => w.Count);
        if (count < 1)
            throw new ArgumentException("Say which wires lie in it.", nameof(wires));
        var area = wires.Sum(w => w.Count * Area(w.Size));
        var share = nipple
            ? 0.60
            : count switch
            {
                1 => 0.53,
                2 => 0.31,
                _ => 0.40,
            };
        var size = conduit.Sizes.FirstOrDefault(s => area <= Usable(s, share));
        return new(
            conduit,
            size,
            area,
            share,
            new("Conduit", size is null ? "none of this kind is large enough" : $"{size.Size} in {conduit.Name}")
            {
                Formula =
                    string.Join(" + ", wires.Where(w => w.Count > 0).Select(w => $"{w.Count} x {Area(w.Size):0.0000}"))
                    + $" = {area:0.0000} in2",
                Citation = nipple ? "Chapter 9, note 4, Tables 4 and 5" : "Chapter 9, Tables 1, 4 and 5",
                Because =
                    $"{count} wire{(count == 1 ? "" : "s")} may take {share * 100:0} percent of the inside"
                    + $"{(nipple ? " of a nipple up to 24 in" : "")}; "
                    + "neutrals and grounds count.",
                Steps =
                [
                    .. conduit
                        .Sizes.TakeWhile(s => s != size)
                        .Select(s =>
                            Derivation.Fact(
                                $"{s.Size} in",
                                "too small",
                                $"{share * 100:0} percent of {s.AreaIn2:0.000} is {Usable(s, share):0.000} in2"
                            )
                        ),
                    .. size is null
                        ? []
                        : new[]
                        {
                            Derivation.Fact(
                                $"{size.Size} in",
                                $"{area / size.AreaIn2 * 100:0.0} percent full",
                                $"{share * 100:0} percent of {size.AreaIn2:0.000} is {Usable(size, share):0.000} in2"
                            ),
                        },
                ],
            }
        );
    }

    // The tables print the usable area to a thousandth.
    private static double Usable(ConduitSize size, double share) =>
        Math.Round(size.AreaIn2 * share, 3, MidpointRounding.AwayFromZero) + 1e-9;

    private static double Area(WireSize size) =>
        CodeLibrary.Conductors.Copper.FirstOrDefault(r => r.Size == size) is { AreaIn2: > 0 } row
            ? row.AreaIn2
            : throw new ArgumentException($"There is no wire of {size} in the tables.", nameof(size));
}
