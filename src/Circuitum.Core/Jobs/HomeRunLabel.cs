namespace Circuitum.Core.Jobs;

/// <summary>How a home run is labelled.</summary>
public enum HomeRunLabel
{
    /// <summary>Number, cable, area and purpose.</summary>
    Plain,

    /// <summary>The same with the breaker's size.</summary>
    WithBreaker,
}
