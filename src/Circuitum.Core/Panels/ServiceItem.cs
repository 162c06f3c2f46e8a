using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Panels;

/// <summary>One load of a service calculation.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Load">Nameplate.</param>
/// <param name="Kind">How it counts.</param>
/// <param name="Motor">Has a motor that may be the largest.</param>
/// <param name="Neutral">Loads the neutral: 120 V, or 120 and 240 V.</param>
public sealed record ServiceItem(string Name, VoltAmperes Load, ServiceItemKind Kind, bool Motor = false, bool Neutral = false)
{
    /// <summary>The ids of the boxes that draw it; none while it has no outlet.</summary>
    public ImmutableArray<string> Boxes { get; init; } = [];

    /// <summary>Its entry in the library, or none for what is no appliance.</summary>
    public ApplianceType? Type { get; init; }

    /// <summary>On split boards, the use that it is the sum of.</summary>
    public BoardUse? Use { get; init; }

    /// <summary>Rating of its motor, or none when it has none or that is not known.</summary>
    public double? Horsepower { get; init; }

    /// <summary>A kitchen refrigerator on a circuit of its own, which the standard method leaves out (220.52(A), exception).</summary>
    public bool RefrigeratorAlone { get; init; }
}
