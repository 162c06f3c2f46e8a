namespace Circuitum.Core.Jobs;

/// <summary>Which way joists run.</summary>
public enum JoistRun
{
    /// <summary>North to south, up and down the page.</summary>
    NorthSouth,

    /// <summary>East to west, across the page.</summary>
    EastWest,
}
