namespace Circuitum.Core.Codes;

/// <summary>What cuts equipment off beside its breaker.</summary>
public enum Cutoff
{
    /// <summary>Its plug, or its breaker alone.</summary>
    None,

    /// <summary>A disconnect within sight (422.31, 430.102, 440.14).</summary>
    Sight,

    /// <summary>A service switch at the unit (422.31, 424.19).</summary>
    Service,

    /// <summary>A switch or timer by which people run it.</summary>
    Control,
}
