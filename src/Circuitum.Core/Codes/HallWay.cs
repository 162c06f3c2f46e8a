namespace Circuitum.Core.Codes;

/// <summary>How receptacles of halls are asked for.</summary>
public enum HallWay
{
    /// <summary>One in each that is long enough.</summary>
    Long,

    /// <summary>No point is farther from one than a cord reaches.</summary>
    Reach,
}
