namespace Circuitum.Core.Protection;

/// <summary>Kinds of protective device.</summary>
public enum DeviceKind
{
    /// <summary>Arc-fault breaker, combination type.</summary>
    ArcFaultBreaker,

    /// <summary>Ground-fault breaker.</summary>
    GroundFaultBreaker,

    /// <summary>Breaker with both functions.</summary>
    DualFunctionBreaker,

    /// <summary>Ground-fault receptacle; protects itself and what is on its load terminals.</summary>
    GroundFaultReceptacle,

    /// <summary>Outlet-type arc-fault receptacle, first on its circuit.</summary>
    ArcFaultReceptacle,

    /// <summary>Receptacle with both functions, first on its circuit.</summary>
    DualFunctionReceptacle,
}
