namespace Circuitum.Core.Jobs;

/// <summary>Kinds of wish.</summary>
public enum WishKind
{
    /// <summary>A desk: a receptacle behind it.</summary>
    Desk,

    /// <summary>A television: a receptacle behind it.</summary>
    Television,

    /// <summary>A bed with its head at the nearest wall: a receptacle on either side.</summary>
    Bed,

    /// <summary>Something later: a capped box.</summary>
    Future,

    /// <summary>Something heavy that is plugged in: a space heater, a steamer, a vacuum cleaner on the stairs.</summary>
    Heavy,
}
