namespace Circuitum.Core.Panels;

/// <summary>How a load counts in a service calculation.</summary>
public enum ServiceItemKind
{
    /// <summary>An appliance fastened in place.</summary>
    Fixed,

    /// <summary>One thing that is plugged in where it has its place, as a freezer or a bench machine (220.14(A)).</summary>
    Specific,

    /// <summary>Lights and receptacles that no floor area counts, as those of a workshop (220.14).</summary>
    Outlets,

    /// <summary>Household cooking.</summary>
    Cooking,

    /// <summary>Clothes dryer.</summary>
    Dryer,

    /// <summary>Vehicle charging.</summary>
    Charging,

    /// <summary>Cooling only.</summary>
    Cooling,

    /// <summary>Heat pump, running for heat and cooling.</summary>
    HeatPump,

    /// <summary>Electric heat that runs together with a heat pump, or alone.</summary>
    Heating,
}
