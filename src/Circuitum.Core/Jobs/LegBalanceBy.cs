namespace Circuitum.Core.Jobs;

/// <summary>By which load circuits are divided over the legs.</summary>
public enum LegBalanceBy
{
    /// <summary>All that is connected; what runs on an ordinary evening breaks ties.</summary>
    Connected,

    /// <summary>What runs on an ordinary evening.</summary>
    Expected,
}
