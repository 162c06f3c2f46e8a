namespace Circuitum.Core.Jobs;

/// <summary>Whether two circuits share the cable of their home run.</summary>
public enum TwoCircuitHomeRuns
{
    /// <summary>Never; a saving over the stated length is suggested.</summary>
    Never,

    /// <summary>Three-wire cable, one neutral, breakers that open together.</summary>
    SharedNeutral,

    /// <summary>Four-wire cable, a neutral for each.</summary>
    TwoNeutrals,
}
