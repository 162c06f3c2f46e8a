using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>What an edition says of wires in conduit where it is not what the plain tables say.</summary>
/// <param name="Cite">Where it stands.</param>
/// <param name="WireMm2">What a wire for wet places takes with its insulation, in square millimetres, by its size.</param>
public sealed record OwnConduit(string Cite, ImmutableDictionary<string, double> WireMm2)
{
    /// <summary>Square millimetres in a square inch.</summary>
    public const double Mm2InIn2 = 645.16;

    /// <summary>What a wire takes, in square inches as the insides of conduit are; none for a size that is not in the table.</summary>
    public double? AreaIn2(WireSize size) =>
        WireMm2.TryGetValue(string.Create(CultureInfo.InvariantCulture, $"{size}"), out var area) ? area / Mm2InIn2 : null;
}
