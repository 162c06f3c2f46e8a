using System.Collections.Immutable;

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

    /// <summary>Sizes in which nonmetallic-sheathed cable is made, smallest first.</summary>
    public required ImmutableArray<string> Sheathed { get; init; }

    /// <summary>The ground that is in sheathed cable of each size.</summary>
    public required ImmutableDictionary<string, string> SheathedGround { get; init; }
}
