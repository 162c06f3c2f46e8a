namespace Circuitum.Core.Jobs;

/// <summary>What a kitchen island hangs with.</summary>
public enum IslandWith
{
    /// <summary>A counter.</summary>
    Counter,

    /// <summary>The dining walls.</summary>
    Dining,
}
