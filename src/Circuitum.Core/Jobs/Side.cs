namespace Circuitum.Core.Jobs;

/// <summary>A side of the plan; north is up.</summary>
public enum Side
{
    /// <summary>Up the page.</summary>
    North,

    /// <summary>To the right.</summary>
    East,

    /// <summary>Down the page.</summary>
    South,

    /// <summary>To the left.</summary>
    West,
}
