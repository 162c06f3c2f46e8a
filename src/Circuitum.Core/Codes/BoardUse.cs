namespace Circuitum.Core.Codes;

/// <summary>What a circuit of a split board is for; decides its breaker, its cable and the section that it is in.</summary>
public enum BoardUse
{
    /// <summary>Lights indoors, with alarms and small fans.</summary>
    Lighting,

    /// <summary>Lights in the garden and in the ground.</summary>
    GardenLighting,

    /// <summary>Socket-outlets, with what is plugged in and small fixed things on a fused connection.</summary>
    Sockets,

    /// <summary>A cooker, hob or oven with its control switch.</summary>
    Cooking,

    /// <summary>A water heater.</summary>
    WaterHeating,

    /// <summary>Air conditioning.</summary>
    Cooling,

    /// <summary>Another appliance that is wired in or too large for a socket.</summary>
    Fixed,
}
