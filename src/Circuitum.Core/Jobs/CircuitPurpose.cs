namespace Circuitum.Core.Jobs;

/// <summary>What a circuit is for.</summary>
public enum CircuitPurpose
{
    /// <summary>Receptacles of kitchen, pantry, breakfast and dining room.</summary>
    SmallAppliance,

    /// <summary>Laundry receptacles.</summary>
    Laundry,

    /// <summary>Bathroom receptacles.</summary>
    Bathroom,

    /// <summary>Garage receptacles.</summary>
    Garage,

    /// <summary>Outdoor receptacles.</summary>
    Outdoor,

    /// <summary>Receptacles of utility rooms, where the rules want them apart.</summary>
    Utility,

    /// <summary>General lighting with switches, fans and alarms.</summary>
    Lighting,

    /// <summary>General receptacles.</summary>
    Receptacles,

    /// <summary>Lights and receptacles together, where the job mixes them.</summary>
    Mixed,

    /// <summary>One appliance, or a few that may share.</summary>
    Appliance,
}
