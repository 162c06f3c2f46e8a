namespace Circuitum.Core.BoxLayout;

/// <summary>What a light does in its room; lights of a role are switched together.</summary>
public enum LightRole
{
    /// <summary>Outdoors, at a door.</summary>
    Outdoor,

    /// <summary>Lights the room.</summary>
    Main,

    /// <summary>Over a basin.</summary>
    Vanity,

    /// <summary>Along a counter.</summary>
    Counter,

    /// <summary>Over an island or a peninsula.</summary>
    Island,

    /// <summary>Pendants elsewhere.</summary>
    Pendant,

    /// <summary>A fan.</summary>
    Fan,
}
