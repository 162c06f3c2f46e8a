namespace Circuitum.Core.Jobs;

/// <summary>Wire and breaker for general lights and receptacles.</summary>
public enum GeneralWire
{
    /// <summary>12 AWG on 20 A for receptacles, 14 AWG on 15 A for lights.</summary>
    TwelveForReceptacles,

    /// <summary>14 AWG on 15 A throughout.</summary>
    FourteenThroughout,

    /// <summary>12 AWG on 20 A throughout.</summary>
    TwelveThroughout,
}
