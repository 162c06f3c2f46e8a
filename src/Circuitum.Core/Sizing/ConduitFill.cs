using System.Collections.Immutable;
using System.Globalization;
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
    /// <param name="edition">Whose wires these are and in what it is told; the plain tables where none is given.</param>
    /// <exception cref="ArgumentException">No wires, or a size or kind that is not in the tables.</exception>
    public static ConduitFill Of(ImmutableArray<WireCount> wires, string kind, bool nipple = false, CodeEdition? edition = null)
    {
        var conduit = CodeLibrary.Conduit.GetValueOrDefault(kind)
            ?? throw new ArgumentException($"There is no conduit '{kind}'.", nameof(kind));
        var count = wires.Sum(w => w.Count);
        if (count < 1)
            throw new ArgumentException("Say which wires lie in it.", nameof(wires));
        var (own, units) = (edition?.Conduit, edition?.Units ?? LengthUnits.FeetInches);
        double Of(WireSize size) => own?.AreaIn2(size) ?? Area(size);
        string Told(double in2, string format) =>
            units == LengthUnits.FeetInches
                ? in2.ToString(format, CultureInfo.InvariantCulture)
                : (in2 * OwnConduit.Mm2InIn2).ToString("0.0", CultureInfo.InvariantCulture);
        var unit = units.Either("in2", "mm2");
        var area = wires.Sum(w => w.Count * Of(w.Size));
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
            new("Conduit", size is null ? "none of this kind is large enough" : $"{size.Told(units)} {conduit.Name}")
            {
                Formula =
                    string.Join(" + ", wires.Where(w => w.Count > 0).Select(w => $"{w.Count} x {Told(Of(w.Size), "0.0000")}"))
                    + $" = {Told(area, "0.0000")} {unit}",
                Citation = own?.Cite ?? (nipple ? "Chapter 9, note 4, Tables 4 and 5" : "Chapter 9, Tables 1, 4 and 5"),
                Because =
                    $"{count} wire{(count == 1 ? "" : "s")} may take {share * 100:0} percent of the inside"
                    + $"{(nipple ? $" of a nipple up to {units.Either("24 in", "600 mm")}" : "")}; "
                    + "neutrals and grounds count.",
                Steps =
                [
                    .. conduit
                        .Sizes.TakeWhile(s => s != size)
                        .Select(s =>
                            Derivation.Fact(
                                s.Told(units),
                                "too small",
                                $"{share * 100:0} percent of {Told(s.AreaIn2, "0.000")} is {Told(Usable(s, share), "0.000")} {unit}"
                            )
                        ),
                    .. size is null
                        ? []
                        : new[]
                        {
                            Derivation.Fact(
                                size.Told(units),
                                $"{area / size.AreaIn2 * 100:0.0} percent full",
                                $"{share * 100:0} percent of {Told(size.AreaIn2, "0.000")} is {Told(Usable(size, share), "0.000")} {unit}"
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
