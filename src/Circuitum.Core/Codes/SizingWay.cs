namespace Circuitum.Core.Codes;

/// <summary>How wire is chosen for a load.</summary>
public enum SizingWay
{
    /// <summary>Sizes are tried one after the other until one carries the load after all factors.</summary>
    TriedInTurn,

    /// <summary>The load is divided by the factors and the table is read once.</summary>
    DividedOnce,

    /// <summary>Design current, breaker, rating of the cable after factors, none less than the one before: split boards.</summary>
    InTurn,
}
