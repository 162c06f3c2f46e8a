using System.Collections.Immutable;

namespace Circuitum.Core.Panels;

/// <summary>What a service load is worked out from.</summary>
public sealed record ServiceCase
{
    /// <summary>Floor area by the outside line, in square feet.</summary>
    public double AreaSqFt { get; init; }

    /// <summary>Floor area inside the outer walls, basements apart, in square metres; counted where an edition goes by it.</summary>
    public double InsideSqM { get; init; }

    /// <summary>Floor area of basements by the inside of the outer walls, in square metres.</summary>
    public double BasementSqM { get; init; }

    /// <summary>Small-appliance circuits; at least two are counted.</summary>
    public int SmallApplianceCircuits { get; init; } = 2;

    /// <summary>Laundry circuits; one is counted for a dwelling.</summary>
    public int LaundryCircuits { get; init; } = 1;

    /// <summary>All other loads.</summary>
    public ImmutableArray<ServiceItem> Items { get; init; } = [];

    /// <summary>Outlets that bring no line of their own, and within what they are counted.</summary>
    public ImmutableArray<LoadNote> Within { get; init; } = [];

    /// <summary>The whole dwelling; a feeder carries only the kitchen and laundry circuits that hang on it.</summary>
    public bool Whole { get; init; } = true;
}
