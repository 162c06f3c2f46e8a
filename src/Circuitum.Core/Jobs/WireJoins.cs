namespace Circuitum.Core.Jobs;

/// <summary>How wires are joined in boxes.</summary>
public enum WireJoins
{
    /// <summary>Twisted on, by size.</summary>
    TwistOn,

    /// <summary>Pushed in or levered, by ports.</summary>
    Ports,
}
