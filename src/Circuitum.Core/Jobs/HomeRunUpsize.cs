namespace Circuitum.Core.Jobs;

/// <summary>When a home run is pulled one size up.</summary>
public enum HomeRunUpsize
{
    /// <summary>Never.</summary>
    Off,

    /// <summary>When the circuit's voltage drop would pass the recommended limit.</summary>
    WhenDropAsks,

    /// <summary>Always, for general circuits.</summary>
    Always,
}
