namespace Circuitum.Core.Jobs;

/// <summary>How a feeder is run.</summary>
public enum FeederMethod
{
    /// <summary>Cable: sheathed copper cable to 2 AWG by its 60 C column, or aluminum service cable by its 75 C column.</summary>
    Cable,

    /// <summary>Single wires in conduit.</summary>
    Conduit,
}
