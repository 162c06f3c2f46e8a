namespace Circuitum.Core.Jobs;

/// <summary>Order of breakers down the panel.</summary>
public enum PanelOrder
{
    /// <summary>Two-pole first, then falling by rating.</summary>
    LargestFirst,

    /// <summary>By circuit number, as the home runs are numbered.</summary>
    ByNumber,

    /// <summary>The circuits of a room together, room by room.</summary>
    ByRoom,

    /// <summary>Breakers with arc-fault or ground-fault protection together, above the plain ones.</summary>
    ProtectionTogether,
}
