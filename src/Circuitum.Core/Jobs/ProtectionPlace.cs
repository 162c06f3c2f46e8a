namespace Circuitum.Core.Jobs;

/// <summary>Where a circuit's ground-fault protection sits.</summary>
public enum ProtectionPlace
{
    /// <summary>In the breaker.</summary>
    Breaker,

    /// <summary>In the first receptacle of the chain.</summary>
    FirstReceptacle,
}
