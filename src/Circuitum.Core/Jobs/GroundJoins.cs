namespace Circuitum.Core.Jobs;

/// <summary>How grounds are joined in boxes.</summary>
public enum GroundJoins
{
    /// <summary>Like other wires.</summary>
    AsOthers,

    /// <summary>With a green connector through which one wire goes on as the tail.</summary>
    Green,

    /// <summary>With a crimped sleeve.</summary>
    Sleeve,
}
