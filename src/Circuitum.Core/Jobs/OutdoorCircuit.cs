namespace Circuitum.Core.Jobs;

/// <summary>Where receptacles outside are fed from.</summary>
public enum OutdoorCircuit
{
    /// <summary>Those near each other from one circuit, one far away from the nearest suitable circuit inside.</summary>
    Nearest,

    /// <summary>All from one circuit.</summary>
    One,
}
