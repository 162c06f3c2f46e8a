namespace Circuitum.Core.Jobs;

/// <summary>Which way cable goes.</summary>
public enum RunBy
{
    /// <summary>Whichever is shorter.</summary>
    Shorter,

    /// <summary>Over the ceilings.</summary>
    Overhead,

    /// <summary>Under the floor where there is room.</summary>
    Underfloor,
}
