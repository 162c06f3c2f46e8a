namespace Circuitum.Core.Jobs;

/// <summary>How many devices a receptacle box holds.</summary>
public enum ReceptacleStyle
{
    /// <summary>One single receptacle.</summary>
    Single,

    /// <summary>One duplex.</summary>
    Duplex,

    /// <summary>Two duplexes side by side.</summary>
    Quad,
}
