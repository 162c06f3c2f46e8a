namespace Circuitum.Core.Jobs;

/// <summary>What the receptacles over kitchen counters are, where the rules leave the choice.</summary>
public enum CounterReceptacles
{
    /// <summary>Of 20 A, on two wires.</summary>
    TwentyAmpere,

    /// <summary>Split ones of 15 A on three wires: each half on a line of its own, behind a two-pole breaker.</summary>
    Split,
}
