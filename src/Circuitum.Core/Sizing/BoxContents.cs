using System.Collections.Immutable;

namespace Circuitum.Core.Sizing;

/// <summary>What is in a box.</summary>
public sealed record BoxContents
{
    /// <summary>
    /// Insulated conductors that end or are spliced in it, and each unbroken one that passes through; pigtails that stay inside do not
    /// count.
    /// </summary>
    public ImmutableArray<WireCount> Conductors { get; init; } = [];

    /// <summary>Equipment grounds that enter.</summary>
    public ImmutableArray<WireCount> Grounds { get; init; } = [];

    /// <summary>Devices.</summary>
    public ImmutableArray<DeviceYoke> Devices { get; init; } = [];

    /// <summary>Whether clamps inside it hold the cables.</summary>
    public bool Clamps { get; init; }

    /// <summary>Wire connectors, counted where an edition gives them room.</summary>
    public int Connectors { get; init; }

    /// <summary>Fixture studs and hickeys.</summary>
    public int Fittings { get; init; }
}
