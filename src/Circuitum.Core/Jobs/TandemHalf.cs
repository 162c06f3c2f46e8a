namespace Circuitum.Core.Jobs;

/// <summary>What part of a space a breaker takes.</summary>
public enum TandemHalf
{
    /// <summary>All of it.</summary>
    Whole,

    /// <summary>The upper half, called A.</summary>
    Upper,

    /// <summary>The lower half, called B.</summary>
    Lower,
}
