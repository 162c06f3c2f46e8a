namespace Circuitum.Core.Codes;

/// <summary>Which receptacles may be on which breaker.</summary>
public enum ReceptacleWay
{
    /// <summary>Several of 15 A may be on 20 A.</summary>
    FifteenOnTwenty,

    /// <summary>Each is rated as its breaker: general circuits are of 15 A, those of counters of 20 A.</summary>
    AsBreaker,
}
