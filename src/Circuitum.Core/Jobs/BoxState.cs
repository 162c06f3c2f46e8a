namespace Circuitum.Core.Jobs;

/// <summary>How far the work on a box is.</summary>
public enum BoxState
{
    /// <summary>On the plan.</summary>
    Planned,

    /// <summary>Set and wired, walls open.</summary>
    RoughedIn,

    /// <summary>Device and cover on.</summary>
    Final,
}
