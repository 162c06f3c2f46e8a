using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>Ampacity, resistance, factors and service conductors.</summary>
public sealed record ConductorTables
{
    /// <summary>Copper by size, smallest first (Table 310.16; Chapter 9 Table 8).</summary>
    public required ImmutableArray<ConductorRow> Copper { get; init; }

    /// <summary>Aluminum by size, smallest first.</summary>
    public required ImmutableArray<ConductorRow> Aluminum { get; init; }

    /// <summary>Ambient correction from a 30 C table.</summary>
    public required ImmutableArray<AmbientRow> Ambient { get; init; }

    /// <summary>Factor by number of current-carrying conductors.</summary>
    public required ImmutableArray<CountRow> Count { get; init; }

    /// <summary>Conductors of a service that carries the whole dwelling.</summary>
    public required ImmutableArray<ServiceRow> Service { get; init; }

    /// <summary>Copper equipment ground by breaker.</summary>
    public required ImmutableArray<GroundRow> Ground { get; init; }

    /// <summary>Nonmetallic-sheathed cable by size, smallest first.</summary>
    public required ImmutableArray<SheathedCable> Cables { get; init; }

    /// <summary>The sizes in which it is made.</summary>
    public ImmutableArray<WireSize> Sheathed => field.IsDefault ? field = [.. Cables.Select(c => c.Size)] : field;

    /// <summary>The cable of a size, or none when it is not made in it.</summary>
    public SheathedCable? Cable(WireSize size) => Cables.FirstOrDefault(c => c.Size == size);
}
