namespace Circuitum.Core.Codes;

/// <summary>Which receptacles of a kitchen need ground-fault protection (210.8(A)(6)).</summary>
public enum KitchenGroundFaultWay
{
    /// <summary>Those that serve counters.</summary>
    Counters,

    /// <summary>All.</summary>
    All,
}
