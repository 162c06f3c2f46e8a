namespace Circuitum.Core.Sizing;

/// <summary>How a circuit is wired.</summary>
public enum WiringMethod
{
    /// <summary>Nonmetallic-sheathed cable: never above the 60 C column in the end.</summary>
    Cable,

    /// <summary>Single wires in conduit.</summary>
    Conduit,
}
