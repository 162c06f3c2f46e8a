namespace Circuitum.Core.Jobs;

/// <summary>What one gang of a switch box does besides switching on and off.</summary>
public enum SwitchControl
{
    /// <summary>An ordinary switch.</summary>
    Toggle,

    /// <summary>Dims lamps.</summary>
    Dimmer,

    /// <summary>Sets the speed of a fan's motor.</summary>
    FanSpeed,

    /// <summary>Switches off after a time.</summary>
    Timer,

    /// <summary>Switches a fan by the damp of the air.</summary>
    Humidity,

    /// <summary>Switches by who moves in the room.</summary>
    Motion,

    /// <summary>Hangs from the ceiling on a cord: out of reach of whoever stands in water.</summary>
    Cord,
}
