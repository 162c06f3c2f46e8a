using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>What a person sets on a box; what is none is left as it is or goes back to the derived choice.</summary>
public sealed record BoxChange
{
    /// <summary>What it holds.</summary>
    public BoxKind? Kind { get; init; }

    /// <summary>Single, duplex or quad.</summary>
    public ReceptacleStyle? Style { get; init; }

    /// <summary>What hangs there.</summary>
    public LightStyle? Fixture { get; init; }

    /// <summary>Centre over the floor.</summary>
    public Length? Height { get; init; }

    /// <summary>Box from the catalogue; empty goes back to the smallest that serves.</summary>
    public string? Size { get; init; }

    /// <summary>Rating in amperes; 0 goes back to the one that fits.</summary>
    public int? Rating { get; init; }

    /// <summary>Side of the stud; empty goes back to the nearer stud.</summary>
    public string? Side { get; init; }

    /// <summary>Planned load of a light in volt-amperes; below zero goes back to the practice figure.</summary>
    public double? VoltAmperes { get; init; }

    /// <summary>Senses carbon monoxide.</summary>
    public bool? CarbonMonoxide { get; init; }

    /// <summary>How far the work is.</summary>
    public BoxState? State { get; init; }
}
