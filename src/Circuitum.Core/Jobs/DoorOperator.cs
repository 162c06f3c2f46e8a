namespace Circuitum.Core.Jobs;

/// <summary>Where a garage door operator hangs.</summary>
public enum DoorOperator
{
    /// <summary>With the garage's receptacles.</summary>
    WithGarage,

    /// <summary>By itself.</summary>
    Alone,
}
