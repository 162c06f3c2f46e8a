namespace Circuitum.Core.Jobs;

/// <summary>What a piece of cable is for.</summary>
public enum CableUse
{
    /// <summary>Power to a box and on from it.</summary>
    Power,

    /// <summary>A switched conductor and its neutral, from a switch to a light or from light to light.</summary>
    SwitchLeg,

    /// <summary>Two switched conductors and one neutral, as for a fan and its light.</summary>
    TwoSwitchLegs,

    /// <summary>Two travelers and one more conductor between three-way and four-way switches.</summary>
    Travelers,

    /// <summary>
    /// From a light that has power down to its switch: power, the switched return, and the neutral that 404.2(C) wants there.
    /// </summary>
    SwitchLoop,

    /// <summary>From alarm to alarm: power, neutral, and the wire by which all sound when one does (R314.4).</summary>
    Interconnect,
}
