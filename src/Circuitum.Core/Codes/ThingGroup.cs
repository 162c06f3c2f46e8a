namespace Circuitum.Core.Codes;

/// <summary>Where in a house things of a kind are looked for.</summary>
public enum ThingGroup
{
    /// <summary>Walls and what is in them.</summary>
    WallsAndOpenings,

    /// <summary>Kitchen.</summary>
    Kitchen,

    /// <summary>Bath and laundry.</summary>
    BathAndLaundry,

    /// <summary>Heating, cooling and hot water.</summary>
    HeatingAndCooling,

    /// <summary>Outside.</summary>
    Outside,

    /// <summary>Panels, chargers, pumps and machines.</summary>
    Electrical,

    /// <summary>What the owner wants somewhere.</summary>
    Notes,
}
