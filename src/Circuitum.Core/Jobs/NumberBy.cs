namespace Circuitum.Core.Jobs;

/// <summary>What the number of a circuit is.</summary>
public enum NumberBy
{
    /// <summary>A space that its breaker fills when it is first laid out.</summary>
    Space,

    /// <summary>Counted up in the order of the panel, as the home runs are pulled.</summary>
    Order,
}
