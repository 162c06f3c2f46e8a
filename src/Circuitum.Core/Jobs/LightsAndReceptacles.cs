namespace Circuitum.Core.Jobs;

/// <summary>Separate circuits, or lights and receptacles of a room together.</summary>
public enum LightsAndReceptacles
{
    /// <summary>Circuits of their own.</summary>
    Separate,

    /// <summary>Together, by room.</summary>
    Mixed,
}
