namespace Circuitum.Core.Jobs;

/// <summary>Where arc-fault protection sits.</summary>
public enum ArcFaultPlace
{
    /// <summary>In a combination breaker.</summary>
    Breaker,

    /// <summary>In the first outlet, where the home run qualifies for it.</summary>
    FirstOutlet,
}
