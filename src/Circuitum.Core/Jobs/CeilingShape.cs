namespace Circuitum.Core.Jobs;

/// <summary>Shape of a ceiling.</summary>
public enum CeilingShape
{
    /// <summary>Level.</summary>
    Flat,

    /// <summary>Vaulted: no attic over it to run cable through.</summary>
    Vaulted,
}
