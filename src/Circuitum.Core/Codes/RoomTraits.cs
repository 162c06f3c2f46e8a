namespace Circuitum.Core.Codes;

/// <summary>What an edition says about a kind of room.</summary>
public sealed record RoomTraits
{
    /// <summary>Receptacles go by wall spaces.</summary>
    public bool WallSpaces { get; init; }

    /// <summary>Its receptacles are on the small-appliance circuits.</summary>
    public bool SmallAppliance { get; init; }

    /// <summary>Outlets and devices in it call for arc-fault protection.</summary>
    public bool ArcFault { get; init; }

    /// <summary>The ground-fault rule of its receptacles: the last part of a <c>protect.</c> rule id, or none.</summary>
    public string? GroundFault { get; init; }

    /// <summary>A switched light is needed.</summary>
    public bool Light { get; init; }

    /// <summary>Its light may hang on the circuit of its receptacles, where that circuit is for nothing else.</summary>
    public bool LightBeside { get; init; }

    /// <summary>Counts towards the floor area of the load calculation.</summary>
    public bool FloorArea { get; init; }

    /// <summary>Out of doors.</summary>
    public bool Outdoors { get; init; }
}
