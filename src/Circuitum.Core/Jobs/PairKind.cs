namespace Circuitum.Core.Jobs;

/// <summary>How two circuits share a home run.</summary>
public enum PairKind
{
    /// <summary>Three-wire cable with one neutral: breakers that open together, on opposite legs (210.4).</summary>
    SharedNeutral,

    /// <summary>Four-wire cable with a neutral for each.</summary>
    TwoNeutrals,
}
