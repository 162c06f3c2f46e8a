namespace Circuitum.Core.Codes;

/// <summary>Where hardwired outlets need ground-fault protection (210.8(F)).</summary>
public enum HardwiredGroundFaultWay
{
    /// <summary>Nowhere.</summary>
    None,

    /// <summary>Outdoors.</summary>
    Outdoors,

    /// <summary>Outdoors, in garages and in accessory buildings at grade.</summary>
    OutdoorsAndGarages,
}
